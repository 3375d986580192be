import type { ColumnMap } from './columns';
import type { LogLayout } from './layout';
import { LineSplitter } from './lines';
import { RowReader } from './readRows';
import type { LogSample, ReadLog } from './sample';

/** The one form in which the samples of a flight are kept and given out; read back by `readSamplesCsv`, or like any log. */
export const samplesHeadings = [
  'time s',
  'charge %',
  'cell V',
  'height m',
  'speed m/s',
  'distance m',
  'temperature °C',
  'latitude °',
  'longitude °',
  'motors on',
] as const;

const columns: ColumnMap = {
  time: { index: 0, unit: 's' },
  charge: { index: 1, unit: '%' },
  voltage: { index: 2, unit: 'V a cell' },
  height: { index: 3, unit: 'm' },
  speed: { index: 4, unit: 'm/s' },
  distance: { index: 5, unit: 'm' },
  temperature: { index: 6, unit: '°C' },
  latitude: { index: 7, unit: '°' },
  longitude: { index: 8, unit: '°' },
  motors: { index: 9, unit: 'on or off' },
};
const layout: LogLayout = { delimiter: ',', decimalComma: false, headings: samplesHeadings, columns };

export function writeSamplesCsv(samples: readonly LogSample[]): string {
  const rounded = (value: number | undefined, digits: number) =>
    value === undefined ? '' : String(Number(value.toFixed(digits)));
  const lines = samples.map((one) =>
    [
      rounded(one.timeS, 3),
      one.charge === undefined ? '' : rounded(one.charge * 100, 3),
      rounded(one.cellVoltageV, 4),
      rounded(one.heightM, 2),
      rounded(one.speedMps, 2),
      rounded(one.distanceM, 1),
      rounded(one.temperatureC, 1),
      rounded(one.latitudeDeg, 7),
      rounded(one.longitudeDeg, 7),
      one.motorsOn === undefined ? '' : Number(one.motorsOn),
    ].join(','),
  );
  return `${[samplesHeadings.join(','), ...lines].join('\n')}\n`;
}

export function readSamplesCsv(text: string): ReadLog {
  const rows = new RowReader(layout, 1, 'UTC');
  rows.feed(text);
  return rows.end();
}

const samplesLine = /^(-?[\d.]*,){9}[01]?$/;
const maxSampleLength = 300;

/** Looks such a file through piece by piece, so that neither its length nor who sends it holds anybody up. */
export class SamplesCheck {
  private readonly lines = new LineSplitter((line) => this.look(line));
  private line = 0;
  /** The first line that is none of it, from 1; null while all are. */
  wrongLine: number | null = null;

  feed(text: string): void {
    this.lines.feed(text);
  }

  end(): number | null {
    this.lines.end();
    if (this.line === 0) this.wrongLine = 1;
    return this.wrongLine;
  }

  private look(line: string): void {
    this.line++;
    const isRight =
      this.line === 1
        ? line === samplesHeadings.join(',')
        : line === '' || (line.length <= maxSampleLength && samplesLine.test(line));
    if (!isRight) this.wrongLine ??= this.line;
  }
}

/** The first line of such a file that is none of it, from 1; null where all are. */
export function wrongSamplesLine(text: string): number | null {
  const check = new SamplesCheck();
  check.feed(text);
  return check.end();
}
