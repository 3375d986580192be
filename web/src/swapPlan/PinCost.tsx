import type { PlanRequest, SwapPlan } from '@acorn-tally/core';
import { useMemo } from 'react';
import { Note } from '../parts/Note';
import { usePlanner } from '../workers/usePlanner';
import { counted } from './planWords';
import { useKnown } from './useShooting';

interface Props {
  readonly plan: SwapPlan;
  readonly request: PlanRequest;
  readonly whole: boolean;
}

/** What pins and kept batteries cost: the same shoot planned without them. */
export function PinCost({ plan, request, whole }: Props) {
  const isPinned = request.shots.some(({ pin }) => pin) || (request.locks ?? []).length > 0;
  const free = useMemo(
    () =>
      isPinned && whole
        ? { ...request, locks: null, shots: request.shots.map((shot) => ({ ...shot, pin: null })) }
        : null,
    [request, isPinned, whole],
  );
  const without = usePlanner(free, useKnown(request), 'best');
  if (!free || !without.plan || !without.fresh || without.seeking) return null;
  return <Note status>What you pinned costs {costInWords(plan, without.plan)}.</Note>;
}

/** "one take-off more, 6 min later", against the plan without pins. */
export function costInWords(pinned: SwapPlan, free: SwapPlan): string {
  const [with_, without] = [pinned.figures, free.figures];
  const placed = (one: SwapPlan) => one.figures.mustsPlaced + one.figures.nicesPlaced;
  const takeoffs = with_.takeoffs - without.takeoffs;
  const minutes = Math.round((Date.parse(with_.endAt) - Date.parse(without.endAt)) / 60_000);
  const chance = (one: SwapPlan) => Math.max(0, ...one.flights.map(({ chanceEarly }) => chanceEarly));
  const risk = Math.round((chance(pinned) - chance(free)) * 100);
  const lost = placed(free) - placed(pinned);
  // Pinned as it is, it is also a plan without pins: one that is found and is no better says nothing.
  if ((lost || takeoffs || minutes) < 0) return 'nothing';
  const parts = [
    lost > 0 && `${counted(lost, 'take', 'takes')} without a place`,
    takeoffs !== 0 &&
      `${counted(Math.abs(takeoffs), 'take-off', 'take-offs')} ${takeoffs > 0 ? 'more' : 'less'}`,
    minutes !== 0 && `${Math.abs(minutes)} min ${minutes > 0 ? 'later' : 'earlier'}`,
    risk > 0 && `${risk} in 100 more that the tightest flight turns back early`,
  ].filter(Boolean);
  return parts.length === 0 ? 'nothing' : parts.join(', ');
}
