import type { Battery } from './battery';
import { packMassKg } from './packMass';
import { packThermals, warmedC } from './thermal';

/** An inner pocket, and how much less a still pack takes up there than one in the wind of flight sheds (assumed). */
const pocketC = 30;
const stillShare = 0.4;

/**
 * Temperature in °C of a pack after a time in an inner pocket: it takes up heat as it sheds it, m·c·dT/dt = hA·(30 °C − T),
 * with some 40 % of flight's hA, about 8 W/m²K over its whole surface (Incropera & DeWitt, table 1.1: free convection in
 * air 2 to 25). Example: 17 Wh at 6 °C → 13 °C after 10 min.
 */
export function warmedInPocketC(battery: Battery, fromC: number, durationS: number): number {
  const thermals = packThermals(packMassKg(battery), stillShare);
  return warmedC(thermals, fromC, pocketC, 0, durationS);
}
