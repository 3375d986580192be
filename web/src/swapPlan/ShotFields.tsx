import {
  homePlaceId,
  type LightWish,
  nameProblem,
  type ShootRecord,
  type Shot,
  type ShotNeed,
  type Style,
  shotRanges,
} from '@acorn-tally/core';
import { IconArrowDown, IconArrowUp, IconCopy, IconEye, IconEyeOff, IconTrash } from '@tabler/icons-react';
import { ChoiceField } from '../fields/ChoiceField';
import { MannerFields } from '../fields/MannerFields';
import { MomentField } from '../fields/MomentField';
import { QuantityField } from '../fields/QuantityField';
import { RecordingField } from '../fields/RecordingField';
import { TextField } from '../fields/TextField';
import { IconButton } from '../parts/IconButton';
import { clockAt } from '../state/clock';
import { useBatteriesOfShoot, useConditionsOf, useFleet, useLaunchPlaces } from '../state/current';
import styles from './ShotFields.module.css';
import { lightOptions, needOptions, none, placeOptions, styleOptions } from './shotWords';

export interface ShotFieldsProps {
  readonly shot: Shot;
  readonly shoot: ShootRecord;
  readonly isLeftOut: boolean;
  readonly onChange: (part: Partial<Shot>, what: string) => void;
  readonly onMove: (step: -1 | 1) => void;
  readonly onRemove: () => void;
  readonly onCopy: () => void;
  readonly onLeaveOut: (out: boolean) => void;
}

