import { contradictions, type PlanRequest } from '@acorn-tally/core';
import { Warning } from '../parts/Warning';
import type { Names } from './Lanes';

interface Props {
  readonly request: PlanRequest;
  readonly names: Names;
}

/** What keeps a shoot from being planned: which shot, and what of it cannot hold with the rest. */
export function Contradictions({ request, names }: Props) {
  if (request.shots.length === 0 || request.batteries.length === 0) return null;
  return contradictions(request).map(({ path, message }) => {
    const shot = request.shots[Number(/^shots\.(\d+)/.exec(path)?.[1] ?? -1)];
    return (
      <Warning key={path} alert>
        {shot && <b>{names.shot(shot.id)}: </b>}
        {message}
      </Warning>
    );
  });
}
