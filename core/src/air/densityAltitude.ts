import { gravityMps2 } from '../units/physics';
import { standard } from './pressure';

const exponent = gravityMps2 / (standard.dryAirJpkgK * standard.lapseKpm) - 1;

/**
 * The height at which the standard atmosphere is as thin as this air: ρ = ρ0 · (1 − L·h/T0)^(g/(R·L) − 1), solved for h
 * in metres. For display: pilots know how an aircraft flies at a height better than at a density. Valid to 11,000 m.
 * Source: ISO 2533. Example: 1.1116 kg/m³ → 1,000 m.
 */
export function densityAltitudeM(densityKgm3: number): number {
  return (
    (standard.temperatureK / standard.lapseKpm) * (1 - (densityKgm3 / standard.densityKgm3) ** (1 / exponent))
  );
}
