import type { PlanRequest } from '@acorn-tally/core';
import { useMemo } from 'react';
import { type PlanNow, usePlanner } from '../workers/usePlanner';
import { planRequestFor, type Shooting } from './planRequest';
import { knownOf } from './useShooting';

/** The plan of a shoot, asked for anew whenever anything it depends on changes; the last one stays meanwhile. */
export function usePlan(shooting: Shooting): PlanNow & { readonly request: PlanRequest } {
  const now = planRequestFor(shooting);
  const asked = JSON.stringify([now, knownOf(now)]);
  // The same question, however often the records behind it are renewed, is asked once.
  const [request, known] = useMemo(() => JSON.parse(asked), [asked]) as [
    PlanRequest,
    ReturnType<typeof knownOf>,
  ];
  const isEmpty = request.shots.length === 0 || request.batteries.length === 0;
  return { ...usePlanner(isEmpty ? null : request, known), request };
}
