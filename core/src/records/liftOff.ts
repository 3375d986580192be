import { type Sentence, sentence } from '../units/sentence';

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

/** Common practice: fewer do not fix the home point well enough. */
export const minSatellites = 8;
/** Common practice: hover so long after lift-off and look at gauge and behaviour before going anywhere. */
export const warmHoverS = 15;

export type LiftOffNoteCode = 'frost-before' | 'frost-after' | 'precise-landing';
const freezingC = 0;

/** What to keep in mind beside the checks, for this air (common practice). */
export function liftOffNotes(airTemperatureC: number): Sentence<LiftOffNoteCode>[] {
  const landing = sentence(
    'precise-landing',
    'For a precise landing rise straight up {leastM} to {mostM} first, the pad in view, and stand aside of it',
    { leastM: 7, mostM: 10 },
  );
  if (airTemperatureC > freezingC) return [landing];
  return [
    sentence(
      'frost-before',
      'Frost: packs in a pocket until they are used; keep phone and controller warm too',
    ),
    landing,
    sentence(
      'frost-after',
      'Afterwards let cold kit warm up slowly in an unheated place, or it gets wet inside',
    ),
  ];
}
