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
  const widthS = usableS.p90 - usableS.p10;
  return (
    <>
      <p className="panel-note">
        Eight in ten flights of {label} lie within {minutesAndSeconds(widthS)} min, from{' '}
        {minutesAndSeconds(usableS.p10)} to {minutesAndSeconds(usableS.p90)}. It would narrow by
      </p>
      {sensitivity.length === 0 ? (
        <p className="panel-note">little, whatever you measured.</p>
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
      <Link to="/test-flights?record" className="link below-link">
        Record a test
      </Link>
    </>
  );
}
