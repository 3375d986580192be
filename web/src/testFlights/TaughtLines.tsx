import { type AircraftRecord, type Fit } from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { percent } from '../fields/percent';
import { Say } from '../fields/Say';
import { Bar } from '../parts/Bar';
import { uncapital } from '../parts/capitalize';
import { Headings } from '../parts/Headings';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { ScrollTable } from '../parts/ScrollTable';
import { howFlown } from '../parts/testWords';
import { Warning } from '../parts/Warning';
import { useRecords } from '../records/records';
import { useClock } from '../state/clock';
import { usePreferences } from '../state/preferences';
import { useWriter } from '../state/units';
import { labelsOf } from './labels';
import styles from './Taught.module.css';
import { stillUnknown, taughtLines } from './taughtWords';
import type { TestRow } from './useTests';

interface FitProps {
  readonly fit: Fit;
  readonly rows: readonly TestRow[];
}

/** Each thing that was learnt, as it is now and was before, with how much of it is known; what is not known yet; and the odd flight. */
export function Lines({ aircraft, fit, rows }: FitProps & { readonly aircraft: AircraftRecord }) {
  const batteries = useRecords((state) => state.batteries);
  const { say } = useWriter();
  const lines = taughtLines(fit, aircraft.name, aircraft.spec, labelsOf(batteries), say);
  const unknown = stillUnknown(fit, aircraft.spec);
  return (
    <>
      {fit.findings.map((finding) => (
        <Note key={finding.code}>
          <Say sentence={finding} />
        </Note>
      ))}
      <ScrollTable label="What was learnt">
        <Table className={styles.lines}>
          <Headings words={['learnt']} figures={['now', 'before', 'known']} />
          <Table.Tbody>
            {lines.map(({ name, now, before, learned }) => (
              <Table.Tr key={name}>
                <Table.Th scope="row">{name}</Table.Th>
                <Table.Td data-figure>{now}</Table.Td>
                <Table.Td data-figure className={styles.before}>
                  {before}
                </Table.Td>
                <Bar share={learned} as="spend" label={`uncertainty down by ${percent(learned)}`} />
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </ScrollTable>
      {unknown.length > 0 && (
        <div className={styles.unknown}>
          Still not known, and what would teach it:
          <ul>
            {unknown.map(({ name, way }) => (
              <li key={name}>
                {name}: {uncapital(way)}
              </li>
            ))}
          </ul>
        </div>
      )}
      <Note>
        Hardly ever learnt from flights: the capacity of a pack by itself, what a stop costs, the electronics.
        And never for another aircraft of the same type.
      </Note>
      <Marked fit={fit} rows={rows} />
    </>
  );
}

/** The one flight that lies farthest from what the others foretell, with what to check; it counts until the pilot says otherwise. */
function Marked({ fit, rows }: FitProps) {
  const choose = usePreferences((state) => state.choose);
  const edit = useRecords((state) => state.edit);
  const clock = useClock();
  const marked = fit.flights.filter(({ flagged, counts }) => flagged && counts);
  const worst = marked.sort(
    (a, b) => Math.abs(b.flagged?.deviations ?? 0) - Math.abs(a.flagged?.deviations ?? 0),
  )[0];
  const row = worst && rows.find(({ record }) => record.id === worst.id);
  if (!worst?.flagged || !row) return null;
  const { record, battery } = row;
  return (
    <Warning className={styles.marked}>
      Look at {battery?.label ?? 'the flight'}, {howFlown(record)}, {clock.format(record.flownAt, 'D MMM')}.{' '}
      <Say sentence={worst.flagged} /> It counts, for less.{' '}
      <LinkButton onClick={() => choose({ testFlightId: record.id })}>Show it</LinkButton>{' '}
      <LinkButton
        onClick={() =>
          edit('testFlights', record.id, { excludedReason: 'unlike the other flights' }, 'why it is left out')
        }
      >
        Leave it out
      </LinkButton>
    </Warning>
  );
}
