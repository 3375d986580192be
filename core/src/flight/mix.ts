import type { AirAtHeight } from '../air/conditions';
import type { Aircraft } from '../aircraft/aircraft';
import { type Outcome, success } from '../units/outcome';
import { type Powertrain, stylePowerW } from './powertrain';
import { flownStyle, type StyleCoefficients, type StyleShare } from './styles';

/** Mean electrical power of a mix of styles, W; refused when one of them cannot be flown in this wind. */
export function mixPowerW(
  aircraft: Aircraft,
  powertrain: Powertrain,
  air: AirAtHeight,
  mix: readonly StyleShare[],
  recordingLoadW: number,
  coefficients: StyleCoefficients,
): Outcome<number> {
  let powerW = 0;
  for (const share of mix.filter((part) => part.share > 0)) {
    const style = flownStyle(aircraft, share, air, coefficients);
    if (!style.ok) return style;
    powerW += share.share * stylePowerW(powertrain, air, style.value, recordingLoadW);
  }
  return success(powerW);
}
