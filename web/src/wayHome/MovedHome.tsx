import { type LandingPlace, nameProblem } from '@acorn-tally/core';
import field from '../fields/field.module.css';
import { TextField } from '../fields/TextField';
import { Fields } from '../parts/Fields';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import styles from '../parts/PlacedThings.module.css';
import { PlaceFields } from '../parts/PlaceFields';

interface Props {
  readonly home: LandingPlace | null;
  readonly onChange: (home: LandingPlace | null) => void;
}

const elsewhere: LandingPlace = { name: 'where I stand', distanceM: 100, bearingDeg: 90 };

/** Where home is: where it takes off, or a place the pilot has moved to since (a walk, a boat). */
export function MovedHome({ home, onChange }: Props) {
  if (!home) {
    return (
      <div className={field.row}>
        <span>where it takes off</span>
        <LinkButton onClick={() => onChange(elsewhere)}>Home point follows me</LinkButton>
      </div>
    );
  }
  const change = (part: Partial<LandingPlace>) => onChange({ ...home, ...part });
  return (
    <>
      <Fields className={styles.fields} label="Home">
        <TextField
          stacked
          label="Home is"
          value={home.name}
          problem={(text) => nameProblem('Name', text)}
          onChange={(name) => change({ name })}
        />
        <PlaceFields
          place={home}
          labels={{ distance: 'From take-off', direction: 'Home lies at' }}
          onChange={change}
        />
      </Fields>
      <Note>
        Move the home point on the aircraft too. What stands in the way may stand on any way to there, so all
        of it counts.
      </Note>
      <LinkButton onClick={() => onChange(null)}>Back to where it takes off</LinkButton>
    </>
  );
}
