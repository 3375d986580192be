import { packOf } from '../core/src/battery/pack';
import { drain } from '../core/src/flight/drain';
import { type EstimateRequest, estimate, estimateWithLedger, usualCoefficients } from '../core/src/index';

/** How dear each answer is, as a ratio to one drain of the pack in the same run; no times, which differ by machine. */
const request: EstimateRequest = {
  aircraft: {
    kind: 'camera',
    takeoffMassKg: 0.249,
    rotorCount: 4,
    advertisedFlightTimeS: 1860,
    advertisedSpeedMps: 5.5,
  },
  battery: {
    ratedCapacityMah: 2350,
    nominalVoltageV: 7.7,
    cellCount: 2,
    fullCellVoltageV: 4.4,
    startCharge: 0.99,
  },
  conditions: {
    airTemperatureC: 5,
    elevationM: 620,
    wind: { speedMps: 4, gustMps: 6, fromDeg: 240, readingHeightM: 10 },
  },
  flight: {
    heightM: 60,
    farthestM: 150,
    bearingDeg: 60,
    mix: [
      { style: 'hover', share: 0.5 },
      { style: 'slow', share: 0.5 },
    ],
  },
  policy: { kind: 'touch-down-charge', reserveCharge: 0.25 },
};
const pack = packOf(request.battery, null, usualCoefficients);
const full = { timeS: 0, charge: 1, temperatureC: 20 };

function nanosecondsEach(count: number, work: () => unknown): number {
  for (let i = 0; i < count / 5; i++) work();
  const start = process.hrtime.bigint();
  for (let i = 0; i < count; i++) work();
  return Number(process.hrtime.bigint() - start) / count;
}

const one = nanosecondsEach(3000, () => drain(pack, 38, 5, full));
const ratios = {
  'estimate, box solved and way home included': nanosecondsEach(300, () => estimate(request)) / one,
  'estimate with ledger (128 flights)': nanosecondsEach(50, () => estimateWithLedger(request)) / one,
};
for (const [what, ratio] of Object.entries(ratios)) {
  console.log(`${what.padEnd(46)} ${ratio.toFixed(0).padStart(5)} × one drain of the pack`);
}
