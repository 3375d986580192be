import {
  type DayAtPlace,
  homePlaceId,
  type LaunchPlace,
  type LightWish,
  lightWishes,
  type ShootRecord,
  type Shot,
  type ShotNeed,
  type Style,
  styles,
} from '@acorn-tally/core';
import type { Clock } from '../state/clock';

export const lightNames: Readonly<Record<LightWish, string>> = {
  'civil-twilight': 'twilight',
  'low-sun': 'low sun',
  day: 'day light',
};

/** In a choice: that nothing of a list is asked for. */
export const none = 'none';

interface Option<Value extends string> {
  readonly value: Value;
  readonly label: string;
}

export const styleOptions: readonly Option<Style>[] = styles.map((value) => ({ value, label: value }));
export const needOptions: readonly Option<ShotNeed>[] = [
  { value: 'must', label: 'must' },
  { value: 'nice', label: 'nice to have' },
];
export const lightOptions: readonly Option<LightWish | typeof none>[] = [
  { value: none, label: 'any' },
  ...lightWishes.map((value) => ({ value, label: lightNames[value] })),
];
/** The place of the day first. */
export function placeOptions(
  conditions: DayAtPlace | null,
  places: readonly LaunchPlace[],
): Option<string>[] {
  return [
    { value: homePlaceId, label: conditions?.place ?? 'home' },
    ...places.map(({ id, name }) => ({ value: id, label: name })),
  ];
}

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
