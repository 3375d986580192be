import { contradictions } from './contradictions';
import type { PlanRequest } from './request';

/** A shot that contradicts the rest of its request, and why. */
export interface LeftOutShot {
  readonly shotId: string;
  readonly message: string;
}

/** What of a request can be planned. */
export interface SoundPart {
  /** Without the shots that contradict; null where what contradicts is of no shot that could be left out. */
  readonly request: PlanRequest | null;
  readonly leftOut: readonly LeftOutShot[];
  /** What contradicts beside single shots. */
  readonly messages: readonly string[];
}

/**
 * A request without the shots that contradict it, and without those that come after one of them: one wrong shot takes no plan
 * away. Shots that were flown stay.
 */
export function soundPart(request: PlanRequest): SoundPart {
  const flown = new Set((request.flown ?? []).flatMap(({ shots }) => shots.map(({ shotId }) => shotId)));
  const leftOut: LeftOutShot[] = [];
  let rest = request;
  // Each round leaves out a shot at least.
  for (;;) {
    const found = contradictions(rest);
    if (found.length === 0) return { request: rest, leftOut, messages: [] };
    const wrong = found.flatMap(({ path, message }): LeftOutShot[] => {
      const shot = rest.shots[Number(/^shots\.(\d+)\./.exec(path)?.[1] ?? -1)];
      return shot && !flown.has(shot.id) ? [{ shotId: shot.id, message }] : [];
    });
    if (wrong.length === 0) return { request: null, leftOut, messages: found.map(({ message }) => message) };
    leftOut.push(...withFollowers(rest, wrong));
    const out = new Set(leftOut.map(({ shotId }) => shotId));
    rest = { ...rest, shots: rest.shots.filter(({ id }) => !out.has(id)) };
  }
}

/** Each shot once, with all that come after one of them. */
function withFollowers({ shots }: PlanRequest, wrong: readonly LeftOutShot[]): LeftOutShot[] {
  const out = new Map(wrong.map((one) => [one.shotId, one]));
  // One that was found to follow may be followed itself; each round finds one at least.
  for (let found = 0; found !== out.size; ) {
    found = out.size;
    for (const { id, after } of shots) {
      const before = shots.find((one) => after?.includes(one.id) && out.has(one.id));
      if (before && !out.has(id)) out.set(id, { shotId: id, message: `It comes after ${before.name}.` });
    }
  }
  return [...out.values()];
}
