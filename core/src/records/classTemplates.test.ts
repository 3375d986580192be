import { answered } from '../../fixtures/answered';
import { boxBelief, boxMiddle } from '../../fixtures/beliefs';
import { jayOnTheFell } from '../../fixtures/jay';
import { estimate } from '../estimate/estimate';
import { estimateInFull } from '../estimate/full';
import type { EstimateRequest } from '../estimate/request';
import { withWhatIf } from '../estimate/whatIf';
import { aircraftOfClass, classTemplates } from './classTemplates';

// Common practice: field hovers last 70 to 85 % of the box; to the end, still air, new pack.
test.each(classTemplates)('the class $name flies: its hover is a fair share of its box', (template) => {
  const { spec, flight, policy } = aircraftOfClass(template, template.name);
  const outcome = estimate(
    {
      aircraft: spec,
      battery: template.pack,
      conditions: {
        airTemperatureC: 20,
        elevationM: 0,
        wind: { speedMps: 0, fromDeg: 0, readingHeightM: 10 },
      },
      flight: { ...flight, farthestM: 0, mix: [{ style: 'hover', share: 1 }] },
      policy: { ...policy, kind: 'empty' },
    },
    boxMiddle,
  );
  const lastsS = outcome.ok ? outcome.value.touchdownS.p50 : 0;
  expect(lastsS / spec.advertisedFlightTimeS).toBeGreaterThan(0.7);
  expect(lastsS / spec.advertisedFlightTimeS).toBeLessThan(0.95);
});

// Pilots fly cold-soaked packs at 0 °C, shorter and with care (common practice); some had no plan left until 1 Dec 2026.
test.each(classTemplates)(
  'the class $name has minutes to plan on at 0 °C with a pack as cold',
  (template) => {
    const { spec, flight, policy } = aircraftOfClass(template, template.name);
    const conditions = {
      airTemperatureC: 0,
      elevationM: 0,
      wind: { speedMps: 3, fromDeg: 0, readingHeightM: 10 },
    };
    const pack = { ...template.pack, startTemperatureC: 0 };
    const request = { aircraft: spec, battery: pack, conditions, flight, policy };
    const cold = answered(estimateInFull(request, boxBelief)).usableS.planned;
    const mild = answered(
      estimateInFull({ ...request, battery: { ...pack, startTemperatureC: 20 } }, boxBelief),
    ).usableS.planned;
    expect(cold).toBeGreaterThan(0);
    expect(cold).toBeLessThan(mild);
  },
);

const usableS = (request: EstimateRequest) => answered(estimate(request, boxMiddle)).usableS.p50;

// Denser air gives back some 2 % (power as one over the root of density); a pack that waits in the cold loses more (common practice).
test.each(classTemplates.map((template) => [template.name, template] as const))(
  'ten degrees colder costs a %s minutes, since its pack waits in that air (until 25 Nov 2026 it gained them)',
  (_, template) => {
    const { flight, policy, spec } = aircraftOfClass(template, 'Any');
    const near = { ...flight, farthestM: 50 };
    const conditions = { ...jayOnTheFell.conditions, airTemperatureC: 15 };
    const pack = { ...template.pack, startTemperatureC: 15 };
    const request = { aircraft: spec, battery: pack, conditions, flight: near, policy };
    const now = usableS(request);
    const colder = usableS(withWhatIf(request, { kind: 'colder', amount: 10 }, 'outside'));
    expect(colder).toBeLessThan(now);
    expect(colder).toBeGreaterThan(0.8 * now);
    // One kept in a room is as warm as before: the cold then takes less.
    const inRoom = usableS(withWhatIf(request, { kind: 'colder', amount: 10 }, 'room'));
    expect(inRoom).toBeGreaterThan(colder);
  },
);
