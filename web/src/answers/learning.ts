import {
  type AircraftRecord,
  type BatteryRecord,
  basisOf,
  changesSince,
  type DayAtPlace,
  estimateRequestFor,
  type Fit,
  type FitChanges,
  type FitContent,
  type FitRequest,
  fitRequestFor,
  isFlown,
  type ListedFit,
  type NextTest,
} from '@acorn-tally/core';
import { useEffect, useMemo, useState } from 'react';
import { edited, making } from '../records/changes';
import type { Data } from '../records/kinds';
import { useRecords } from '../records/records';
import { comesOrGoes } from '../records/undoHistory';
import { currentOf } from '../state/belief';
import { type Fitting, testsToFlyNext, useFit } from '../workers/useFit';
import { countsNow } from './counted';

/** What the flights of an aircraft are now, and what is different from what its current fit was made of. */
export interface ToLearn {
  readonly request: FitRequest;
  readonly basis: Pick<FitContent, 'basisState' | 'flights'>;
  /** The same text for the same flights. */
  readonly key: string;
  readonly current: ListedFit | null;
  /** Null where the current fit is of just these flights; all of them are new where there is none. */
  readonly changes: FitChanges | null;
}

export function toLearn(
  aircraft: AircraftRecord,
  { batteries, testFlights, fits }: Pick<Data, 'batteries' | 'testFlights' | 'fits'>,
): ToLearn {
  const tests = testFlights.map((test) => ({ ...test, counts: countsNow(test) }));
  const request = fitRequestFor(aircraft, batteries, tests, null);
  const basis = basisOf(request);
  const current = currentOf(aircraft, fits);
  return {
    request,
    basis,
    key: JSON.stringify([aircraft.id, basis, request.flights.map(({ id }) => id), cyclesOf(request)]),
    current,
    changes: changesSince(current ?? { basisState: basis.basisState, flights: [] }, basis),
  };
}

function cyclesOf({ batteries }: FitRequest) {
  return batteries.map(({ cycles }) => cycles);
}

export interface Learning extends ToLearn {
  readonly fitting: Fitting;
}

/** What there is to learn of an aircraft, as flights, packs and fits are now. */
export function useToLearn(aircraft: AircraftRecord): ToLearn {
  const batteries = useRecords((state) => state.batteries);
  const testFlights = useRecords((state) => state.testFlights);
  const fits = useRecords((state) => state.fits);
  return useMemo(
    () => toLearn(aircraft, { batteries, testFlights, fits }),
    [aircraft, batteries, testFlights, fits],
  );
}

/** What the flights of an aircraft teach, computed in a worker whenever they are others. */
export function useLearning(aircraft: AircraftRecord): Learning {
  const all = useToLearn(aircraft);
  const isAny = all.basis.flights.length > 0;
  return { ...all, fitting: useFit(isAny ? all.request : null, all.key) };
}

/** Keeps a fit, and makes it the one that is flown by: one step, to be taken back as one. */
export function takeFit(aircraft: AircraftRecord, { basis }: Pick<ToLearn, 'basis'>, fit: Fit): void {
  const { fresh, doAll } = useRecords.getState();
  const content: FitContent = { aircraftId: aircraft.id, madeAt: new Date().toISOString(), ...basis, fit };
  const record = fresh('fits', content);
  const current = edited(useRecords.getState(), 'aircraft', aircraft.id, { currentFitId: record.id });
  doAll(
    [making('fits', record), ...(current ? [current] : [])],
    `use what flights of ${aircraft.name} taught`,
    comesOrGoes,
  );
}

/** Flies by a fit that is kept already, or (null) by the box alone; new ones are then offered, not taken at once. */
export function goBackTo(aircraft: AircraftRecord, fitId: string | null): void {
  const label = fitId
    ? `go back to an earlier fit of ${aircraft.name}`
    : `estimate ${aircraft.name} from the box`;
  const change = { currentFitId: fitId, takesFits: false };
  useRecords.getState().edit('aircraft', aircraft.id, change, label, comesOrGoes);
}

/** Which tests would narrow a battery's planned flight most, after a fit; null until it is known. */
export function useNextTests(
  { request, key }: ToLearn,
  posterior: Fit['posterior'] | null,
  aircraft: AircraftRecord,
  battery: BatteryRecord | null,
  conditions: DayAtPlace | null,
): readonly NextTest[] | null {
  const [found, setFound] = useState<readonly NextTest[] | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says what the flights are
  useEffect(() => {
    if (!posterior || !battery || !conditions) return setFound(null);
    const wanted = new AbortController();
    const testableIds = useRecords
      .getState()
      .batteries.filter((one) => one.aircraftId === aircraft.id && isFlown(one.keeping))
      .map(({ id }) => id);
    const planned = { ...estimateRequestFor(aircraft, battery, conditions), batteryId: battery.id };
    // A hand on a slider asks many times a second.
    const later = setTimeout(() => {
      testsToFlyNext({ ...request, planned, testableIds }, posterior, wanted.signal).then(setFound, () =>
        setFound(null),
      );
    }, 400);
    return () => {
      clearTimeout(later);
      wanted.abort();
    };
  }, [key, posterior, aircraft, battery, conditions]);
  return found;
}
