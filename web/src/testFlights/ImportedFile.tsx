import {
  type ColumnMap,
  type LogColumn,
  type LogLayout,
  type LogUnit,
  logColumns,
  logUnits,
  missingColumns,
} from '@acorn-tally/core';
import { type ReactNode, useState } from 'react';
import { ChoiceField } from '../fields/ChoiceField';
import { Say } from '../fields/Say';
import { FieldError } from '../parts/FieldError';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { PanelPart } from '../parts/SidePanel';
import type { FileRead } from '../workers/logReader';
import styles from './ImportPanel.module.css';

interface ImportedFileProps {
  readonly file: FileRead;
  readonly onLayout: (layout: LogLayout) => void;
  readonly children: ReactNode;
}

/** What a file came to: its columns, its lines that were left out, and the flights in it. */
export function ImportedFile({ file, onLayout, children }: ImportedFileProps) {
  const { name, refusal, layout, rows, problems, leftOut, flights, withTrack } = file;
  const missing = layout ? missingColumns(layout) : [];
  return (
    <PanelPart title={name}>
      {refusal && (
        <FieldError>
          <Say sentence={refusal} />
        </FieldError>
      )}
      {layout && <Columns layout={layout} onLayout={onLayout} />}
      {missing.length > 0 && (
        <FieldError>
          Which column tells {missing.join(', and which ')}? Say it above; it is remembered.
        </FieldError>
      )}
      {!refusal && missing.length === 0 && (
        <Note>
          {rows} rows{withTrack && `, with the track of ${withTrack}`}.{' '}
          {layout === null &&
            flights.length === 0 &&
            'A track without a gauge: read it together with its log.'}
          {layout !== null &&
            flights.length === 0 &&
            'No flight is in it: none lasts half a minute and spends 3 %.'}
        </Note>
      )}
      {leftOut > 0 && (
        <div role="alert" className={styles.problems}>
          {leftOut === 1 ? 'One line is' : `${leftOut} lines are`} left out:
          <ul>
            {problems.map(({ line, message }) => (
              <li key={`${line} ${message}`}>
                Line {line}: {message}
              </li>
            ))}
            {leftOut > problems.length && <li>and {leftOut - problems.length} more</li>}
          </ul>
        </div>
      )}
      {children}
    </PanelPart>
  );
}

/** What each column was taken for: shown, and corrected once. */
function Columns({
  layout,
  onLayout,
}: {
  readonly layout: LogLayout;
  readonly onLayout: (layout: LogLayout) => void;
}) {
  const missing = missingColumns(layout);
  const [open, setOpen] = useState(false);
  const { headings, columns } = layout;
  const hasDates = columns.date !== undefined || columns.time?.unit === 'date and time';
  const told = logColumns.filter((column) => columns[column]);
  const set = (column: LogColumn, index: number, unit: LogUnit) => {
    const { [column]: _, ...others } = columns;
    const next: ColumnMap = index < 0 ? others : { ...others, [column]: { index, unit } };
    onLayout({ ...layout, columns: next });
  };
  return (
    <>
      <Note>
        {told
          .map(
            (column) =>
              `${column}: “${headings[columns[column]?.index ?? 0]?.trim()}” in ${columns[column]?.unit}`,
          )
          .join('; ')}
        {'. '}
        <LinkButton onClick={() => setOpen(!open)}>
          {open ? 'Close the columns' : 'Correct the columns'}
        </LinkButton>
      </Note>
      {open && hasDates && (
        <ChoiceField
          label="Dates are written"
          value={layout.monthFirst ? 'month' : 'day'}
          options={[
            { value: 'day', label: 'day, month, year' },
            { value: 'month', label: 'month, day, year' },
          ]}
          onChange={(first) => onLayout({ ...layout, monthFirst: first === 'month' })}
        />
      )}
      {(open || missing.length > 0) &&
        logColumns.map((column) => {
          const found = columns[column];
          const units = logUnits[column] as readonly LogUnit[];
          const unit = found?.unit ?? (units[0] as LogUnit);
          return (
            <div key={column} className={styles.column}>
              <ChoiceField
                label={`Column of ${column}`}
                value={String(found?.index ?? -1)}
                options={[
                  { value: '-1', label: 'none' },
                  ...headings.map((heading, i) => ({
                    value: String(i),
                    label: heading.trim() || `column ${i + 1}`,
                  })),
                ]}
                onChange={(index) => set(column, Number(index), unit)}
              />
              {found && units.length > 1 && (
                <ChoiceField
                  label={`Unit of ${column}`}
                  value={unit}
                  options={units.map((one) => ({ value: one, label: one }))}
                  onChange={(one) => set(column, found.index, one)}
                />
              )}
            </div>
          );
        })}
    </>
  );
}
