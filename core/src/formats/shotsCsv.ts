import { type Style, styles } from '../aircraft/aircraft';
import { lightWishes, maxShots, type Shot, shotNeeds, shotRanges } from '../swapPlan/request/shot';
import { nameProblem } from '../units/names';
import { type Outcome, refuse, success } from '../units/outcome';
import type { ChosenUnits } from '../units/units';
import { CellReader, type CsvProblem, readCsv, writeCsv } from './csv';
import { fileTooLong, longestFile } from './fileLength';
import { type ColumnNames, headed } from './headings';

export interface ShotRows {
  readonly shots: readonly Shot[];
  readonly problems: readonly CsvProblem[];
}

const headings = [
  'name',
  'minutes',
  'style',
  'distance m',
  'bearing °',
  'height m',
  'takes',
  'set-up min',
  'need',
  'light',
  'not before',
  'over by',
  'accessories g',
] as const;
/** And how others head the same. */
const columns: readonly ColumnNames[] = [
  ['name', 'shot', 'title'],
  ['minutes', 'duration', 'length', 'time'],
  ['style', 'mode'],
  ['distance m', 'distance out', 'out'],
  ['bearing °', 'direction', 'azimuth'],
  ['height m', 'altitude', 'alt'],
  ['takes'],
  ['set-up min', 'setup', 'set up'],
  ['need', 'priority'],
  ['light'],
  ['not before', 'earliest'],
  ['over by', 'latest'],
  ['accessories g', 'added mass'],
];
const needed = ['name', 'minutes'];

const usually = { style: 'slow' as Style, distanceM: 100, bearingDeg: 0, heightM: 30 };

/** Shots as CSV, times in ISO 8601; what is not asked for is empty. What hangs on other records, as pins do, stays behind. */
export function writeShotsCsv(shots: readonly Shot[]): string {
  return writeCsv(
    headings,
    shots.map((shot) => [
      shot.name,
      minutes(shot.durationS),
      shot.style,
      shot.distanceM,
      shot.bearingDeg,
      shot.heightM,
      shot.takes ?? '',
      shot.setUpS == null ? '' : minutes(shot.setUpS),
      shot.need ?? '',
      shot.light ?? '',
      shot.earliestAt ?? '',
      shot.latestAt ?? '',
      shot.addedMassKg == null ? '' : Number((shot.addedMassKg * 1000).toFixed(1)),
    ]),
  );
}

/** Reads such rows, from a file or pasted; a wrong line is told by its number and column and left out. */
export function readShotsCsv(
  text: string,
  timeZone: string,
  newId: () => string,
  units?: ChosenUnits,
): Outcome<ShotRows> {
  if (text.length > longestFile) return fileTooLong(text);
  const table = headed(readCsv(text), columns, units);
  const missing = needed.filter((heading) => !table.has(heading));
  if (missing.length > 0)
    return refuse('columns-missing', 'The first line must name the columns; missing: {names}.', {
      names: missing.join(', '),
    });
  if (table.rows.length > maxShots)
    return refuse('too-many-rows', 'At most {mostCount} shots are read; these are {readCount}.', {
      mostCount: maxShots,
      readCount: table.rows.length,
    });
  const problems: CsvProblem[] = [];
  const shots = table.rows.flatMap((row) => {
    const cells = new CellReader(row, timeZone);
    const name = row.text('name');
    cells.check('name', nameProblem('The name', name));
    const shot: Shot = {
      id: newId(),
      name,
      durationS: cells.needed('minutes', shotRanges.durationS),
      style: cells.oneOf('style', styles) ?? usually.style,
      distanceM: cells.quantity('distance m', shotRanges.distanceM) ?? usually.distanceM,
      bearingDeg: cells.quantity('bearing °', shotRanges.bearingDeg) ?? usually.bearingDeg,
      heightM: cells.quantity('height m', shotRanges.heightM) ?? usually.heightM,
      takes: cells.quantity('takes', shotRanges.takes),
      setUpS: cells.quantity('set-up min', shotRanges.setUpS),
      need: cells.oneOf('need', shotNeeds),
      light: cells.oneOf('light', lightWishes),
      earliestAt: cells.instant('not before'),
      latestAt: cells.instant('over by'),
      addedMassKg: cells.quantity('accessories g', shotRanges.addedMassKg),
    };
    problems.push(...cells.problems);
    return cells.problems.length === 0 ? [shot] : [];
  });
  return success({ shots, problems: [...table.ignored, ...problems] });
}

/** "5:20". */
function minutes(seconds: number): string {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
