import {
  type Coordinates,
  nameProblem,
  type Obstacle,
  type ObstaclesRead,
  type Outcome,
  obstacleRanges,
  readObstacles,
} from '@acorn-tally/core';
import { IconTrash } from '@tabler/icons-react';
import { useRef, useState } from 'react';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { useWriter } from '../state/units';

interface Props {
  readonly obstacles: readonly Obstacle[];
  readonly home: Coordinates | null;
  readonly bearingDeg: number;
  readonly onChange: (obstacles: Obstacle[]) => void;
}

/** What stands between here and there: entered by hand, or read from GeoJSON where home's coordinates are known. */
export function Obstacles({ obstacles, home, bearingDeg, onChange }: Props) {
  const { write } = useWriter();
  const [open, setOpen] = useState<number | null>(null);
  const [read, setRead] = useState<Outcome<ObstaclesRead> | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const set = (i: number, next: Obstacle | null) =>
    onChange(obstacles.flatMap((one, k) => (k === i ? (next ?? []) : one)));
  const add = () => {
    onChange([
      ...obstacles,
      { name: `Thing ${obstacles.length + 1}`, distanceM: 50, widthM: 20, heightM: 15 },
    ]);
    setOpen(obstacles.length);
  };
  const importFile = async (file: File) => {
    if (!home) return;
    const outcome = readObstacles(await file.text(), home, bearingDeg);
    setRead(outcome);
    if (outcome.ok && outcome.value.obstacles.length > 0)
      onChange([...obstacles, ...outcome.value.obstacles]);
  };
  return (
    <>
      <ul className="way-things">
        {obstacles.map((one, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two things may bear the same name; the place is what they are
          <li key={i}>
            <button
              type="button"
              className="way-thing"
              aria-expanded={open === i}
              onClick={() => setOpen(open === i ? null : i)}
            >
              <span>
                {one.name}, {placeInWords(one, write)}
              </span>
              <b>{write('distance', one.heightM)}</b>
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
                {(['distanceM', 'widthM', 'heightM'] as const).map((field) => (
                  <QuantityField
                    key={field}
                    stacked
                    quantity={obstacleRanges[field]}
                    value={one[field]}
                    onChange={(value) => set(i, { ...one, [field]: value })}
                  />
                ))}
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
      <div className="way-add">
        <button type="button" className="link" onClick={add}>
          Add something
        </button>
        <button
          type="button"
          className="link"
          disabled={!home}
          title={home ? undefined : 'Enter the coordinates of home first (Conditions)'}
          onClick={() => input.current?.click()}
        >
          Import GeoJSON
        </button>
        <input
          ref={input}
          type="file"
          accept=".geojson,.json,application/geo+json"
          className="unseen"
          tabIndex={-1}
          aria-label="GeoJSON file"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) void importFile(file);
            event.target.value = '';
          }}
        />
      </div>
      {read && !read.ok && (
        <p className="field-problem" role="alert">
          {read.refusal.message}
        </p>
      )}
      {read?.ok && (
        <p className="panel-note" role="status">
          {read.value.obstacles.length} added
          {read.value.leftOut.length > 0 &&
            `; left out: ${read.value.leftOut.map(({ name, reason }) => `${name} (${reason})`).join(', ')}`}
          .
        </p>
      )}
    </>
  );
}

function placeInWords({ distanceM, widthM }: Obstacle, write: ReturnType<typeof useWriter>['write']): string {
  if (widthM < 15) return `${write('distance', distanceM)} out`;
  return `${write('distance', distanceM).split(' ')[0]}–${write('distance', distanceM + widthM)}`;
}
