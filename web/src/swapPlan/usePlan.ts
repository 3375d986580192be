import type { PlanRequest } from '@acorn-tally/core';
import { useMemo } from 'react';
import { beliefAbout } from '../state/belief';
import { type PlanNow, usePlanner } from '../workers/usePlanner';
import { planRequestFor, type Shooting } from './planRequest';

/** The plan of a shoot, asked for anew whenever anything it depends on changes; the last one stays meanwhile. */
export function usePlan(shooting: Shooting): PlanNow & { readonly request: PlanRequest } {
  const { shoot, aircraft, batteries, chargers, conditions, launchPlaces } = shooting;
  const asked = JSON.stringify([
    planRequestFor({ shoot, aircraft, batteries, chargers, conditions, launchPlaces }),
    beliefAbout(aircraft).known,
  ]);
  // The same question, however often the records behind it are renewed, is asked once.
  const [request, known] = useMemo(() => JSON.parse(asked), [asked]) as [
    PlanRequest,
    ReturnType<typeof beliefAbout>['known'],
  ];
  const isEmpty = request.shots.length === 0 || request.batteries.length === 0;
  const beliefs = useMemo(() => ({ [aircraft.id]: known }), [aircraft.id, known]);
  return { ...usePlanner(isEmpty ? null : request, beliefs), request };
}
