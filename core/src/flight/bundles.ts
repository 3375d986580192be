/** A stretch of flight at one power. One that lasts for ever is flown until the pack is empty. */
export interface PowerLeg {
  readonly powerW: number;
  readonly durationS: number;
}

/** Mean power of legs in W, by their duration. */
export function meanPowerW(legs: readonly PowerLeg[]): number {
  if (legs.length === 1) return (legs[0] as PowerLeg).powerW;
  const totalS = legs.reduce((sum, leg) => sum + leg.durationS, 0);
  return legs.reduce((sum, leg) => sum + leg.powerW * leg.durationS, 0) / totalS;
}

/** Legs flown together: at their mean power, half of the time below it by their deviation and half of it above. */
export interface Bundle {
  readonly durationS: number;
  readonly powerW: number;
  /** 0 for a leg by itself. */
  readonly deviationW: number;
  /** The most that is asked for at any moment: where the pack cannot give it, the flight is over. */
  readonly peakW: number;
}

export const defaultStepS = 30;
/** Nothing is looked at more finely than this part of the whole flight. */
const finestPart = 1 / 500;
/** A step of the whole flight; its error stays within a few hundredths of a per cent (`flight.test`). */
const stepPart = 1 / 200;

/**
 * A round as it is flown: legs one by one, unless they are shorter than a five-hundredth of the flight. Those go together
 * with what follows them until the bundle is long enough, the whole round several times over if need be. A pack does not feel
 * the order of what is that short: its current is nearly a parabola of the power, and two powers with the legs' mean and
 * variance give the mean of any parabola. So a flight has at most some thousand steps, whatever pack and legs.
 */
export function bundled(
  round: readonly PowerLeg[],
  lastsS: number,
): { readonly bundles: readonly Bundle[]; readonly longestStepS: number } {
  const minS = lastsS * finestPart;
  const bundles: Bundle[] = [];
  let open: PowerLeg[] = [];
  let openS = 0;
  for (const leg of round) {
    open.push(leg);
    openS += leg.durationS;
    if (openS < minS) continue;
    bundles.push(bundleOf(open, openS));
    open = [];
    openS = 0;
  }
  if (open.length > 0) bundles.push(bundleOf(open, bundles.length > 0 ? openS : wholeTimes(openS, minS)));
  return { bundles, longestStepS: Math.max(defaultStepS, lastsS * stepPart) };
}

function wholeTimes(roundS: number, minS: number): number {
  return roundS * Math.ceil(minS / roundS);
}

function bundleOf(legs: readonly PowerLeg[], durationS: number): Bundle {
  const powerW = meanPowerW(legs);
  const variance = meanPowerW(
    legs.map((leg) => ({ durationS: leg.durationS, powerW: (leg.powerW - powerW) ** 2 })),
  );
  return {
    durationS,
    powerW,
    deviationW: legs.length === 1 ? 0 : Math.sqrt(variance),
    peakW: Math.max(...legs.map((leg) => leg.powerW)),
  };
}
