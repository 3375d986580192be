import type { GroundBelow, LandingPlace, Obstacle } from '../air/obstacle';
import type { Coordinates } from '../air/sun';
import type { EstimateRequest } from '../estimate/request';
import type { StyleShare } from '../flight/styles';
import type { Position } from '../reserve/returnHome';

/** Everything a way home depends on; see docs/METHOD.md. */
export interface ReturnRequest
  extends Pick<EstimateRequest, 'aircraft' | 'battery' | 'batteryId' | 'conditions' | 'policy'> {
  /** Where it is, with what the gauge shows there, 0–1. */
  readonly position: Position & { readonly charge: number };
  /** As set on the aircraft. */
  readonly returnHeightM?: number | null;
  /** What hangs on the aircraft. */
  readonly addedMassKg?: number | null;
  /** How it is flown until it turns back; hovering where absent. */
  readonly mix?: readonly StyleShare[] | null;
  readonly obstacles?: readonly Obstacle[] | null;
  /** Of all that stands there; what is listed counts as well. */
  readonly tallestM?: number | null;
  readonly ceilingM?: number | null;
  readonly landingPlaces?: readonly LandingPlace[] | null;
  readonly below?: GroundBelow | null;
  /** When and where on earth, for the light: low sun and darkness. Null where it is not known. */
  readonly at?: string | null;
  readonly coordinates?: Coordinates | null;
}

const hovering: readonly StyleShare[] = [{ style: 'hover', share: 1 }];

/** The flight that leads to the position, as an estimate sees it: the same code answers both. */
export function flightTo(request: ReturnRequest): EstimateRequest {
  const { aircraft, battery, batteryId, conditions, policy, position } = request;
  return {
    aircraft,
    battery,
    batteryId,
    conditions,
    policy,
    flight: {
      heightM: position.heightM,
      farthestM: position.distanceM,
      bearingDeg: position.bearingDeg,
      returnHeightM: request.returnHeightM ?? null,
      addedMassKg: request.addedMassKg ?? null,
      mix: request.mix ?? hovering,
    },
    site: { obstacles: request.obstacles ?? null, tallestM: request.tallestM ?? null },
  };
}
