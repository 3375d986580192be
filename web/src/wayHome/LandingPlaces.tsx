import { type LandingPlace, nameProblem, ranges } from '@acorn-tally/core';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import { bearing } from '../conditions/air';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { useWriter } from '../state/units';

interface Props {
  readonly places: readonly LandingPlace[];
  readonly onChange: (places: LandingPlace[]) => void;
}

/** Where it may come down if home is out of reach. */
export function LandingPlaces({ places, onChange }: Props) {
  const { write } = useWriter();
  const [open, setOpen] = useState<number | null>(null);
  const set = (i: number, next: LandingPlace | null) =>
    onChange(places.flatMap((one, k) => (k === i ? (next ?? []) : one)));
  return (
    <>
      <ul className="way-things">
        {places.map((one, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two places may bear the same name; the place is what they are
          <li key={i}>
            <button
              type="button"
              className="way-thing"
              aria-expanded={open === i}
              onClick={() => setOpen(open === i ? null : i)}
            >
              <span>{one.name}</span>
              <b>
                {write('distance', one.distanceM)}, {bearing(one.bearingDeg)}
              </b>
            </button>
            {open === i && (
              <fieldset className="way-thing-fields" aria-label={one.name}>
                <TextField
                  stacked
                  label="Name"
                  value={one.name}
                  problem={(text) => nameProblem('Name', text)}
                  onChange={(name) => set(i, { ...one, name })}
                />
                <QuantityField
                  stacked
                  label="From home"
                  quantity={ranges.flight.farthestM}
                  value={one.distanceM}
                  onChange={(distanceM) => set(i, { ...one, distanceM })}
                />
                <QuantityField
                  stacked
                  label="Direction"
                  quantity={ranges.flight.bearingDeg}
                  value={one.bearingDeg}
                  onChange={(bearingDeg) => set(i, { ...one, bearingDeg })}
                />
                <button
                  type="button"
                  className="icon-button"
                  aria-label={`Remove ${one.name}`}
                  onClick={() => {
                    set(i, null);
                    setOpen(null);
                  }}
                >
                  <IconTrash size={16} aria-hidden />
                </button>
              </fieldset>
            )}
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="link"
        onClick={() => {
          onChange([...places, { name: `Place ${places.length + 1}`, distanceM: 200, bearingDeg: 90 }]);
          setOpen(places.length);
        }}
      >
        Add a place
      </button>
    </>
  );
}
