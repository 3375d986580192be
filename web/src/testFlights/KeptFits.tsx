import { type AircraftRecord, type ListedFit, minutesAndSeconds } from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { goBackTo } from '../answers/learning';
import { flightsInWords } from '../answers/trust';
import { LinkButton } from '../parts/LinkButton';
import { Section } from '../parts/Section';
import { useRecords } from '../records/records';
import { useClock } from '../state/clock';

const maxListed = 8;

/** Every fit is kept; one is used, or the box. */
export function KeptFits({
  aircraft,
  current,
}: {
  readonly aircraft: AircraftRecord;
  readonly current: ListedFit | null;
}) {
  const fits = useRecords((state) => state.fits);
  const clock = useClock();
  const own = fits.filter(({ aircraftId }) => aircraftId === aircraft.id).reverse();
  if (own.length === 0) return null;
  return (
    <Section title="Fits that were used">
      <Table>
        <Table.Tbody>
          {own.slice(0, maxListed).map((record) => (
            <Table.Tr key={record.id}>
              <Table.Th scope="row">
                {clock.format(record.madeAt, 'D MMM YYYY, HH:mm')}, {flightsInWords(record.fit.flown)}
              </Table.Th>
              <Table.Td data-figure>
                {record.fit.leaveOneOut &&
                  `typical miss ${minutesAndSeconds(record.fit.leaveOneOut.medianMissS)}`}
              </Table.Td>
              <Table.Td data-figure>
                {record.id === current?.id ? (
                  <b>in use</b>
                ) : (
                  <LinkButton
                    label={`Go back to the fit of ${clock.format(record.madeAt, 'D MMM YYYY, HH:mm')}`}
                    onClick={() => goBackTo(aircraft, record.id)}
                  >
                    Go back to it
                  </LinkButton>
                )}
              </Table.Td>
            </Table.Tr>
          ))}
          <Table.Tr>
            <Table.Th scope="row">Spec sheet only</Table.Th>
            <Table.Td />
            <Table.Td data-figure>
              {current ? (
                <LinkButton onClick={() => goBackTo(aircraft, null)}>Go back to the spec sheet</LinkButton>
              ) : (
                <b>in use</b>
              )}
            </Table.Td>
          </Table.Tr>
        </Table.Tbody>
      </Table>
    </Section>
  );
}
