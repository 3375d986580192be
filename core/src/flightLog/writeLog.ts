import { writeCsv } from '../formats/csv';
import { readingsOf, type TestFlight } from '../testFlights/testFlight';

/** A test's readings as a file that is read back: seconds, gauge, volts of a cell, and what the aircraft did. */
export function writeTestCsv(test: TestFlight): string {
  const noted = new Map((test.checkpoints ?? []).map((one) => [one.timeS, one]));
  return writeCsv(
    ['time s', 'charge %', 'cell V', 'event'],
    readingsOf(test).map(({ timeS, charge }) => {
      const checkpoint = noted.get(timeS);
      return [
        Number(timeS.toFixed(2)),
        Number((charge * 100).toFixed(2)),
        checkpoint?.cellVoltageV?.toFixed(3) ?? '',
        checkpoint?.kind ?? '',
      ];
    }),
  );
}
