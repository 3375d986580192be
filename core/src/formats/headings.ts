import type { Quantity } from '../units/quantity';
import { type ChosenUnits, dimensionOf, isUnitWord, metricUnits, unitFor } from '../units/units';
import type { CsvProblem, CsvRow, CsvTable } from './csv';

/** How the columns of a file are called: first the heading that is written, then how others head the same. */
export type ColumnNames = readonly [string, ...string[]];

/** A table whose rows are asked by the headings that we write, whatever they are headed with. */
export interface HeadedTable {
  readonly rows: readonly CsvRow[];
  /** Whether a column of this heading is there. */
  has(heading: string): boolean;
  /** Columns that nothing is read from; those that look like a missing one say so. */
  readonly ignored: readonly CsvProblem[];
}

/**
 * Finds columns by their words: "Distance", "distance_m", "Wind speed [km/h]". A unit named in a heading holds for its cells; where
 * none is named, a number is in the reader's own units.
 */
export function headed(
  table: CsvTable,
  columns: readonly ColumnNames[],
  units: ChosenUnits = metricUnits,
): HeadedTable {
  const parted = table.headings.map(partedHeading);
  const found = new Map<string, number>();
  for (const names of columns) {
    const words = names.flatMap((name) => [partedHeading(name).words, plain(name)]);
    const at = parted.findIndex(
      ({ words: own }, i) => words.includes(own) || words.includes(plain(table.headings[i] ?? '')),
    );
    if (at >= 0) found.set(names[0].toLowerCase(), at);
  }
  const unitOf = (heading: string, quantity: Quantity): string | null => {
    const at = found.get(heading.toLowerCase());
    if (at === undefined) return null;
    const dimension = dimensionOf(quantity.unit);
    return parted[at]?.unit ?? (dimension ? unitFor(dimension, units).name : null);
  };
  const text = (row: CsvRow, heading: string) => {
    const at = found.get(heading.toLowerCase());
    return at === undefined ? '' : row.text(table.headings[at] ?? '');
  };
  const named = (heading: string) => table.written[found.get(heading.toLowerCase()) ?? -1] ?? heading;
  return {
    rows: table.rows.map((row) => ({
      line: row.line,
      text: (heading) => text(row, heading),
      unitOf,
      named,
    })),
    has: (heading) => found.has(heading.toLowerCase()),
    ignored: ignoredIn(table.headings, found, columns),
  };
}

const taken = (found: ReadonlyMap<string, number>, at: number) => [...found.values()].includes(at);

/** Small letters, and what divides words as blanks. */
function plain(heading: string): string {
  return heading
    .toLowerCase()
    .replace(/[_()[\]{}.:;,]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

/** A heading without the unit at its end, and that unit. */
function partedHeading(heading: string): { readonly words: string; readonly unit: string | null } {
  const words = plain(heading).split(' ');
  const last = words[words.length - 1] ?? '';
  if (words.length < 2 || !isUnitWord(last)) return { words: words.join(' '), unit: null };
  return { words: words.slice(0, -1).join(' '), unit: last === 'deg' || last === 'degrees' ? '°' : last };
}

function ignoredIn(
  headings: readonly string[],
  found: ReadonlyMap<string, number>,
  columns: readonly ColumnNames[],
): CsvProblem[] {
  const missing = columns.filter(([name]) => !found.has(name.toLowerCase()));
  return headings.flatMap((heading, i) => {
    if (heading === '' || taken(found, i)) return [];
    const like = missing.find((names) =>
      names.some((name) => isLike(partedHeading(name).words, plain(heading))),
    );
    const message = like
      ? `“${heading}” is not read. Is it “${like[0]}”? Then head it so.`
      : `“${heading}” is not read.`;
    return [{ line: 1, column: null, message }];
  });
}

/** Whether one is in the other, but for an ending: "gust" in "gusts max". */
function isLike(name: string, heading: string): boolean {
  return name.length > 3 && (heading.includes(name.slice(0, -1)) || name.includes(heading));
}
