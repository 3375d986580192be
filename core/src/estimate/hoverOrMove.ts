import { type Outcome, success } from '../units/outcome';
import { estimate } from './estimate';
import type { EstimateRequest } from './request';

/** The same battery and place, standing all the time and moving slowly and steadily all the time. */
export interface HoverOrMove {
  readonly hoverS: number;
  readonly slowS: number;
  readonly hoverW: number;
  readonly slowW: number;
}

/**
 * When moving is cheaper than standing: a rotor needs least power at a middling airspeed (Leishman, Principles of Helicopter
 * Aerodynamics, ch. 5), and a hover in wind is already flight at the wind's airspeed, so it depends on the wind.
 */
export function hoverOrMove(request: EstimateRequest): Outcome<HoverOrMove> {
  const [hover, slow] = [only(request, 'hover'), only(request, 'slow')];
  if (!hover.ok) return hover;
  if (!slow.ok) return slow;
  return success({
    hoverS: hover.value.usableS.p50,
    slowS: slow.value.usableS.p50,
    hoverW: hover.value.power.meanW,
    slowW: slow.value.power.meanW,
  });
}

function only(request: EstimateRequest, style: 'hover' | 'slow') {
  return estimate({
    ...request,
    flight: { ...request.flight, legs: null, mix: [{ style, share: 1, reversalsPerMin: 0 }] },
  });
}
