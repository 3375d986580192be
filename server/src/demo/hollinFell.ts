import {
  type AircraftContent,
  type Battery,
  type BatteryKeeping,
  beliefFrom,
  type ChargerContent,
  defaultDraws,
  fromTheBox,
  frozenEstimate,
  type ShootContent,
  type Shot,
  testRequestFor,
} from '@acorn-tally/core';
import type { Transaction } from '../database/database';
import type { Stores } from '../database/stores';
import { cruiseTest, type ExampleTest, flown, hoverTest, read, showing } from './hollinFellTests';
import { dairy, dairyMorning, weatherOf } from './hollinFellWeather';

/**
 * The example, all of it made up: Hollin Fell, a hill dairy at 620 m, and a two-day film about bringing the herd down
 * in late November. Loads only into an empty database; returns whether it did.
 */
export async function loadHollinFell(stores: Stores): Promise<boolean> {
  const { database } = stores;
  if (!(await database.read((reader) => stores.of('aircraft').isEmpty(reader)))) return false;
  await database.write(async (transaction) => {
    const place = await stores.of('places').insert(transaction, dairy);
    const day = await stores.of('days').insert(transaction, { ...dairyMorning, placeId: place.id });
    const chargerIds: string[] = [];
    for (const charger of chargers)
      chargerIds.push((await stores.of('chargers').insert(transaction, charger)).id);
    for (const aircraft of fleet) await loadAircraft(stores, transaction, aircraft, day.id, chargerIds);
  });
  return true;
}

async function loadAircraft(
  stores: Stores,
  transaction: Transaction,
  entry: FleetEntry,
  dayId: string,
  chargerIds: readonly string[],
): Promise<void> {
  const aircraft = await stores.of('aircraft').insert(transaction, entry.aircraft);
  const batteryIds: string[] = [];
  const belief = beliefFrom(fromTheBox, defaultDraws);
  for (const [index, { keeping, ...state }] of entry.packs.entries()) {
    const { name } = entry.aircraft;
    const pack = { ...entry.label, ...state };
    const content = { aircraftId: aircraft.id, label: `${name} ${index + 1}`, pack, keeping };
    batteryIds.push((await stores.of('batteries').insert(transaction, content)).id);
  }
  for (const { battery, flownAt, test, weather, excludedReason, note } of entry.tests) {
    const own = entry.packs[battery - 1] as FleetEntry['packs'][number];
    const pack = { ...entry.label, startCharge: own.startCharge, cycles: own.cycles };
    const request = testRequestFor({ test, flownAt, weather }, aircraft, { pack, keeping: own.keeping });
    const estimate = frozenEstimate(request, belief);
    if (!estimate.answer) throw new Error(`The example's test of ${flownAt} has no estimate.`);
    await stores.of('testFlights').insert(transaction, {
      aircraftId: aircraft.id,
      batteryId: batteryIds[battery - 1] as string,
      flownAt,
      test,
      weather,
      note: note ?? null,
      excludedReason: excludedReason ?? null,
      estimate,
    });
  }
  if (entry.shoot) {
    const [hub] = chargerIds as [string];
    const shoot = { ...entry.shoot, aircraftId: aircraft.id, dayId, batteryIds, chargerIds: [hub] };
    await stores.of('shoots').insert(transaction, shoot);
  }
}

type PackLabel = Omit<Battery, keyof PackNow>;
type PackNow = Pick<Battery, 'startCharge' | 'startTemperatureC' | 'cycles' | 'health'> & {
  readonly keeping: BatteryKeeping;
};

interface FleetEntry {
  readonly aircraft: AircraftContent;
  readonly label: PackLabel;
  readonly packs: readonly PackNow[];
  readonly tests: readonly ExampleTest[];
  readonly shoot?: Omit<ShootContent, 'aircraftId' | 'dayId' | 'batteryIds' | 'chargerIds'>;
}

const chargers: readonly ChargerContent[] = [
  { name: 'Hub in the dairy', charger: { atOnce: 1, emptyToFullS: 54 * 60, power: 'mains' } },
  {
    name: 'Outlet in the car',
    charger: { atOnce: 1, emptyToFullS: 75 * 60, power: 'car', powerUntil: '2026-11-26T16:00:00+00:00' },
  },
];

const framing = [
  { style: 'hover', share: 0.45 },
  { style: 'slow', share: 0.35 },
  { style: 'normal', share: 0.15 },
  { style: 'fast', share: 0.05 },
] as const;

const windyReserve = { kind: 'touch-down-charge', reserveCharge: 0.25 } as const;

