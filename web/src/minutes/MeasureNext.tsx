import { type Band, minutesAndSeconds } from '@acorn-tally/core';
import { Anchor, Table } from '@mantine/core';
import { Link } from 'react-router';
import { Bar } from '../parts/Bar';
import { Note } from '../parts/Note';
import { type Asked, useGains } from './useGains';

/** What a pilot could find out or fly, and by how much each would narrow the band. */
export function MeasureNext({ band, ...asked }: Asked & { readonly band: Band | null }) {
  const { gains } = useGains(asked, band);
  if (!band) return <Note>calculating …</Note>;
  const { usableS } = band;
  const most = Math.max(...gains.map(({ seconds }) => seconds));
  const doubtS = usableS.p50 - usableS.planned;
  return (
    <>
      <Note>
        Of {asked.battery.label}, {minutesAndSeconds(doubtS)} min are kept for doubt: 8 in 10 flights lie
        between {minutesAndSeconds(usableS.p10)} and {minutesAndSeconds(usableS.p90)}. To plan on, you would
        gain about
      </Note>
      {gains.length === 0 ? (
        <Note>little, whatever you found out.</Note>
      ) : (
        <Table>
          <Table.Tbody>
            {gains.map(({ way, seconds }) => (
              <Table.Tr key={way}>
                <Table.Th scope="row">{way}</Table.Th>
                <Bar share={seconds / most} as="spend" />
                <Table.Td data-figure>{minutesAndSeconds(seconds)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
      <Note>Two flights of one aircraft differ by some 4 % whatever you know; that much stays in doubt.</Note>
      <Anchor component={Link} to="?record" data-alone>
        Record a test
      </Anchor>
    </>
  );
}
