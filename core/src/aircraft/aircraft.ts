import type { Quantity } from '../units/quantity';

export const styles = ['hover', 'slow', 'normal', 'fast', 'manual'] as const;
export type Style = (typeof styles)[number];
export type Mode = Exclude<Style, 'hover'>;

export const aircraftKinds = ['camera', 'racing'] as const;
export type AircraftKind = (typeof aircraftKinds)[number];

export const returnHoldings = ['airspeed', 'ground-speed'] as const;
export type ReturnHolds = (typeof returnHoldings)[number];

/**
 * What the box and the spec sheet say of an aircraft. SI; charges are fractions of the gauge 0–1.
 * What is absent or null is assumed, by rules that stand beside the law that needs it.
 */
export interface Aircraft {
  readonly name?: string | null;
  readonly kind: AircraftKind;
  readonly takeoffMassKg: number;
  readonly rotorCount: number;
  readonly rotorDiameterM?: number | null;
  /** Full pack flown to empty at the advertised speed, in still air. */
  readonly advertisedFlightTimeS: number;
  readonly advertisedSpeedMps: number;
  readonly advertisedHoverTimeS?: number | null;
  /** The pack the advertised times are for; the battery at hand when absent. */
  readonly advertisedCapacityMah?: number | null;
  readonly modes?: { readonly [M in Mode]?: { readonly maxAirspeedMps: number } | null } | null;
  readonly climbSpeedMps?: number | null;
  readonly descentSpeedMps?: number | null;
  readonly returnSpeedMps?: number | null;
  readonly returnSpeedPushedMps?: number | null;
  /** What its automatic return holds; the worse of both is planned on while that is not known. */
  readonly returnHolds?: ReturnHolds | null;
  /** The wind its maker lets it be flown in. */
  readonly maxWindMps?: number | null;
  /** The height above the sea its maker lets it be flown at. */
  readonly maxElevationM?: number | null;
  readonly lowWarningCharge?: number | null;
  readonly forcedLandingCharge?: number | null;
  /** What its own call to return keeps beyond the way home in still air and its forced landing. */
  readonly ownCallMarginCharge?: number | null;
  readonly hiddenCharge?: number | null;
  readonly landInPlaceRadiusM?: number | null;
  readonly lowReturnRadiusM?: number | null;
  readonly lowReturnHeightM?: number | null;
  readonly dragAreaM2?: number | null;
  readonly auxiliaryPowerW?: number | null;
  /** What hangs on it beyond that mass: guards, a filter, a light. The box was measured without it. */
  readonly addedMassKg?: number | null;
}

const metresPerSecond = (label: string, min: number, max: number): Quantity => ({
  label,
  unit: 'm/s',
  siPerUnit: 1,
  min,
  max,
  step: 0.5,
});
const metres = (label: string, min: number, max: number): Quantity => ({
  label,
  unit: 'm',
  siPerUnit: 1,
  min,
  max,
  step: 5,
});
const percent = (label: string, min: number, max: number): Quantity => ({
  label,
  unit: '%',
  siPerUnit: 0.01,
  min,
  max,
  step: 1,
});

