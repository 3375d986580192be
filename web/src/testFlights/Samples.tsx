import type { ListedTest } from '@acorn-tally/core';
import { useState } from 'react';
import { LinkButton } from '../parts/LinkButton';
import { saveFile } from '../parts/saveFile';
import { samplesAt } from '../records/samples';
import { trackOf } from '../workers/useLogReader';

interface Props {
  readonly record: ListedTest;
  /** Of the file it is saved as, without its ending. */
  readonly name: string;
}

const forms = [
  { as: 'csv', words: 'CSV', type: 'text/csv' },
  { as: 'gpx', words: 'GPX', type: 'application/gpx+xml' },
  { as: 'geojson', words: 'GeoJSON', type: 'application/geo+json' },
] as const;

/** The samples a flight was read from, given out in three forms. */
export function Samples({ record, name }: Props) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const give = async ({ as, type }: (typeof forms)[number]) => {
    setTrouble(null);
    const samples = await samplesAt(record.id);
    if (!samples) return setTrouble('They have not come to the server yet.');
    const text = as === 'csv' ? await samples.text() : await trackOf(samples, as, record.weather.elevationM);
    if (text === null) return setTrouble('They do not say where it was: there is no track in them.');
    saveFile(`${name}.${as}`, type, text);
  };
  return (
    <>
      {forms.map((form) => (
        <span key={form.as}>
          <LinkButton
            label={`Samples as ${form.words}`}
            onClick={() => void give(form).catch((error: Error) => setTrouble(error.message))}
          >
            {form.words}
          </LinkButton>{' '}
        </span>
      ))}
      {trouble && <span role="alert">{trouble}</span>}
    </>
  );
}
