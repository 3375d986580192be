import {
  homePlaceId,
  type LightWish,
  type ShootRecord,
  type Shot,
  type ShotNeed,
  type Style,
  shotRanges,
} from '@acorn-tally/core';
import { IconEye, IconEyeOff, IconTrash } from '@tabler/icons-react';
import { ChoiceField } from '../fields/ChoiceField';
import { MomentField } from '../fields/MomentField';
import { QuantityField } from '../fields/QuantityField';
import { IconButton } from '../parts/IconButton';
import { clockAt } from '../state/clock';
import { useConditionsOf, useLaunchPlaces } from '../state/current';
import { counted } from './planWords';
import styles from './ShotFields.module.css';
import { lightOptions, needOptions, none, placeOptions, styleOptions } from './shotWords';

interface Props {
  readonly shots: readonly Shot[];
  readonly shoot: ShootRecord;
  readonly onChange: (part: Partial<Shot>, what: string) => void;
  readonly onLeaveOut: (out: boolean) => void;
  readonly onRemove: () => void;
}

const differ = 'differ';

/** What several shots have in common, changed for all of them at once; what they differ in stays until it is set. */
export function SeveralShots({ shots, shoot, onChange, onLeaveOut, onRemove }: Props) {
  const conditions = useConditionsOf(shoot);
  const clock = clockAt(conditions);
  const places = useLaunchPlaces(conditions?.placeId);
  const count = counted(shots.length, 'shot', 'shots');
  /** The one value of all, or nothing. */
  const common = <Value,>(of: (shot: Shot) => Value): Value | undefined => {
    const [first, ...rest] = shots.map(of);
    return rest.every((one) => one === first) ? first : undefined;
  };
  const choice = <Value extends string>(
    label: string,
    value: Value | undefined,
    options: readonly { readonly value: Value; readonly label: string }[],
    choose: (value: Value) => void,
  ) => (
    <ChoiceField<Value | typeof differ>
      label={label}
      value={value ?? differ}
      options={value === undefined ? [{ value: differ, label: 'they differ' }, ...options] : options}
      onChange={(picked) => picked !== differ && choose(picked)}
    />
  );
  const number = (name: 'durationS' | 'heightM' | 'takes' | 'setUpS', what: string) => (
    <QuantityField<number | null>
      quantity={shotRanges[name]}
      value={common((shot) => shot[name] ?? null) ?? null}
      assumed={null}
      onChange={(value) => value !== null && onChange({ [name]: value }, what)}
    />
  );
  const moment = (name: 'earliestAt' | 'latestAt', label: string, what: string) => {
    const at = common((shot) => shot[name] ?? null);
    return (
      <MomentField
        withTime
        optional
        label={label}
        hint={at === undefined ? 'they differ' : undefined}
        value={at ? clock.field(at) : ''}
        onChange={(text) => onChange({ [name]: text ? clock.read(text) : null }, what)}
      />
    );
  };
  const leftOut = shots.every(({ id }) => shoot.leftOutIds?.includes(id));
  return (
    <div className={styles.fields}>
      {choice<Style>(
        'Style',
        common(({ style }) => style),
        styleOptions,
        (style) => onChange({ style }, 'style'),
      )}
      {number('durationS', 'minutes')}
      {number('heightM', 'height')}
      {number('takes', 'takes')}
      {number('setUpS', 'set-up')}
      {choice<ShotNeed>(
        'Need',
        common(({ need }) => need ?? 'must'),
        needOptions,
        (need) => onChange({ need }, 'need'),
      )}
      {choice<LightWish | typeof none>(
        'Light',
        common(({ light }) => light ?? none),
        lightOptions,
        (light) => onChange({ light: light === none ? null : light }, 'light'),
      )}
      {moment('earliestAt', 'Not before', 'not before')}
      {moment('latestAt', 'Over by', 'over by')}
      {places.length > 0 &&
        choice(
          'Launch place',
          common(({ launchPlaceId }) => launchPlaceId ?? homePlaceId),
          placeOptions(conditions, places),
          (id) => onChange({ launchPlaceId: id === homePlaceId ? null : id }, 'launch place'),
        )}
      <div className={styles.actions}>
        <IconButton
          icon={leftOut ? IconEye : IconEyeOff}
          label={leftOut ? `Plan ${count} again` : `Leave ${count} out`}
          onClick={() => onLeaveOut(!leftOut)}
        />
        <IconButton icon={IconTrash} label={`Remove ${count}`} onClick={onRemove} />
      </div>
    </div>
  );
}
