import {
  type Coordinates,
  type Obstacle,
  type ObstaclesRead,
  type Outcome,
  obstacleRanges,
  ranges,
  readObstacles,
} from '@acorn-tally/core';
import { Anchor, FileButton, Tooltip } from '@mantine/core';
import { useState } from 'react';
import { bearing } from '../answers/air';
import { QuantityField } from '../fields/QuantityField';
import { Say } from '../fields/Say';
import { FieldError } from '../parts/FieldError';
import { Note } from '../parts/Note';
import { PlacedThings } from '../parts/PlacedThings';
import { useWriter } from '../state/units';

interface Props {
  readonly obstacles: readonly Obstacle[];
  readonly home: Coordinates | null;
  readonly bearingDeg: number;
  readonly onChange: (obstacles: Obstacle[]) => void;
}

/** What stands about the place: entered by hand, or read from GeoJSON where home's coordinates are known. */
export function Obstacles({ obstacles, home, bearingDeg, onChange }: Props) {
  const { write, say } = useWriter();
  const [read, setRead] = useState<Outcome<ObstaclesRead> | null>(null);
  const importFile = async (file: File) => {
    if (!home) return;
    const outcome = readObstacles(await file.text(), home);
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
        fields={(one, change) => (
          <>
            {(['distanceM', 'widthM', 'heightM'] as const).map((field) => (
              <QuantityField
                key={field}
                stacked
                quantity={obstacleRanges[field]}
                value={one[field]}
                onChange={(value) => change({ [field]: value })}
              />
            ))}
            <QuantityField
              stacked
              quantity={ranges.flight.bearingDeg}
              value={one.bearingDeg ?? null}
              assumed={null}
              hint="empty: on every way"
              onChange={(at) => change({ bearingDeg: at })}
            />
          </>
        )}
        fresh={(number) => ({ name: `Thing ${number}`, distanceM: 50, bearingDeg, widthM: 20, heightM: 15 })}
        addLabel="Add something"
      >
        <FileButton
          accept=".geojson,.json,application/geo+json"
          inputProps={{ 'aria-label': 'GeoJSON file' }}
          onChange={(file) => file && void importFile(file)}
        >
          {(props) => (
            <Tooltip label="Enter the coordinates of home first (Conditions)" disabled={home !== null}>
              <Anchor
                component="button"
                type="button"
                {...props}
                data-disabled={!home || undefined}
                aria-disabled={!home}
              >
                Import GeoJSON
              </Anchor>
            </Tooltip>
          )}
        </FileButton>
      </PlacedThings>
      {read && !read.ok && (
        <FieldError>
          <Say sentence={read.refusal} />
        </FieldError>
      )}
      {read?.ok && (
        <Note status>
          {read.value.obstacles.length} added
          {read.value.leftOut.length > 0 &&
            `; left out: ${read.value.leftOut.map(({ name, reason }) => `${name} (${say(reason)})`).join(', ')}`}
          .
        </Note>
      )}
    </>
  );
}

function placeInWords(
  { distanceM, bearingDeg, widthM }: Obstacle,
  write: ReturnType<typeof useWriter>['write'],
): string {
  const where = bearingDeg == null ? 'on every way' : `at ${bearing(bearingDeg)}`;
  if (widthM < 15) return `${write('distance', distanceM)} ${where}`;
  return `${write('distance', distanceM).split(' ')[0]}–${write('distance', distanceM + widthM)} ${where}`;
}
