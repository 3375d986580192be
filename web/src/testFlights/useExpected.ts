import {
  type AircraftRecord,
  type BatteryRecord,
  type Conditions,
  estimate,
  type TestFlight,
  testRequestFor,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { useBandsOf } from '../answers/useBands';
import type { Expected } from '../flightClock/expected';
import { beliefAbout } from '../state/belief';

interface Answer {
  /** Null where such a flight cannot be flown in the model. */
  readonly expected: Expected | null;
  /** Whether its band is there too. */
  readonly fresh: boolean;
}

/** The gauge as it is expected to go in a test, at once; its band follows from the workers. */
export function useExpected(
  test: TestFlight,
  aircraft: AircraftRecord,
  battery: BatteryRecord,
  weather: Conditions,
): Answer {
  const { known, middle } = beliefAbout(aircraft);
  const key = JSON.stringify([test, aircraft.spec, battery.pack, weather]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the request is all that is in the key
  const request = useMemo(
    () => testRequestFor({ test, weather, flownAt: new Date().toISOString() }, aircraft, battery),
    [key],
  );
  const flown = useMemo(() => estimate(request, middle), [request, middle]);
  const requests = useMemo(() => (flown.ok ? [request] : []), [flown, request]);
  const { value, fresh } = useBandsOf(requests, known);
  const band = fresh ? (value?.[0]?.curve ?? []) : [];
  return useMemo(() => {
    if (!flown.ok) return { expected: null, fresh: true };
    const curve = flown.value.curve.map(({ timeS, charge }) => ({ timeS, charge }));
    return { expected: { curve, band }, fresh };
  }, [flown, band, fresh]);
}
