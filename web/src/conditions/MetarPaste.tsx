import { forecastHeightM, type MetarReading, metarInWords, metarMinds, readMetar } from '@acorn-tally/core';
import { Textarea } from '@mantine/core';
import { useId } from 'react';
import { Say } from '../fields/Say';
import { FieldError } from '../parts/FieldError';
import { Guard } from '../parts/Guard';
import { LinkButton } from '../parts/LinkButton';
import { Warning } from '../parts/Warning';
import { useWriter } from '../state/units';
import styles from './Told.module.css';

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
      <Textarea
        label="METAR text"
        description={`paste it whole; the station’s wind is read at ${write('distance', forecastHeightM)}, not at your place`}
        rows={2}
        resize="vertical"
        spellCheck={false}
        placeholder="METAR XXHF 260820Z 24008G14KT 9999 05/03 Q1008"
        value={text}
        error={!isEmpty && isWrong(text)}
        aria-describedby={isEmpty ? undefined : `${id}-said`}
        onChange={(event) => onType(event.currentTarget.value)}
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
      <FieldError id={id}>
        <Say sentence={outcome.refusal} />
      </FieldError>
    );
  return (
    <div className={styles.told} id={id} role="status">
      <Said reading={outcome.value} />
      <LinkButton onClick={() => onUse(outcome.value)}>Use this weather</LinkButton>
    </div>
  );
}

function Said({ reading }: { readonly reading: MetarReading }) {
  const { say } = useWriter();
  const { says, lacks } = metarInWords(reading);
  const minds = metarMinds(reading.aside, Date.now());
  return (
    <>
      <p>
        <b>{reading.station}</b>: {says.map(say).join(', ')}.
      </p>
      {minds.length > 0 && (
        <ul aria-label="Not used">
          {minds.map((mind) => (
            <li key={mind.code}>
              <Warning>{say(mind)}.</Warning>
            </li>
          ))}
        </ul>
      )}
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
