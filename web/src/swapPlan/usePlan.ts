import { type PlanRequest, type SoundPart, soundPart } from '@acorn-tally/core';
import { useMemo } from 'react';
import { type PlanNow, usePlanner } from '../workers/usePlanner';
import { planRequestFor, type Shooting } from './planRequest';
import { knownOf } from './useShooting';

/**
 * The plan of a shoot, asked for anew whenever anything it depends on changes; the last one stays meanwhile. Shots that contradict
 * the rest are left out of it and named.
 */
export function usePlan(
  shooting: Shooting,
): PlanNow & { readonly request: PlanRequest } & Omit<SoundPart, 'request'> {
  const wanted = planRequestFor(shooting);
  const asked = JSON.stringify([wanted, knownOf(wanted)]);
  // The same question, however often the records behind it are renewed, is asked once.
  const [request, known] = useMemo(() => JSON.parse(asked), [asked]) as [
    PlanRequest,
    ReturnType<typeof knownOf>,
  ];
  const { request: sound, leftOut, messages } = useMemo(() => soundPart(request), [request]);
  const isEmpty = !sound || sound.shots.length === 0 || sound.batteries.length === 0;
  const now = usePlanner(isEmpty ? null : sound, known);
  return { ...now, request: sound ?? request, leftOut, messages };
}