const shots: readonly Shot[] = [
  { ...shot('gate', 'Gate opens', 4, 'hover', 35, 60, 20), takes: 2, light: 'low-sun' },
  { ...shot('lane', 'Herd through the lane', 5.3, 'slow', 180, 70, 30), setUpS: 20, light: 'low-sun' },
  { ...shot('ridge', 'Ridge pull-back', 6.2, 'slow', 260, 200, 90), light: 'low-sun' },
  { ...shot('bridge', 'Bridge from below', 4.5, 'hover', 120, 90, 5), after: ['lane'] },
  { ...shot('chase', 'Lane chase', 3.7, 'fast', 400, 80, 15), need: 'nice' },
  shot('yard', 'Yard circle', 5, 'normal', 25, 0, 25),
  { ...shot('village', 'Over the village', 6.3, 'slow', 300, 110, 60), need: 'nice' },
  {
    ...shot('milking', 'Into the milking yard', 4, 'hover', 20, 10, 8),
    earliestAt: '2026-11-26T09:20:00+00:00',
  },
  shot('last', 'Last look', 5.5, 'slow', 90, 240, 110),
];

function shot(
  id: string,
  name: string,
  minutes: number,
  style: Shot['style'],
  distanceM: number,
  bearingDeg: number,
  heightM: number,
): Shot {
  return { id, name, durationS: Math.round(minutes * 60), style, distanceM, bearingDeg, heightM };
}

const thisMorning: BatteryKeeping = { chargedAt: '2026-11-26T07:40:00+00:00' };
const yesterday: BatteryKeeping = { chargedAt: '2026-11-25T08:40:00+00:00' };

const jay: FleetEntry = {
  aircraft: {
    name: 'Jay',
    spec: {
      name: 'Jay',
      kind: 'camera',
      takeoffMassKg: 0.249,
      returnSpeedMps: 10,
      rotorCount: 4,
      rotorDiameterM: 0.12,
      advertisedFlightTimeS: 31 * 60,
      advertisedSpeedMps: 5.5,
      advertisedCapacityMah: 2350,
      modes: {
        slow: { maxAirspeedMps: 8 },
        normal: { maxAirspeedMps: 11 },
        fast: { maxAirspeedMps: 16 },
      },
    },
    flight: { heightM: 60, farthestM: 150, bearingDeg: 60, returnHeightM: 45, mix: framing },
    policy: windyReserve,
  },
  label: { ratedCapacityMah: 2350, nominalVoltageV: 7.7, cellCount: 2, fullCellVoltageV: 4.4 },
  packs: [
    {
      startCharge: 0.99,
      startTemperatureC: 21,
      cycles: 12,
      keeping: { ...thisMorning, boughtOn: '2026-03-14' },
    },
    {
      startCharge: 0.99,
      startTemperatureC: 21,
      cycles: 15,
      keeping: { ...thisMorning, boughtOn: '2026-03-14' },
    },
    { startCharge: 1, startTemperatureC: 21, cycles: 44, keeping: { ...yesterday, boughtOn: '2025-06-02' } },
    {
      startCharge: 0.99,
      startTemperatureC: 6,
      cycles: 38,
      keeping: { ...thisMorning, boughtOn: '2025-06-02', notes: 'Lay in the car overnight.' },
    },
    {
      startCharge: 0.61,
      startTemperatureC: 21,
      cycles: 40,
      keeping: { ...yesterday, boughtOn: '2025-06-02', keptAt: 'own' },
    },
  ],
  tests: [
    flown(
      1,
      '2026-11-19T13:05',
      showing(
        read(hoverTest('low-hover', 2, 0.98, 0.2, [20, 24]), [
          [141, 90, 4.06],
          [306, 80],
          [463, 70, 3.88],
          [627, 60],
          [775, 50, 3.72],
          [931, 40],
          [1075, 30, 3.62],
        ]),
        [
          [5, 28],
          [460, 20],
          [930, 10],
        ],
      ),
      weatherOf(7, 2, 4, 250),
    ),
    flown(
      4,
      '2026-11-19T13:40',
      read(hoverTest('low-hover', 2, 0.98, 0.25, [18, 10], 4), [
        [120, 90],
        [281, 80],
        [429, 70],
        [724, 50],
        [877, 40],
        [1016, 30],
      ]),
      weatherOf(6, 2, 4, 250),
      {
        note: 'Pack left in the car overnight.',
      },
    ),
    flown(
      2,
      '2026-11-19T14:15',
      cruiseTest('circle', 'slow', 15, 0.99, 0.2, [21, 20]),
      weatherOf(6, 2, 4, 250),
    ),
    flown(
      2,
      '2026-11-25T10:10',
      read(hoverTest('high-hover', 60, 0.98, 0.2, [21, 30]), [
        [324, 80],
        [655, 60],
        [822, 50],
        [1137, 30],
      ]),
      weatherOf(8, 2.5, 4, 230),
    ),
    flown(
      1,
      '2026-11-25T10:50',
      read(cruiseTest('there-and-back', 'fast', 30, 0.99, 0.2, [13, 2]), [
        [99, 90],
        [299, 70],
        [503, 50],
        [686, 30],
      ]),
      weatherOf(8, 2.5, 4, 230),
    ),
    flown(
      3,
      '2026-11-25T11:20',
      cruiseTest('there-and-back', 'slow', 30, 0.97, 0.2, [21, 56]),
      weatherOf(8, 3, 5, 230),
    ),
    flown(5, '2026-11-25T09:30', hoverTest('low-hover', 2, 0.61, 0.3, [9, 40]), weatherOf(9, 3, 5, 230), {
      excludedReason: 'stopped half-way to move a gate, clock ran on',
    }),
  ],
  shoot: {
    name: 'Bringing the herd down, second day',
    startsAt: '2026-11-26T07:30:00+00:00',
    endsAt: '2026-11-26T12:00:00+00:00',
    order: 'free',
    swapTimeS: 270,
    policy: windyReserve,
    shots,
  },
};

