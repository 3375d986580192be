import { agedPack } from '../battery/keeping';
import type { EstimateRequest } from '../estimate/request';
import type { AircraftContent, BatteryContent, TestFlightContent } from '../records/records';
import { requestForTest } from '../testFlights/testFlight';

/** The estimate to hold a test flight against: its aircraft and pack, as old as that was then, flown on until the motors stop. */
export function testRequestFor(
  { test, flownAt, weather }: Pick<TestFlightContent, 'test' | 'flownAt' | 'weather'>,
  aircraft: Pick<AircraftContent, 'spec'>,
  battery: Pick<BatteryContent, 'pack' | 'keeping'> & { readonly id?: string },
): EstimateRequest {
  return requestForTest(test, aircraft.spec, agedPack(battery, flownAt), weather, battery.id ?? null);
}
