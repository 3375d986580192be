import type { Aircraft } from '../aircraft/aircraft';
import type { Battery } from '../battery/battery';
import { defaultReserveCharge } from '../reserve/policy';
import { defaultPack, newAndFull as full } from './defaultPack';
import type { AircraftContent } from './records';

/**
 * A class of aircraft with figures typical of it, rounded and from memory: no product's sheet. A start for a pilot to
 * write over with what the own box says.
 */
export interface ClassTemplate {
  readonly name: string;
  /** The name without its mass, which is written in the reader's units. */
  readonly what: string;
  readonly spec: Aircraft;
  readonly pack: Battery;
}

const camera = { kind: 'camera', rotorCount: 4 } as const;

const minutes = (count: number) => count * 60;

export const classTemplates: readonly ClassTemplate[] = [
  {
    name: '135 g camera',
    what: 'camera',
    spec: {
      ...camera,
      takeoffMassKg: 0.135,
      rotorDiameterM: 0.075,
      advertisedFlightTimeS: minutes(17),
      advertisedSpeedMps: 4,
    },
    pack: { ...full, ratedCapacityMah: 1400, cellCount: 2, nominalVoltageV: 7.2, fullCellVoltageV: 4.2 },
  },
  {
    name: '249 g camera',
    what: 'camera',
    spec: {
      ...camera,
      takeoffMassKg: 0.249,
      rotorDiameterM: 0.12,
      advertisedFlightTimeS: minutes(30),
      advertisedSpeedMps: 5.5,
    },
    pack: defaultPack,
  },
  {
    name: '570 g camera',
    what: 'camera',
    spec: {
      ...camera,
      takeoffMassKg: 0.57,
      rotorDiameterM: 0.18,
      advertisedFlightTimeS: minutes(30),
      advertisedSpeedMps: 5.5,
    },
    pack: { ...full, ratedCapacityMah: 3500, cellCount: 3, nominalVoltageV: 11.55, fullCellVoltageV: 4.4 },
  },
  {
    name: '720 g camera',
    what: 'camera',
    spec: {
      ...camera,
      takeoffMassKg: 0.72,
      rotorDiameterM: 0.19,
      advertisedFlightTimeS: minutes(33),
      advertisedSpeedMps: 6,
    },
    pack: { ...full, ratedCapacityMah: 3000, cellCount: 4, nominalVoltageV: 14.8, fullCellVoltageV: 4.3 },
  },
  {
    name: '900 g camera',
    what: 'camera',
    spec: {
      ...camera,
      takeoffMassKg: 0.9,
      rotorDiameterM: 0.235,
      advertisedFlightTimeS: minutes(40),
      advertisedSpeedMps: 8,
    },
    pack: { ...full, ratedCapacityMah: 5000, cellCount: 4, nominalVoltageV: 15.4, fullCellVoltageV: 4.4 },
  },
  {
    name: '800 g racing style',
    what: 'racing style',
    spec: {
      kind: 'racing',
      rotorCount: 4,
      takeoffMassKg: 0.8,
      rotorDiameterM: 0.13,
      advertisedFlightTimeS: minutes(18),
      advertisedSpeedMps: 9,
    },
    pack: { ...full, ratedCapacityMah: 2000, cellCount: 6, nominalVoltageV: 22.2, fullCellVoltageV: 4.2 },
  },
  {
    name: '3.5 kg six-rotor',
    what: 'six-rotor',
    spec: {
      kind: 'camera',
      rotorCount: 6,
      takeoffMassKg: 3.5,
      rotorDiameterM: 0.34,
      advertisedFlightTimeS: minutes(25),
      advertisedSpeedMps: 7,
    },
    pack: { ...full, ratedCapacityMah: 9000, cellCount: 6, nominalVoltageV: 22.8, fullCellVoltageV: 4.35 },
  },
];

/** The content of a new aircraft of a class; the mix is the default flight, half of it hovered. */
export function aircraftOfClass(
  template: Pick<ClassTemplate, 'spec' | 'pack'>,
  name: string,
): AircraftContent {
  return {
    name,
    spec: { ...template.spec, name, advertisedCapacityMah: template.pack.ratedCapacityMah },
    flight: {
      heightM: 60,
      farthestM: 150,
      bearingDeg: 0,
      mix: [
        { style: 'hover', share: 0.5 },
        { style: 'slow', share: 0.3 },
        { style: 'normal', share: 0.2 },
      ],
    },
    policy: { kind: 'touch-down-charge', reserveCharge: defaultReserveCharge },
  };
}
