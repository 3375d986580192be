import { type MetarReading, metarInWords, readMetar } from '@acorn-tally/core';
import { useId } from 'react';
import { Say } from '../fields/Say';

interface Props {
  readonly text: string;
  readonly onType: (text: string) => void;
  readonly onUse: (reading: MetarReading) => void;
}

/** An aerodrome's report pasted as text, told in words before it is used; what is wrong in it stays to be mended. */
export function MetarPaste({ text, onType, onUse }: Props) {
  const id = useId();
  const outcome = text.trim() === '' ? null : readMetar(text);
  return (
    <>
      <label className="metar-label" htmlFor={id}>
        METAR text
        <span className="field-hint">
          paste it whole; the station’s wind is read at <Say>10 m</Say>, not at your place
        </span>
      </label>
      <textarea
        id={id}
        className="metar-text"
        rows={2}
        spellCheck={false}
        placeholder="METAR XXHF 260820Z 24008G14KT 9999 05/03 Q1008"
        value={text}
        aria-invalid={outcome !== null && !outcome.ok}
        aria-describedby={outcome ? `${id}-said` : undefined}
        onChange={(event) => onType(event.target.value)}
      />
      {outcome && !outcome.ok && (
        <p className="field-problem" id={`${id}-said`} role="alert">
          {outcome.refusal.message}
        </p>
      )}
      {outcome?.ok && (
        <div className="metar-said" id={`${id}-said`} role="status">
          <Said reading={outcome.value} />
          <button type="button" className="link" onClick={() => onUse(outcome.value)}>
            Use this weather
          </button>
        </div>
      )}
    </>
  );
}

function Said({ reading }: { readonly reading: MetarReading }) {
  const { says, lacks } = metarInWords(reading);
  return (
    <>
      <p>
        <b>{reading.station}</b>: <Say>{says.join(', ')}</Say>.
      </p>
      {lacks.length > 0 && (
        <>
          <p>It does not give</p>
          <ul>
            {lacks.map((lack) => (
              <li key={lack}>{lack}</li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
