import type { Atmosphere } from '../air/conditions';
import type { Aircraft } from '../aircraft/aircraft';
import type { Powertrain } from './powertrain';
import type { StyleCoefficients } from './styles';

/** An aircraft in the air over a place, under one set of coefficients: what every leg of a flight is computed with. */
export interface AircraftInAir<Coefficients = StyleCoefficients> {
  readonly aircraft: Aircraft;
  readonly powertrain: Powertrain;
  readonly atmosphere: Atmosphere;
  readonly coefficients: Coefficients;
  /**
   * Where the wind is more than a style's mode holds, it is flown in a faster one; else that is refused. A pilot asks for a style in
   * the likeliest wind; whatever wind he then meets, he meets in the mode that holds.
   */
  readonly fliesFaster: boolean;
}
