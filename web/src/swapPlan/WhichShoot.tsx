import type { AircraftRecord, DayAtPlace, ShootRecord } from '@acorn-tally/core';
import { IconPlus, IconTrash } from '@tabler/icons-react';
import { ChoiceField } from '../fields/ChoiceField';
import { LinkButton } from '../parts/LinkButton';
import { useRemoval } from '../parts/useRemoval';
import { useDay, useShootsOf } from '../state/current';
import { usePreferences } from '../state/preferences';
import { ShootDay } from './ShootDay';
import { useBeginShoot } from './useBeginShoot';
import styles from './WhichShoot.module.css';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly shoot: ShootRecord;
  readonly conditions: DayAtPlace;
}

/** Which of the aircraft’s shoots it is, and for which day; another is begun, this one removed. */
export function WhichShoot({ aircraft, shoot, conditions }: Props) {
  const shoots = useShootsOf(aircraft.id);
  const day = useDay();
  const choose = usePreferences((state) => state.choose);
  const begin = useBeginShoot();
  const remove = useRemoval();
  return (
    <div className={styles.which}>
      {shoots.length > 1 && (
        <ChoiceField
          stacked
          label="Shown"
          value={shoot.id}
          options={shoots.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(shootId) => choose({ shootId, shotId: null })}
        />
      )}
      <ShootDay shoot={shoot} conditions={conditions} />
      {day && (
        <LinkButton onClick={() => begin(aircraft, day)}>
          <IconPlus size={15} aria-hidden /> Another shoot
        </LinkButton>
      )}
      <LinkButton onClick={() => remove('shoots', [shoot.id], shoot.name)}>
        <IconTrash size={15} aria-hidden /> Remove this shoot
      </LinkButton>
    </div>
  );
}
