import { type Outcome, success } from '../units/outcome';
import type { AircraftInAir } from './aircraftInAir';
import { stylePowerW } from './powertrain';
import { flownStyle, type StyleShare } from './styles';

/** Mean electrical power of a mix of styles, W; refused when one of them cannot be flown in this wind. */
export function mixPowerW(
  inAir: AircraftInAir,
  heightM: number,
  mix: readonly StyleShare[],
  recordingLoadW: number,
): Outcome<number> {
  const air = inAir.atmosphere(heightM);
  let powerW = 0;
  for (const share of mix.filter((part) => part.share > 0)) {
    const style = flownStyle(inAir, share, air);
    if (!style.ok) return style;
    powerW += share.share * stylePowerW(inAir.powertrain, air, style.value, recordingLoadW);
  }
  return success(powerW);
}
