import { forecastHeightM, type MetarReading, metarInWords, readMetar } from '@acorn-tally/core';
import { useId } from 'react';
import { Guard } from '../app/Guard';
import { Say } from '../fields/Say';
import { useWriter } from '../state/units';

interface Props {
  readonly text: string;
  readonly onType: (text: string) => void;
  readonly onUse: (reading: MetarReading) => void;
}

/** An aerodrome's report pasted as text, told in words before it is used; what is wrong in it stays to be mended. */
export function MetarPaste({ text, onType, onUse }: Props) {
  const id = useId();
  const { write } = useWriter();
  const isEmpty = text.trim() === '';
  return (
    <>
      <label className="metar-label" htmlFor={id}>
        METAR text
        <span className="field-hint">
          paste it whole; the station’s wind is read at {write('distance', forecastHeightM)}, not at your
          place
        </span>
      </label>
      <textarea
        id={id}
        className="metar-text"
        rows={2}
        spellCheck={false}
        placeholder="METAR XXHF 260820Z 24008G14KT 9999 05/03 Q1008"
        value={text}
        aria-invalid={!isEmpty && isWrong(text)}
        aria-describedby={isEmpty ? undefined : `${id}-said`}
        onChange={(event) => onType(event.target.value)}
      />
      {!isEmpty && (
        <Guard what="What the report says" resetKeys={[text]}>
          <Answer id={`${id}-said`} text={text} onUse={onUse} />
        </Guard>
      )}
    </>
  );
}

/** A report that cannot even be read is told by what reads it, below. */
function isWrong(text: string): boolean {
  try {
    return !readMetar(text).ok;
  } catch {
    return true;
  }
}

interface AnswerProps extends Pick<Props, 'text' | 'onUse'> {
  readonly id: string;
}

function Answer({ id, text, onUse }: AnswerProps) {
  const outcome = readMetar(text);
  if (!outcome.ok)
    return (
      <p className="field-problem" id={id} role="alert">
        <Say sentence={outcome.refusal} />
      </p>
    );
  return (
    <div className="metar-said" id={id} role="status">
      <Said reading={outcome.value} />
      <button type="button" className="link" onClick={() => onUse(outcome.value)}>
        Use this weather
      </button>
    </div>
  );
}

function Said({ reading }: { readonly reading: MetarReading }) {
  const { say } = useWriter();
  const { says, lacks } = metarInWords(reading);
  return (
    <>
      <p>
        <b>{reading.station}</b>: {says.map(say).join(', ')}.
      </p>
      {lacks.length > 0 && (
        <>
          <p>It does not give</p>
          <ul>
            {lacks.map((lack) => (
              <li key={lack.code}>
                <Say sentence={lack} />
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
