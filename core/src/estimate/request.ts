import { conditionsRanges, windRanges } from '../air/conditions';
import { type Site, tallestThingM } from '../air/site';
import { aircraftRanges } from '../aircraft/aircraft';
import { batteryRanges } from '../battery/battery';
import type { FlightSetup } from '../belief/flightContext';
import { type FlightLeg, flightLegRanges } from '../flight/flightLegs';
import { type StyleShare, styleShareRanges } from '../flight/styles';
import { type HomeRule, homeRuleOf } from '../reserve/homing';
import { type Policy, policyRanges } from '../reserve/policy';
import { positionRanges } from '../reserve/returnHome';
import type { Refusal } from '../units/outcome';
import type { Quantity } from '../units/quantity';
import { sentence } from '../units/sentence';

/** How a flight will be flown: where, and in what mix of styles. */
export interface FlightPlan {
  readonly heightM: number;
  readonly farthestM: number;
  readonly bearingDeg: number;
  readonly returnHeightM?: number | null;
  readonly recordingLoadW?: number | null;
  /** What hangs on the aircraft in this flight: guards, a filter, a light. */
  readonly addedMassKg?: number | null;
  /** Empty where legs are given. */
  readonly mix: readonly StyleShare[];
  /** A round of legs, flown again and again, instead of a mix. */
  readonly legs?: readonly FlightLeg[] | null;
}

/** Everything an estimate depends on; see docs/METHOD.md. */
export interface EstimateRequest extends FlightSetup {
  readonly flight: FlightPlan;
  readonly policy: Policy;
  /** What stands there decides how low a way home by hand may be flown; else it is for cautions only. */
  readonly site?: Pick<Site, 'tallestM' | 'ceilingM' | 'obstacles'> | null;
}

export const flightRanges = {
  heightM: { ...positionRanges.heightM, label: 'Working height' },
  farthestM: { ...positionRanges.distanceM, label: 'Farthest out' },
  bearingDeg: positionRanges.bearingDeg,
  returnHeightM: positionRanges.returnHeightM,
  recordingLoadW: { label: 'Recording load', unit: 'W', siPerUnit: 1, min: 0, max: 50, step: 0.5 },
  addedMassKg: { ...aircraftRanges.addedMassKg, label: 'Accessories attached' },
} as const satisfies Record<string, Quantity>;

/** All ranges, by the part of the request they belong to. */
export const ranges = {
  aircraft: aircraftRanges,
  battery: batteryRanges,
  conditions: conditionsRanges,
  wind: windRanges,
  flight: flightRanges,
  styleShare: styleShareRanges,
  flightLeg: flightLegRanges,
  policy: policyRanges,
} as const;

/** A flight is a mix or a round of legs, and the shares of a mix fill it: what is wrong, or null. */
export function flightProblem({ mix, legs }: Pick<FlightPlan, 'mix' | 'legs'>): Refusal | null {
  if (!legs?.length) return mixProblem(mix);
  if (mix.length === 0) return null;
  return sentence('flight-not-whole', 'A flight is a mix or a list of legs, not both.');
}

/** How the way home of a flight is flown. */
export function homeRule({
  flight,
  policy,
  site,
}: Pick<EstimateRequest, 'flight' | 'policy' | 'site'>): HomeRule {
  return homeRuleOf(policy, flight.returnHeightM, tallestThingM(site ?? {}));
}

/** What is missing from 100 %, or null. */
export function mixProblem(mix: readonly StyleShare[]): Refusal | null {
  const wholeFraction = mix.reduce((total, part) => total + part.share, 0);
  if (Math.abs(wholeFraction - 1) <= 0.001) return null;
  return sentence('flight-not-whole', 'The shares of the mix must make 100 %, not {wholeFraction:1}.', {
    wholeFraction,
  });
}
