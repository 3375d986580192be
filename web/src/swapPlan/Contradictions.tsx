import type { PlanRequest, SoundPart } from '@acorn-tally/core';
import { Warning } from '../parts/Warning';
import type { Names } from './Lanes';

interface Props extends Pick<SoundPart, 'leftOut' | 'messages'> {
  readonly request: PlanRequest;
  readonly names: Names;
}

/** Which shots are left out of the plan since they contradict the rest, and what keeps the whole shoot from being planned. */
export function Contradictions({ request, leftOut, messages, names }: Props) {
  if (request.shots.length + leftOut.length === 0 || request.batteries.length === 0) return null;
  return (
    <>
      {leftOut.map(({ shotId, message }) => (
        <Warning key={shotId} alert>
          <b>{names.shot(shotId)} is left out of the plan: </b>
          {message}
        </Warning>
      ))}
      {messages.map((message) => (
        <Warning key={message} alert>
          {message}
        </Warning>
      ))}
    </>
  );
}
