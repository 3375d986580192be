import { type Place, ranges } from '@acorn-tally/core';
import { QuantityField } from '../fields/QuantityField';

interface Props {
  readonly place: Place;
  /** What the two are called. */
  readonly labels: { readonly distance: string; readonly direction: string };
  readonly onChange: (part: Partial<Place>) => void;
}

/** How far and in which direction a place lies. */
export function PlaceFields({ place, labels, onChange }: Props) {
  return (
    <>
      <QuantityField
        stacked
        label={labels.distance}
        quantity={ranges.flight.farthestM}
        value={place.distanceM}
        onChange={(distanceM) => onChange({ distanceM })}
      />
      <QuantityField
        stacked
        label={labels.direction}
        quantity={ranges.flight.bearingDeg}
        value={place.bearingDeg}
        onChange={(bearingDeg) => onChange({ bearingDeg })}
      />
    </>
  );
}
