import type { LiftOffCheck, LiftOffRecord } from '@acorn-tally/core';
import { making } from '../records/changes';
import { useRecords } from '../records/records';

const label = 'the lift-off card';

/** What is ticked for the flight that is about to begin with a battery. */
export function useLiftOff(batteryId: string) {
  const card = useRecords((state) => cardOf(state.liftOffs, batteryId));
  const { edit, fresh, doAll } = useRecords.getState();
  return {
    ticked: card?.ticked ?? none,
    setTicked(ticked: readonly LiftOffCheck[]) {
      if (card) edit('liftOffs', card.id, { ticked }, label);
      else doAll([making('liftOffs', fresh('liftOffs', { batteryId, ticked }))], label);
    },
  };
}

const none: readonly LiftOffCheck[] = [];

/** The newest card of a battery. */
export function cardOf(cards: readonly LiftOffRecord[], batteryId: string): LiftOffRecord | null {
  return cards.filter((card) => card.batteryId === batteryId).at(-1) ?? null;
}
