import { type AircraftRecord, type Fit, minutesAndSeconds } from '@acorn-tally/core';
import { Anchor, Table } from '@mantine/core';
import { Link } from 'react-router';
import { type Learning, useNextTests } from '../answers/learning';
import { capitalize } from '../parts/capitalize';
import { Headings } from '../parts/Headings';
import { Note } from '../parts/Note';
import { Section } from '../parts/Section';
import { testInWords } from '../parts/testWords';
import { useRecords } from '../records/records';
import { useBattery, useConditions, useFlownBatteriesOf } from '../state/current';
import { filmsUnlikeTests } from './filmsUnlikeTests';
import { labelsOf } from './labels';
import styles from './Taught.module.css';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly learning: Learning;
  readonly fit: Fit;
}

/** The tests that would take most from what is kept for doubt in the flight that is planned now. */
export function NextToFly({ aircraft, learning, fit }: Props) {
  const batteries = useFlownBatteriesOf(aircraft.id);
  const battery = useBattery(batteries);
  const conditions = useConditions();
  const tests = useNextTests(learning, fit.posterior, aircraft, battery, conditions);
  const labelOf = labelsOf(batteries);
  const [best] = tests ?? [];
  const testFlights = useRecords((state) => state.testFlights);
  return (
    <Section title={`Next test, for the flight planned with ${battery?.label ?? 'it'}`}>
      {filmsUnlikeTests(aircraft, testFlights) && (
        <Note>
          You film moving, and only hovers were timed: fly one moving test first. A hover says little of it.
        </Note>
      )}
      {!tests ? (
        <Note>{battery ? 'calculating …' : 'No battery is flown.'}</Note>
      ) : !best ? (
        <Note>No test would gain a minute worth telling.</Note>
      ) : (
        <Table>
          <Headings words={['test']} figures={['gains about']} />
          <Table.Tbody>
            {tests.map((test) => (
              <Table.Tr
                key={`${test.pattern} ${test.style} ${test.twist} ${test.batteryId}`}
                data-tied={test.tied || undefined}
              >
                <Table.Th scope="row">
                  {capitalize(testInWords(test, labelOf))}
                  {test.tied && test !== best && <small className={styles.tied}> equally good</small>}
                </Table.Th>
                <Table.Td data-figure>{minutesAndSeconds(test.gainsS)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
      <Note>
        Minutes less kept for doubt. Note the airspeed or the distance of a fast test: else drag and speed
        cannot be told apart.{' '}
        <Anchor component={Link} to="/clock">
          Fly a test by the clock
        </Anchor>
      </Note>
    </Section>
  );
}
