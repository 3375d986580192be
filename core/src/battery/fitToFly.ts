import type { Battery } from './battery';

/** Cells below freezing give little, and charging them later harms them (common practice: makers do not allow it). */
export const frozenBelowC = 0;
/** A gauge that shows less stands at nothing. */
const emptyBelowCharge = 0.005;

export const unfitReasons = ['frozen', 'empty'] as const;
/** Why a pack that is in use is not to be flown as it is now. */
export type UnfitReason = (typeof unfitReasons)[number];

/** Null where nothing stands against flying it; `takeoffCharge` is the gauge it would take off with. */
export function unfitToFly(
  { startTemperatureC }: Pick<Battery, 'startTemperatureC'>,
  takeoffCharge: number,
  airC: number,
): UnfitReason | null {
  if ((startTemperatureC ?? airC) < frozenBelowC) return 'frozen';
  return takeoffCharge < emptyBelowCharge ? 'empty' : null;
}
