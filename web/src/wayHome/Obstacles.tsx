import {
  type Coordinates,
  type Obstacle,
  type ObstaclesRead,
  type Outcome,
  obstacleRanges,
  readObstacles,
} from '@acorn-tally/core';
import { useRef, useState } from 'react';
import { QuantityField } from '../fields/QuantityField';
import { Say } from '../fields/Say';
import { useWriter } from '../state/units';
import { PlacedThings } from './PlacedThings';

interface Props {
  readonly obstacles: readonly Obstacle[];
  readonly home: Coordinates | null;
  readonly bearingDeg: number;
  readonly onChange: (obstacles: Obstacle[]) => void;
}

/** What stands between here and there: entered by hand, or read from GeoJSON where home's coordinates are known. */
export function Obstacles({ obstacles, home, bearingDeg, onChange }: Props) {
  const { write, say } = useWriter();
  const [read, setRead] = useState<Outcome<ObstaclesRead> | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const importFile = async (file: File) => {
    if (!home) return;
    const outcome = readObstacles(await file.text(), home, bearingDeg);
    setRead(outcome);
    if (outcome.ok && outcome.value.obstacles.length > 0)
      onChange([...obstacles, ...outcome.value.obstacles]);
  };
  return (
    <>
      <PlacedThings
        things={obstacles}
        onChange={onChange}
        line={(one) => [`${one.name}, ${placeInWords(one, write)}`, write('distance', one.heightM)]}
        fields={(one, change) =>
          (['distanceM', 'widthM', 'heightM'] as const).map((field) => (
            <QuantityField
              key={field}
              stacked
              quantity={obstacleRanges[field]}
              value={one[field]}
              onChange={(value) => change({ [field]: value })}
            />
          ))
        }
        fresh={(number) => ({ name: `Thing ${number}`, distanceM: 50, widthM: 20, heightM: 15 })}
        addLabel="Add something"
      >
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
      </PlacedThings>
      {read && !read.ok && (
        <p className="field-problem" role="alert">
          <Say sentence={read.refusal} />
        </p>
      )}
      {read?.ok && (
        <p className="panel-note" role="status">
          {read.value.obstacles.length} added
          {read.value.leftOut.length > 0 &&
            `; left out: ${read.value.leftOut.map(({ name, reason }) => `${name} (${say(reason)})`).join(', ')}`}
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
