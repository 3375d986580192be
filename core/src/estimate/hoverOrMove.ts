import type { EstimateRequest } from './request';

/**
 * The same battery and place, standing all the time and moving slowly and steadily all the time: when moving is cheaper.
 * A rotor needs least power at a middling airspeed (Leishman, Principles of Helicopter Aerodynamics, ch. 5), and a hover in
 * wind is already flight at the wind's airspeed, so it depends on the wind.
 */
export function hoverOrMove(request: EstimateRequest): {
  readonly [Style in 'hover' | 'slow']: EstimateRequest;
} {
  return { hover: only(request, 'hover'), slow: only(request, 'slow') };
}

function only(request: EstimateRequest, style: 'hover' | 'slow'): EstimateRequest {
  const mix = [{ style, share: 1, reversalsPerMin: 0 }];
  return { ...request, flight: { ...request.flight, legs: null, mix } };
}
