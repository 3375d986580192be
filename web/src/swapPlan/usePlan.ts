import {
  type PlanRequest,
  planRequestFor,
  type Shooting,
  type SoundPart,
  soundPart,
} from '@acorn-tally/core';
import isEqual from 'fast-deep-equal';
import { useMemo, useRef } from 'react';
import { type PlanNow, usePlanner } from '../workers/usePlanner';
import { knownOf } from './useShooting';

/**
 * The plan of a shoot, asked for anew whenever anything it depends on changes; the last one stays meanwhile. Shots that contradict
 * the rest are left out of it and named.
 */
export function usePlan(
  shooting: Shooting,
): PlanNow & { readonly request: PlanRequest } & Omit<SoundPart, 'request'> {
  const wanted = useMemo(() => planRequestFor(shooting), [shooting]);
  const request = useSame(wanted);
  const known = useSame(knownOf(request));
  const { request: sound, leftOut, messages } = useMemo(() => soundPart(request), [request]);
  const isEmpty = !sound || sound.shots.length === 0 || sound.batteries.length === 0;
  const now = usePlanner(isEmpty ? null : sound, known);
  return { ...now, request: sound ?? request, leftOut, messages };
}

/** The value before, as long as the new one says the same: the same question, however often the records behind it are renewed, is asked once. */
function useSame<Value>(value: Value): Value {
  const held = useRef(value);
  if (held.current !== value && !isEqual(held.current, value)) held.current = value;
  return held.current;
}
