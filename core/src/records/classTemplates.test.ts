import { estimate } from '../estimate/estimate';
import { aircraftOfClass, classTemplates } from './classTemplates';

// Common practice: field hovers last 70 to 85 % of the box; to the end, still air, new pack.
test.each(classTemplates)('the class $name flies: its hover is a fair share of its box', (template) => {
  const { spec, flight, policy } = aircraftOfClass(template, template.name);
  const outcome = estimate({
    aircraft: spec,
    battery: template.pack,
    conditions: { airTemperatureC: 20, elevationM: 0, wind: { speedMps: 0, fromDeg: 0, readingHeightM: 10 } },
    flight: { ...flight, farthestM: 0, mix: [{ style: 'hover', share: 1 }] },
    policy: { ...policy, kind: 'empty' },
  });
  const lastsS = outcome.ok ? outcome.value.touchdownS.p50 : 0;
  expect(lastsS / spec.advertisedFlightTimeS).toBeGreaterThan(0.7);
  expect(lastsS / spec.advertisedFlightTimeS).toBeLessThan(0.95);
});
