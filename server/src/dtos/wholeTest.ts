import { type TestFlight, testFlightFault } from '@acorn-tally/core';
import { invalid } from '../http/problem';

/** A test as a whole, wherever it comes in: its end below its start, its readings within it and in order. */
export function requireWholeTest({ test }: { readonly test: TestFlight }): void {
  const fault = testFlightFault(test);
  if (fault) throw invalid([{ ...fault, path: `test.${fault.path}` }]);
}
