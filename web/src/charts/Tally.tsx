import styles from './Tally.module.css';
import { type MinuteUse, minuteUses, type TallySpans, tallyInWords, tallyStrokes, useNames } from './tally';

const stroke = { gap: 9, height: 26, groupGap: 16, lean: 5 };
const groupWidth = 4 * stroke.gap + stroke.groupGap;

/** Five-barred strokes, one a minute: four uprights and a slash; long flights shrink the stroke, never the count. */
export function Tally({ spans }: { readonly spans: TallySpans }) {
  const strokes = tallyStrokes(spans);
  const groups = Math.ceil(strokes.length / 5);
  const width = groups * groupWidth + 6;
  return (
    <svg
      className={styles.tally}
      viewBox={`0 0 ${width} ${stroke.height + 6}`}
      style={{ maxWidth: width }}
      preserveAspectRatio="xMinYMid meet"
      role="img"
      aria-label={tallyInWords(strokes)}
    >
      {strokes.map((use, minute) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a stroke is its minute
        <Stroke key={minute} minute={minute} use={use} />
      ))}
    </svg>
  );
}

function Stroke({ minute, use }: { readonly minute: number; readonly use: MinuteUse }) {
  const left = Math.floor(minute / 5) * groupWidth + 6;
  const place = minute % 5;
  const x = left + place * stroke.gap;
  const line =
    place === 4
      ? { x1: left - stroke.lean, y1: stroke.height - 1, x2: left + 3 * stroke.gap + stroke.lean, y2: 7 }
      : { x1: x, y1: 3, x2: x, y2: stroke.height + 3 };
  return <Line use={use} {...line} />;
}

interface LineProps {
  readonly use: MinuteUse;
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/** What is kept for doubt is hollow: a stroke of paper inside one of acorn. */
function Line({ use, ...line }: LineProps) {
  if (use !== 'doubt') return <line className={styles[use]} {...line} />;
  return (
    <>
      <line className={styles.doubt} {...line} />
      <line className={styles.hollow} {...line} />
    </>
  );
}

export function TallyLegend() {
  return (
    <ul className={styles.legend} aria-label="What the strokes mean">
      {minuteUses.map((use) => (
        <li key={use}>
          <svg width="6" height="16" viewBox="0 0 6 16" aria-hidden="true">
            <Line use={use} x1={3} y1={1} x2={3} y2={15} />
          </svg>
          {useNames[use]}
        </li>
      ))}
    </ul>
  );
}
