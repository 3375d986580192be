import { type LandingPlace, ranges } from '@acorn-tally/core';
import { bearing } from '../conditions/air';
import { QuantityField } from '../fields/QuantityField';
import { useWriter } from '../state/units';
import { PlacedThings } from './PlacedThings';

interface Props {
  readonly places: readonly LandingPlace[];
  readonly onChange: (places: LandingPlace[]) => void;
}

/** Where it may come down if home is out of reach. */
export function LandingPlaces({ places, onChange }: Props) {
  const { write } = useWriter();
  return (
    <PlacedThings
      things={places}
      onChange={onChange}
      line={({ name, distanceM, bearingDeg }) => [
        name,
        `${write('distance', distanceM)}, ${bearing(bearingDeg)}`,
      ]}
      fields={({ distanceM, bearingDeg }, change) => (
        <>
          <QuantityField
            stacked
            label="From home"
            quantity={ranges.flight.farthestM}
            value={distanceM}
            onChange={(next) => change({ distanceM: next })}
          />
          <QuantityField
            stacked
            label="Direction"
            quantity={ranges.flight.bearingDeg}
            value={bearingDeg}
            onChange={(next) => change({ bearingDeg: next })}
          />
        </>
      )}
      fresh={(number) => ({ name: `Place ${number}`, distanceM: 200, bearingDeg: 90 })}
      addLabel="Add a place"
    />
  );
}
