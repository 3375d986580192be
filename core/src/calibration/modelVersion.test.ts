import golden from '../../fixtures/goldenTable.json';
import { priors } from '../belief/priors';
import { fingerprint } from '../units/fingerprint';
import { modelVersion } from './modelVersion';

// Not from outside: a kept fit is in deviations of the priors, so it must be known when they or the laws have changed.
test('with these answers and priors it is this version of the model; raise it when one of them changes', () => {
  const spreads = Object.entries(priors).map(([name, { value, spread }]) => [name, value, spread]);
  expect([modelVersion, fingerprint(JSON.stringify([golden, spreads]))]).toEqual([
    '2026-12-01.5',
    '67dfbe3316822375',
  ]);
});
