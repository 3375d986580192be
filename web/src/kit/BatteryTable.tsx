import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  flyingOrder,
  isFlown,
  packAtTheHour,
  takeoffCharge,
} from '@acorn-tally/core';
import { Table, UnstyledButton } from '@mantine/core';
import { IconArrowDown, IconArrowUp, IconChevronDown, IconChevronRight } from '@tabler/icons-react';
import {
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  type Row,
  type RowSelectionState,
  type SortingState,
  useReactTable,
} from '@tanstack/react-table';
import { Fragment, type KeyboardEvent, useMemo, useState } from 'react';
import { ChoiceField } from '../fields/ChoiceField';
import { TextField } from '../fields/TextField';
import { IconButton } from '../parts/IconButton';
import { Note } from '../parts/Note';
import { ScrollTable } from '../parts/ScrollTable';
import { likeliest } from '../state/belief';
import { unfitNow } from '../state/unfitNow';
import { BatteryDetails } from './BatteryDetails';
import { columnsFor, type Line } from './batteryColumns';
import styles from './KitTable.module.css';
import { SelectionBar } from './SelectionBar';

interface Props {
  readonly aircraft: readonly AircraftRecord[];
  readonly batteries: readonly BatteryRecord[];
  readonly chosen: AircraftRecord;
  readonly conditions: DayAtPlace;
}

type Whose = 'chosen' | 'all';

/** All packs, sorted, searched and edited in place; several are chosen to be charged, stored or flown at once. */
export function BatteryTable({ aircraft, batteries, chosen, conditions }: Props) {
  const [whose, setWhose] = useState<Whose>('chosen');
  const [search, setSearch] = useState('');
  const [sorting, setSorting] = useState<SortingState>([]);
  const [selection, setSelection] = useState<RowSelectionState>({});
  const [openId, setOpenId] = useState<string | null>(null);
  const shown = useMemo(
    () => batteries.filter(({ aircraftId }) => whose === 'all' || aircraftId === chosen.id),
    [batteries, whose, chosen.id],
  );
  const lines = useMemo(() => linesOf(shown, aircraft, conditions), [shown, aircraft, conditions]);
  const columns = useMemo(() => columnsFor(conditions, whose === 'all'), [conditions, whose]);
  const table = useReactTable({
    data: lines,
    columns,
    state: { sorting, globalFilter: search, rowSelection: selection },
    getRowId: ({ battery }) => battery.id,
    onSortingChange: setSorting,
    onRowSelectionChange: setSelection,
    onGlobalFilterChange: setSearch,
    globalFilterFn: (row, _, text: string) => searched(row.original).includes(text.trim().toLowerCase()),
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
  });
  const rows = table.getRowModel().rows;
  const selected = table.getFilteredSelectedRowModel().rows.map(({ original }) => original.battery);
  return (
    <section aria-label="Batteries">
      <div className={styles.tools}>
        <ChoiceField
          stacked
          label="Batteries of"
          value={whose}
          options={[
            { value: 'chosen', label: chosen.name },
            { value: 'all', label: 'all aircraft' },
          ]}
          onChange={setWhose}
        />
        <TextField
          stacked
          label="Find"
          placeholder="label, note, damaged …"
          value={search}
          onChange={setSearch}
        />
        <SelectionBar aircraft={chosen} selected={selected} onDone={() => setSelection({})} />
      </div>
      <ScrollTable label="Table of batteries">
        <Table className={styles.table} onKeyDown={downOnEnter}>
          <Table.Thead>
            {table.getHeaderGroups().map((group) => (
              <Table.Tr key={group.id}>
                {group.headers.map((header) => (
                  <Table.Th
                    key={header.id}
                    scope="col"
                    aria-sort={sortWords[String(header.column.getIsSorted())]}
                  >
                    {header.column.getCanSort() ? (
                      <UnstyledButton onClick={header.column.getToggleSortingHandler()}>
                        {flexRender(header.column.columnDef.header, header.getContext())}
                        {header.column.getIsSorted() === 'asc' && <IconArrowUp size={13} aria-hidden />}
                        {header.column.getIsSorted() === 'desc' && <IconArrowDown size={13} aria-hidden />}
                      </UnstyledButton>
                    ) : (
                      flexRender(header.column.columnDef.header, header.getContext())
                    )}
                  </Table.Th>
                ))}
                <Table.Th scope="col">
                  <span data-unseen>Details</span>
                </Table.Th>
              </Table.Tr>
            ))}
          </Table.Thead>
          <Table.Tbody>
            {rows.map((row) => (
              <Fragment key={row.id}>
                <TableRow
                  row={row}
                  open={openId === row.id}
                  onToggle={() => setOpenId(openId === row.id ? null : row.id)}
                />
                {openId === row.id && (
                  <Table.Tr className={styles.details}>
                    <Table.Td colSpan={row.getVisibleCells().length + 1}>
                      <BatteryDetails battery={row.original.battery} packNow={row.original.packNow} />
                    </Table.Td>
                  </Table.Tr>
                )}
              </Fragment>
            ))}
          </Table.Tbody>
        </Table>
      </ScrollTable>
      {rows.length === 0 && <Note>{noneInWords(search, chosen.name)}</Note>}
    </section>
  );
}