const nutcracker: FleetEntry = {
  aircraft: {
    name: 'Nutcracker',
    spec: {
      name: 'Nutcracker',
      kind: 'camera',
      takeoffMassKg: 0.72,
      rotorCount: 4,
      rotorDiameterM: 0.18,
      advertisedFlightTimeS: 36 * 60,
      advertisedSpeedMps: 7.5,
      advertisedHoverTimeS: 31 * 60,
      advertisedCapacityMah: 3700,
      modes: {
        slow: { maxAirspeedMps: 10 },
        normal: { maxAirspeedMps: 14 },
        fast: { maxAirspeedMps: 19 },
      },
      returnSpeedMps: 10,
      returnSpeedPushedMps: 15,
    },
    flight: { heightM: 80, farthestM: 300, bearingDeg: 60, returnHeightM: 45, mix: framing },
    policy: windyReserve,
  },
  label: { ratedCapacityMah: 3700, nominalVoltageV: 11.55, cellCount: 3, fullCellVoltageV: 4.4 },
  packs: [
    { startCharge: 0.99, cycles: 8, keeping: { ...thisMorning, keptAt: 'room' } },
    { startCharge: 0.98, cycles: 61, keeping: { ...thisMorning, keptAt: 'room' } },
    {
      startCharge: 0.88,
      startTemperatureC: 9,
      cycles: 64,
      health: 0.88,
      keeping: { ...thisMorning, keptAt: 'own', healthMeasuredOn: '2026-11-19' },
    },
  ],
  tests: [
    flown(
      1,
      '2026-11-19T15:00',
      read(
        hoverTest('low-hover', 3, 0.98, 0.2, [24, 20]),
        [
          [360, 80, 4.01],
          [741, 60, 3.83],
          [930, 50],
          [1111, 40, 3.71],
          [1371, 25, 3.6],
        ],
        25,
      ),
      weatherOf(6, 2, 4, 250),
    ),
  ],
};

const rook: FleetEntry = {
  aircraft: {
    name: 'Rook',
    spec: {
      name: 'Rook',
      kind: 'racing',
      takeoffMassKg: 0.8,
      rotorCount: 4,
      rotorDiameterM: 0.13,
      advertisedFlightTimeS: 17 * 60,
      advertisedSpeedMps: 9,
      advertisedHoverTimeS: 15 * 60,
      advertisedCapacityMah: 2100,
      returnSpeedMps: 10,
      returnSpeedPushedMps: 15,
    },
    flight: {
      heightM: 30,
      farthestM: 200,
      bearingDeg: 60,
      returnHeightM: 45,
      mix: [
        { style: 'hover', share: 0.1 },
        { style: 'normal', share: 0.3 },
        { style: 'manual', share: 0.6, handling: 'lively' },
      ],
    },
    policy: windyReserve,
  },
  // A plain pack: it does not shed charge by itself.
  label: {
    ratedCapacityMah: 2100,
    nominalVoltageV: 22.2,
    cellCount: 6,
    fullCellVoltageV: 4.2,
    daysToStorage: 0,
  },
  packs: [
    { startCharge: 1, startTemperatureC: 22, cycles: 20, keeping: thisMorning },
    { startCharge: 1, startTemperatureC: 22, cycles: 22, keeping: thisMorning },
    { startCharge: 0.97, startTemperatureC: 22, cycles: 85, keeping: thisMorning },
    {
      startCharge: 0.5,
      startTemperatureC: 8,
      cycles: 140,
      keeping: { ...yesterday, state: 'damaged', notes: 'Dented when it fell off the wall; puffed since.' },
    },
  ],
  tests: [
    flown(
      1,
      '2026-11-25T13:15',
      { ...cruiseTest('free-flying', 'manual', 25, 0.99, 0.25, [9, 20]), handling: 'lively' },
      weatherOf(9, 2.5, 4, 230),
    ),
  ],
};

const fleet: readonly FleetEntry[] = [jay, nutcracker, rook];
