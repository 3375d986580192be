import type { Pack, Problem, Take } from '../request/problem';

/** A flight as it is sought: with which pack, which takes, in this order. */
export interface FlightDraft {
  readonly pack: number;
  readonly takes: readonly Take[];
}
/** Flights one after the other. */
export type PlanDraft = readonly FlightDraft[];

/** The same flights with the takes of each shot in turn: they are alike, and the first of them is flown first. */
export function inTurn({ takes, flownTakes }: Problem, draft: PlanDraft): PlanDraft {
  const next = new Map<number, Take[]>();
  for (const take of takes)
    if (!flownTakes.has(take.index)) next.set(take.shotIndex, [...(next.get(take.shotIndex) ?? []), take]);
  return draft.map((flight) => ({
    pack: flight.pack,
    takes: flight.takes.map(({ shotIndex }) => next.get(shotIndex)?.shift() as Take),
  }));
}

/** Whether a flight is flown with what the pilot pinned and kept, and with its company. */
export function isAsPinned(
  { packs, request, flownTakes }: Problem,
  { pack, takes }: FlightDraft,
  number: number,
): boolean {
  const { battery, aircraftIndex } = packs[pack] as Pack;
  const { id } = battery;
  const lock = request.locks?.find(({ flightNumber }) => flightNumber === number);
  if (lock && lock.batteryId !== id) return false;
  const isIn = (one: number) => takes.some(({ index }) => index === one);
  return takes.every(
    ({ shot: { pin }, aircraftIndex: wanted, company }) =>
      (wanted === null || wanted === aircraftIndex) &&
      (company.length === 0 || company.some(isIn) || company.some((one) => flownTakes.has(one))) &&
      (pin?.batteryId == null || pin.batteryId === id) &&
      (pin?.flightNumber == null || pin.flightNumber === number),
  );
}
