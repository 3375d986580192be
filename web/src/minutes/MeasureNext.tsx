import { type Band, minutesAndSeconds, waysToKnow } from '@acorn-tally/core';
import { Link } from 'react-router';

interface Props {
  readonly label: string;
  readonly band: Band | null;
}

/** What a pilot could find out, and by how much each would narrow the band. */
export function MeasureNext({ label, band }: Props) {
  if (!band) return <p className="panel-note">reckoning …</p>;
  const { sensitivity, usableS } = band;
  const most = Math.max(...sensitivity.map(({ seconds }) => seconds));
  const doubtS = usableS.p50 - usableS.planned;
  return (
    <>
      <p className="panel-note">
        Of {label}, {minutesAndSeconds(doubtS)} min are kept for doubt: eight in ten flights lie between{' '}
        {minutesAndSeconds(usableS.p10)} and {minutesAndSeconds(usableS.p90)}. To plan on, you would gain
        about
      </p>
      {sensitivity.length === 0 ? (
        <p className="panel-note">little, whatever you found out.</p>
      ) : (
        <table className="ledger">
          <tbody>
            {sensitivity.map(({ input, seconds }) => (
              <tr key={input}>
                <th scope="row">{waysToKnow[input]}</th>
                <td className="ledger-bar">
                  <i style={{ width: `${(seconds / most) * 100}%` }} />
                </td>
                <td>
                  <b>{minutesAndSeconds(seconds)}</b>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="panel-note">
        Two flights of one aircraft differ by some 4 % whatever you know; that much stays in doubt.
      </p>
      <Link to="/test-flights?record" className="link below-link">
        Record a test
      </Link>
    </>
  );
}
