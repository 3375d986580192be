import type { LiftOffCheck } from '@acorn-tally/core';

/** Each check in a word or two, for what was left out. */
export const checkNames: Record<LiftOffCheck, string> = {
  props: 'rotors',
  pack: 'pack',
  controller: 'controller',
  compass: 'compass',
  satellites: 'satellites',
  'home-point': 'home point',
  'return-height': 'return height',
  wind: 'wind',
  'warm-hover': 'warm hover',
};