/** All that is to be known of a shot: what, where, how surely, when, and where the pilot wants it. */
export function ShotFields(props: ShotFieldsProps) {
  const { shot, shoot, isLeftOut, onChange, onMove, onRemove, onCopy, onLeaveOut } = props;
  const conditions = useConditionsOf(shoot);
  const clock = clockAt(conditions);
  const batteries = useBatteriesOfShoot(shoot).filter(({ id }) => shoot.batteryIds.includes(id));
  const places = useLaunchPlaces(conditions?.placeId);
  const crafts = useFleet().filter(({ id }) => id === shoot.aircraftId || id === shoot.otherAircraftId);
  const others = shoot.shots.filter(({ id }) => id !== shot.id);
  const moment = (at: string | null | undefined) => (at ? clock.field(at) : '');
  const pin = (part: NonNullable<Shot['pin']>, what: string) => {
    const next = { ...shot.pin, ...part };
    onChange({ pin: Object.values(next).every((one) => one == null) ? null : next }, what);
  };
  return (
    <div className={styles.fields}>
      <TextField
        label="Name"
        value={shot.name}
        problem={(text) => nameProblem('Name of the shot', text)}
        onChange={(name) => onChange({ name }, 'name')}
      />
      <QuantityField
        quantity={shotRanges.durationS}
        value={shot.durationS}
        onChange={(durationS) => onChange({ durationS }, 'minutes')}
      />
      <ChoiceField<Style>
        label="Style"
        value={shot.style}
        options={styleOptions}
        onChange={(style) => onChange({ style }, 'style')}
      />
      <MannerFields style={shot.style} manner={shot} onChange={onChange} />
      <QuantityField
        quantity={shotRanges.distanceM}
        value={shot.distanceM}
        onChange={(distanceM) => onChange({ distanceM }, 'distance')}
      />
      <QuantityField
        quantity={shotRanges.bearingDeg}
        value={shot.bearingDeg}
        onChange={(bearingDeg) => onChange({ bearingDeg }, 'bearing')}
      />
      <QuantityField
        quantity={shotRanges.heightM}
        value={shot.heightM}
        onChange={(heightM) => onChange({ heightM }, 'height')}
      />
      <QuantityField<number | null>
        quantity={shotRanges.addedMassKg}
        hint="for this shot only; changed on the ground"
        value={shot.addedMassKg ?? null}
        assumed={0}
        onChange={(addedMassKg) => onChange({ addedMassKg }, 'accessories')}
      />
      <RecordingField
        recordings={crafts.find(({ id }) => id === (shot.aircraftId ?? shoot.aircraftId))?.recordings}
        loadW={shot.recordingLoadW ?? null}
        none="as the aircraft usually does"
        onChange={(recordingLoadW) => onChange({ recordingLoadW }, 'recording')}
      />
      <QuantityField<number | null>
        quantity={shotRanges.takes}
        value={shot.takes ?? null}
        assumed={1}
        onChange={(takes) => onChange({ takes }, 'takes')}
      />
      <QuantityField<number | null>
        quantity={shotRanges.setUpS}
        value={shot.setUpS ?? null}
        assumed={0}
        onChange={(setUpS) => onChange({ setUpS }, 'set-up')}
      />
      <ChoiceField<ShotNeed>
        label="Need"
        value={shot.need ?? 'must'}
        options={needOptions}
        onChange={(need) => onChange({ need }, 'need')}
      />
      <ChoiceField<LightWish | typeof none>
        label="Light"
        value={shot.light ?? none}
        options={lightOptions}
        hint={conditions?.site.coordinates ? undefined : 'Needs the coordinates of the place.'}
        onChange={(light) => onChange({ light: light === none ? null : light }, 'light')}
      />
      <MomentField
        withTime
        optional
        label="Not before"
        value={moment(shot.earliestAt)}
        onChange={(text) => onChange({ earliestAt: text ? clock.read(text) : null }, 'not before')}
      />
      <MomentField
        withTime
        optional
        label="Over by"
        value={moment(shot.latestAt)}
        onChange={(text) => onChange({ latestAt: text ? clock.read(text) : null }, 'over by')}
      />
      <ChoiceField
        label="After"
        value={others.some(({ id }) => id === shot.after?.[0]) ? (shot.after?.[0] as string) : none}
        options={[
          { value: none, label: 'any' },
          ...others.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(id) => onChange({ after: id === none ? null : [id] }, 'what it comes after')}
      />
      {crafts.length > 1 && (
        <ChoiceField
          label="Aircraft"
          value={crafts.some(({ id }) => id === shot.aircraftId) ? (shot.aircraftId as string) : none}
          options={[
            { value: none, label: 'any' },
            ...crafts.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(id) => onChange({ aircraftId: id === none ? null : id }, 'aircraft')}
        />
      )}
      {places.length > 0 && (
        <ChoiceField
          label="Launch place"
          value={
            places.some(({ id }) => id === shot.launchPlaceId) ? (shot.launchPlaceId as string) : homePlaceId
          }
          options={placeOptions(conditions, places)}
          onChange={(id) => onChange({ launchPlaceId: id === homePlaceId ? null : id }, 'launch place')}
        />
      )}
      <ChoiceField
        label="Pinned to battery"
        value={shot.pin?.batteryId ?? none}
        options={[{ value: none, label: 'any' }, ...batteries.map(({ id, label }) => ({ value: id, label }))]}
        onChange={(id) => pin({ batteryId: id === none ? null : id }, 'battery it is pinned to')}
      />
      <QuantityField<number | null>
        quantity={shotRanges.flightNumber}
        label="Pinned to flight"
        value={shot.pin?.flightNumber ?? null}
        assumed={null}
        onChange={(flightNumber) => pin({ flightNumber }, 'flight it is pinned to')}
      />
      <ChoiceField
        label="In one flight with"
        value={others.some(({ id }) => id === shot.pin?.withShotId) ? (shot.pin?.withShotId as string) : none}
        options={[
          { value: none, label: 'any' },
          ...others.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(id) => pin({ withShotId: id === none ? null : id }, 'shot it goes with')}
      />
      <div className={styles.actions}>
        <IconButton icon={IconArrowUp} label={`Move ${shot.name} up`} onClick={() => onMove(-1)} />
        <IconButton icon={IconArrowDown} label={`Move ${shot.name} down`} onClick={() => onMove(1)} />
        <IconButton icon={IconCopy} label={`Copy ${shot.name}`} onClick={onCopy} />
        <IconButton
          icon={isLeftOut ? IconEye : IconEyeOff}
          label={isLeftOut ? `Plan ${shot.name} again` : `Leave ${shot.name} out`}
          onClick={() => onLeaveOut(!isLeftOut)}
        />
        <IconButton icon={IconTrash} label={`Remove ${shot.name}`} onClick={onRemove} />
      </div>
    </div>
  );
}
