import { airPriors } from '../air/conditions';
import { airframePriors } from '../aircraft/airframe';
import { cellPriors } from '../battery/cells';
import { bendPriors, gaugeErrorPriors } from '../battery/gauge';
import { healthPriors } from '../battery/wear';
import { boxPriors } from '../flight/box';
import { boxPairPriors } from '../flight/boxPair';
import { luckPriors } from '../flight/luck';
import { movingPriors } from '../flight/moving';
import { speedPriors, stylePriors } from '../flight/styles';
import { ownCallPriors, returnPriors } from '../reserve/returnHome';
import type { Assumed, ValuesOf } from '../units/assumed';

/** Every assumed constant of the model with its spread and scope, gathered from beside the laws; the weightiest first. */
export const priors = {
  ...airPriors,
  ...returnPriors,
  ...boxPriors,
  ...luckPriors,
  ...healthPriors,
  ...stylePriors,
  ...cellPriors,
  ...airframePriors,
  ...speedPriors,
  ...bendPriors,
  ...boxPairPriors,
  ...movingPriors,
  ...gaugeErrorPriors,
  ...ownCallPriors,
} as const satisfies Record<string, Assumed>;

export type PriorName = keyof typeof priors;
/** A value for each of them: one way the world may be. */
export type Coefficients = ValuesOf<typeof priors>;

export const priorNames = Object.keys(priors) as readonly PriorName[];