function noneInWords(search: string, name: string): string {
  return search.trim() === ''
    ? `${name} has no battery yet: add one above.`
    : `No battery has “${search.trim()}” in its label, notes or state.`;
}

function TableRow({
  row,
  open,
  onToggle,
}: {
  readonly row: Row<Line>;
  readonly open: boolean;
  readonly onToggle: () => void;
}) {
  const { battery } = row.original;
  return (
    <Table.Tr className={isFlown(battery.keeping) ? undefined : styles.out}>
      {row.getVisibleCells().map((cell) => (
        <Table.Td key={cell.id} data-column={cell.column.id} data-heading={cell.column.columnDef.header}>
          {flexRender(cell.column.columnDef.cell, cell.getContext())}
        </Table.Td>
      ))}
      <Table.Td data-column="more">
        <IconButton
          icon={open ? IconChevronDown : IconChevronRight}
          label={`${battery.label} in detail`}
          expanded={open}
          onClick={onToggle}
        />
      </Table.Td>
    </Table.Tr>
  );
}

const sortWords: Record<string, 'ascending' | 'descending' | 'none'> = {
  asc: 'ascending',
  desc: 'descending',
  false: 'none',
};

function linesOf(
  batteries: readonly BatteryRecord[],
  aircraft: readonly AircraftRecord[],
  conditions: DayAtPlace,
): Line[] {
  const packs = batteries.map((battery) => packAtTheHour(battery, conditions));
  const flown = batteries.flatMap((battery, i) =>
    isFlown(battery.keeping) && !unfitNow(battery, conditions) ? [i] : [],
  );
  const candidates = flown.map((i) => {
    const pack = packs[i] as Line['packNow'];
    return {
      ...pack,
      takeoffCharge: takeoffCharge(pack, likeliest((batteries[i] as BatteryRecord).aircraftId)),
    };
  });
  const order = flyingOrder(candidates).map((place) => flown[place]);
  return batteries.map((battery, i) => ({
    battery,
    packNow: packs[i] as Line['packNow'],
    aircraft: aircraft.find(({ id }) => id === battery.aircraftId)?.name ?? '',
    turn: order.includes(i) ? order.indexOf(i) + 1 : null,
  }));
}

function searched({ battery, aircraft }: Line): string {
  const { label, keeping } = battery;
  return [label, aircraft, keeping?.state ?? 'in use', keeping?.notes ?? ''].join(' ').toLowerCase();
}

/** Enter goes to the same column of the next row, as in any table of figures; Shift-Enter goes back. */
function downOnEnter(event: KeyboardEvent<HTMLTableElement>): void {
  if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement)) return;
  if (event.target.type === 'checkbox' || event.target.readOnly) return;
  const cell = event.target.closest('td');
  const cells = [
    ...event.currentTarget.querySelectorAll<HTMLElement>(`td[data-column="${cell?.dataset.column}"]`),
  ];
  const next = cells[cells.indexOf(cell as HTMLElement) + (event.shiftKey ? -1 : 1)];
  next?.querySelector<HTMLElement>('input')?.focus();
}
