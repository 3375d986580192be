import {
  type Conditions,
  type MetarReading,
  metarInWords,
  readMetar,
  weatherFromMetar,
} from '@acorn-tally/core';
import { useId, useState } from 'react';

interface Props {
  readonly weather: Conditions;
  readonly onUse: (weather: Conditions) => void;
}

/** An aerodrome's report pasted as text, told in words before it is used; what is wrong in it stays to be mended. */
export function MetarPaste({ weather, onUse }: Props) {
  const [text, setText] = useState('');
  const id = useId();
  const outcome = text.trim() === '' ? null : readMetar(text);
  const use = (reading: MetarReading) => {
    onUse(weatherFromMetar(reading, weather));
    setText('');
  };
  return (
    <>
      <h3 className="panel-part">From a report</h3>
      <label className="metar-label" htmlFor={id}>
        METAR text
        <span className="field-hint">
          paste it whole; the station’s wind is read at 10 m, not at your place
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
        onChange={(event) => setText(event.target.value)}
      />
      {outcome && !outcome.ok && (
        <p className="field-problem" id={`${id}-said`} role="alert">
          {outcome.refusal.message}
        </p>
      )}
      {outcome?.ok && (
        <div className="metar-said" id={`${id}-said`} role="status">
          <Said reading={outcome.value} />
          <button type="button" className="link" onClick={() => use(outcome.value)}>
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
        <b>{reading.station}</b>: {says.join(', ')}.
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
