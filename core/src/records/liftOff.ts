/** What is looked at before lift-off, in the order of doing it (common practice). */
export const liftOffChecks = [
  'props',
  'pack',
  'controller',
  'compass',
  'satellites',
  'home-point',
  'return-height',
  'wind',
  'warm-hover',
] as const;
export type LiftOffCheck = (typeof liftOffChecks)[number];

/** The card of the flight that is about to begin, for one battery. */
export interface LiftOffCard {
  readonly batteryId: string;
  readonly ticked: readonly LiftOffCheck[];
}

/** Common practice: fewer do not fix the home point well enough. */
export const leastSatellites = 8;
/** Common practice: hover so long after lift-off and look at gauge and behaviour before going anywhere. */
export const warmHoverS = 15;