export const aircraftRanges = {
  takeoffMassKg: { label: 'Take-off mass', unit: 'g', siPerUnit: 0.001, min: 0.04, max: 25, step: 1 },
  rotorCount: { label: 'Rotors', unit: '', siPerUnit: 1, min: 2, max: 12, step: 1, whole: true },
  rotorDiameterM: { label: 'Rotor diameter', unit: 'mm', siPerUnit: 0.001, min: 0.02, max: 1.2, step: 1 },
  advertisedFlightTimeS: {
    label: 'Flight time on the box',
    unit: 'min',
    siPerUnit: 60,
    min: 120,
    max: 7200,
    step: 1,
  },
  advertisedSpeedMps: metresPerSecond('Speed it was advertised at', 0, 30),
  advertisedHoverTimeS: {
    label: 'Hover time on the box',
    unit: 'min',
    siPerUnit: 60,
    min: 120,
    max: 7200,
    step: 1,
  },
  advertisedCapacityMah: {
    label: 'Pack on the box',
    unit: 'mAh',
    siPerUnit: 1,
    min: 100,
    max: 60_000,
    step: 10,
  },
  climbSpeedMps: metresPerSecond('Climb speed', 0.5, 15),
  descentSpeedMps: metresPerSecond('Descent speed', 0.5, 15),
  returnSpeedMps: metresPerSecond('Return speed', 1, 30),
  returnSpeedPushedMps: metresPerSecond('Return speed, stick pushed', 1, 40),
  maxWindMps: metresPerSecond('Maker’s wind limit', 1, 40),
  maxElevationM: metres('Maker’s height limit', 500, 9000),
  lowWarningCharge: percent('Low warning', 0.1, 0.5),
  forcedLandingCharge: percent('Forced landing', 0, 0.2),
  ownCallMarginCharge: percent('Margin of its automatic return', 0, 0.3),
  hiddenCharge: percent('Hidden below 0 %', 0, 0.15),
  landInPlaceRadiusM: metres('Lands in place within', 0, 100),
  lowReturnRadiusM: metres('Returns low within', 0, 200),
  lowReturnHeightM: metres('Low return height', 0, 100),
  dragAreaM2: { label: 'Drag area', unit: 'cm²', siPerUnit: 0.0001, min: 0.0002, max: 1, step: 5 },
  auxiliaryPowerW: { label: 'Electronics', unit: 'W', siPerUnit: 1, min: 0, max: 200, step: 0.5 },
  addedMassKg: { label: 'Accessories attached', unit: 'g', siPerUnit: 0.001, min: 0, max: 5, step: 1 },
} as const satisfies Record<string, Quantity>;

export const maxAirspeedRange = metresPerSecond('Top airspeed', 1, 60);

/** Spec-sheet fields a pilot seldom knows, typical of the trade (common practice). */
export const defaultSpec = {
  climbSpeedMps: 4,
  descentSpeedMps: 3,
  returnSpeedMps: 8,
  returnSpeedPushedMps: 13,
  lowWarningCharge: 0.2,
  forcedLandingCharge: 0.1,
  landInPlaceRadiusM: 5,
  lowReturnRadiusM: 20,
  lowReturnHeightM: 10,
} as const;

/** Top airspeed of each mode where the spec sheet is silent, m/s (assumed, typical of each kind). */
const defaultMaxAirspeedMps: Readonly<Record<AircraftKind, Readonly<Record<Mode, number>>>> = {
  camera: { slow: 8, normal: 12, fast: 16, manual: 20 },
  racing: { slow: 8, normal: 15, fast: 27, manual: 35 },
};

/** Top airspeed of a flying mode; a hover is held with the authority of the fastest a camera is flown in. */
export function maxAirspeedMps(aircraft: Aircraft, style: Style): number {
  if (style === 'hover') return Math.max(...hoverModes.map((mode) => maxAirspeedMps(aircraft, mode)));
  return aircraft.modes?.[style]?.maxAirspeedMps ?? defaultMaxAirspeedMps[aircraft.kind][style];
}
const hoverModes = ['normal', 'fast'] as const;

/** Modes from the slowest up: where one drifts, a pilot takes the next. Manual is chosen, never taken. */
const fasterModes: readonly Mode[] = ['slow', 'normal', 'fast'];

/** The slowest mode above a style's own that holds its place in a wind; null where none does. */
export function holdingMode(aircraft: Aircraft, style: Style, windMps: number): Mode | null {
  if (style === 'hover') return null;
  const faster = fasterModes.slice(fasterModes.indexOf(style) + 1);
  return faster.find((mode) => windMps <= maxAirspeedMps(aircraft, mode)) ?? null;
}

/** Top airspeed of the slowest mode from a style's own up that holds its place in a wind; of the fastest where none does. */
export function holdingAirspeedMps(aircraft: Aircraft, style: Style, windMps: number): number {
  const own = maxAirspeedMps(aircraft, style);
  if (style === 'hover' || windMps <= own) return own;
  const mode = holdingMode(aircraft, style, windMps);
  if (mode) return maxAirspeedMps(aircraft, mode);
  const faster = fasterModes.slice(fasterModes.indexOf(style) + 1);
  return Math.max(own, ...faster.map((one) => maxAirspeedMps(aircraft, one)));
}

/** A spec-sheet value, or the typical one where the pilot left it empty. */
export function spec(aircraft: Aircraft, field: keyof typeof defaultSpec): number {
  return aircraft[field] ?? defaultSpec[field];
}
