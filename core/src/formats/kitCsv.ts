import { type Battery, batteryRanges, chemistries } from '../battery/battery';
import { type BatteryKeeping, batteryStates, keptPlaces } from '../battery/keeping';
import { chargedFull } from '../battery/selfDischarge';
import { nameProblem, textProblem } from '../units/names';
import { type Outcome, refuse, success } from '../units/outcome';
import { CellReader, type CsvProblem, readCsv, writeCsv } from './csv';
import { fileTooLong, longestFile } from './fileLength';
import { headed } from './headings';

/** One battery as a line of the kit's file; the aircraft by its name. */
export interface KitLine {
  readonly line: number;
  readonly aircraft: string;
  readonly label: string;
  readonly pack: Battery;
  readonly keeping: BatteryKeeping;
}

export interface KitRows {
  readonly lines: readonly KitLine[];
  readonly problems: readonly CsvProblem[];
}

const headings = [
  'aircraft',
  'battery',
  'capacity mAh',
  'cells',
  'nominal V',
  'full cell V',
  'chemistry',
  'cycles',
  'health %',
  'health measured',
  'charged to %',
  'charged at',
  'days to storage',
  'kept',
  'temperature °C',
  'bought',
  'state',
  'notes',
] as const;
const needed = ['battery', 'capacity mah', 'cells', 'nominal v', 'full cell v'];

/** The batteries of a kit as CSV, times in ISO 8601; what is not known is empty. */
export function writeKitCsv(lines: readonly Omit<KitLine, 'line'>[]): string {
  const percent = (value: number | null | undefined) =>
    value == null ? '' : Number((value * 100).toFixed(1));
  return writeCsv(
    headings,
    lines.map(({ aircraft, label, pack, keeping }) => [
      aircraft,
      label,
      pack.ratedCapacityMah,
      pack.cellCount,
      pack.nominalVoltageV,
      pack.fullCellVoltageV,
      pack.chemistry ?? '',
      pack.cycles ?? '',
      percent(pack.health),
      keeping.healthMeasuredOn ?? '',
      percent(pack.startCharge),
      keeping.chargedAt ?? '',
      pack.daysToStorage ?? '',
      keeping.keptAt ?? '',
      pack.startTemperatureC ?? '',
      keeping.boughtOn ?? '',
      keeping.state ?? '',
      keeping.notes ?? '',
    ]),
  );
}

/** Reads such a file; a wrong line is told by its number and column and left out. `aircraft` is taken where the cell is empty. */
export function readKitCsv(file: string, aircraft: string, timeZone: string): Outcome<KitRows> {
  if (file.length > longestFile) return fileTooLong(file);
  const table = headed(
    readCsv(file),
    headings.map((heading) => [heading] as const),
  );
  const missing = needed.filter((heading) => !table.has(heading));
  if (missing.length > 0) {
    return refuse('columns-missing', 'The first line must name the columns; missing: {names}.', {
      names: missing.join(', '),
    });
  }
  const problems: CsvProblem[] = [];
  const lines = table.rows.flatMap((row) => {
    const cells = new CellReader(row, timeZone);
    const line = {
      line: row.line,
      aircraft: row.text('aircraft') || aircraft,
      label: row.text('battery'),
      pack: packOfRow(cells),
      keeping: keepingOfRow(cells, row.text('notes')),
    };
    cells.check('battery', nameProblem('The name', line.label));
    cells.check('aircraft', nameProblem('The aircraft', line.aircraft));
    cells.check('notes', textProblem('The note', line.keeping.notes ?? ''));
    problems.push(...cells.problems);
    return cells.problems.length === 0 ? [line] : [];
  });
  return success({ lines, problems: [...table.ignored, ...problems] });
}

function packOfRow(cells: CellReader): Battery {
  return {
    ratedCapacityMah: cells.needed('capacity mAh', batteryRanges.ratedCapacityMah),
    cellCount: cells.needed('cells', batteryRanges.cellCount),
    nominalVoltageV: cells.needed('nominal V', batteryRanges.nominalVoltageV),
    fullCellVoltageV: cells.needed('full cell V', batteryRanges.fullCellVoltageV),
    chemistry: cells.oneOf('chemistry', chemistries),
    cycles: cells.quantity('cycles', batteryRanges.cycles),
    health: cells.quantity('health %', batteryRanges.health),
    startCharge: cells.quantity('charged to %', batteryRanges.startCharge) ?? chargedFull,
    daysToStorage: cells.quantity('days to storage', batteryRanges.daysToStorage),
    startTemperatureC: cells.quantity('temperature °C', batteryRanges.startTemperatureC),
  };
}

function keepingOfRow(cells: CellReader, notes: string): BatteryKeeping {
  return {
    state: cells.oneOf('state', batteryStates),
    chargedAt: cells.instant('charged at'),
    keptAt: cells.oneOf('kept', keptPlaces),
    boughtOn: cells.day('bought'),
    healthMeasuredOn: cells.day('health measured'),
    notes: notes || null,
  };
}
