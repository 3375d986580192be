import type { LightWish, ShootRecord, Shot } from '@acorn-tally/core';
import type { Clock } from '../state/clock';

export const lightNames: Readonly<Record<LightWish, string>> = {
  'civil-twilight': 'twilight',
  'low-sun': 'low sun',
  day: 'day light',
};

/** What a shot asks for, in a few words: "must · low sun · after 2". */
export function wantsInWords(shot: Shot, { shots }: Pick<ShootRecord, 'shots'>, clock: Clock): string {
  const time = (at: string) => clock.format(at, 'HH:mm');
  const after = (shot.after ?? [])
    .map((id) => shots.findIndex((other) => other.id === id) + 1)
    .filter((number) => number > 0);
  return [
    shot.need ?? 'must',
    shot.light && lightNames[shot.light],
    shot.earliestAt && `from ${time(shot.earliestAt)}`,
    shot.latestAt && `until ${time(shot.latestAt)}`,
    after.length > 0 && `after ${after.join(', ')}`,
    shot.pin && 'pinned',
  ]
    .filter(Boolean)
    .join(' · ');
}
