import { type LandingPlace } from '@acorn-tally/core';
import { bearing } from '../answers/air';
import { LinkButton } from '../parts/LinkButton';
import { PlacedThings } from '../parts/PlacedThings';
import { PlaceFields } from '../parts/PlaceFields';
import { useWriter } from '../state/units';

interface Props {
  readonly places: readonly LandingPlace[];
  readonly onChange: (places: LandingPlace[]) => void;
  /** Where their distances begin. */
  readonly from: string;
  /** Makes one of them home. */
  readonly onHome: (place: LandingPlace) => void;
}

/** Where it may come down if home is out of reach. */
export function LandingPlaces({ places, from, onChange, onHome }: Props) {
  const { write } = useWriter();
  return (
    <PlacedThings
      things={places}
      onChange={onChange}
      line={({ name, distanceM, bearingDeg }) => [
        name,
        `${write('distance', distanceM)}, ${bearing(bearingDeg)}`,
      ]}
      fields={(place, change) => (
        <>
          <PlaceFields place={place} labels={{ distance: from, direction: 'Direction' }} onChange={change} />
          <LinkButton onClick={() => onHome(place)}>Make it home</LinkButton>
        </>
      )}
      fresh={(number) => ({ name: `Place ${number}`, distanceM: 200, bearingDeg: 90 })}
      addLabel="Add a place"
    />
  );
}
