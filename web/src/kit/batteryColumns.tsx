import '@mantine/core/styles/Checkbox.css';
import {
  type BatteryRecord,
  type BatteryState,
  batteryStates,
  type DayAtPlace,
  isFlown,
  keptPlaces,
  lowCells,
  nameProblem,
  packAdvice,
  ranges,
  storageAdvice,
  takeoffCharge,
} from '@acorn-tally/core';
import { Checkbox } from '@mantine/core';
import type { ColumnDef } from '@tanstack/react-table';
import { type ReactNode, useMemo } from 'react';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import {
  chargeInWords,
  healthInWords,
  keptPlaceOf,
  placeNames,
  spreadInWords,
  storageInWords,
  whenInWords,
} from '../parts/kitWords';
import { useRecords } from '../records/records';
import { believedHealth, learntOf, likeliest } from '../state/belief';
import { clockAt, useClock } from '../state/clock';
import { useWriter } from '../state/units';
import { usePackEdit } from '../state/usePackEdit';
import styles from './KitTable.module.css';

/** A battery with what follows for it at the ribbon’s hour. */
export interface Line {
  readonly battery: BatteryRecord;
  readonly aircraft: string;
  readonly packNow: BatteryRecord['pack'];
  /** Its place in the order to fly, from 1; null for one that is not flown. */
  readonly turn: number | null;
}

/** What a row shows and how it sorts; each cell edits in place. */
export function columnsFor(conditions: DayAtPlace, withAircraft: boolean): ColumnDef<Line>[] {
  const column = (
    id: string,
    header: string,
    accessorFn: (line: Line) => string | number,
    cell: (line: Line) => ReactNode,
  ): ColumnDef<Line> => ({ id, header, accessorFn, cell: ({ row }) => cell(row.original) });
  return [
    {
      id: 'pick',
      enableSorting: false,
      header: ({ table }) => (
        <Checkbox
          {...pickProps('Choose all batteries shown')}
          checked={table.getIsAllRowsSelected()}
          onChange={table.getToggleAllRowsSelectedHandler()}
        />
      ),
      cell: ({ row }) => (
        <Checkbox
          {...pickProps(`Choose ${row.original.battery.label}`)}
          checked={row.getIsSelected()}
          onChange={row.getToggleSelectedHandler()}
        />
      ),
    },
    column(
      'label',
      'Label',
      ({ battery }) => battery.label,
      (line) => <LabelCell {...line} />,
    ),
    ...(withAircraft
      ? [
          column(
            'aircraft',
            'Aircraft',
            ({ aircraft }) => aircraft,
            ({ aircraft }) => aircraft,
          ),
        ]
      : []),
    column(
      'capacity',
      'Capacity',
      ({ battery }) => battery.pack.ratedCapacityMah,
      ({ battery }) => <CapacityCell battery={battery} />,
    ),
    column(
      'cycles',
      'Cycles',
      ({ battery }) => battery.pack.cycles ?? 0,
      ({ battery }) => <CyclesCell battery={battery} />,
    ),
    column(
      'health',
      'Health',
      ({ battery }) => believedHealth(battery),
      ({ battery }) => <HealthCell battery={battery} />,
    ),
    column(
      'charged',
      'Charged to',
      ({ battery }) => battery.pack.startCharge,
      ({ battery }) => <ChargedCell battery={battery} seenFrom={conditions.at} />,
    ),
    column(
      'now',
      `At ${clockAt(conditions).format(conditions.at, 'HH:mm')}`,
      ({ battery, packNow }) => takeoffCharge(packNow, likeliest(battery.aircraftId)),
      (line) => <NowCell {...line} at={conditions.at} />,
    ),
    column(
      'kept',
      'Kept',
      ({ packNow }) => packNow.startTemperatureC ?? conditions.weather.airTemperatureC,
      ({ battery, packNow }) => <KeptCell battery={battery} packNow={packNow} conditions={conditions} />,
    ),
    column(
      'state',
      'State',
      ({ battery }) => battery.keeping?.state ?? 'in use',
      ({ battery }) => <StateCell battery={battery} />,
    ),
    column(
      'turn',
      'Fly next',
      ({ turn }) => turn ?? 999,
      ({ turn }) => (turn === null ? '–' : turn),
    ),
  ];
}

/** A box to tick without words beside it; its label lies over it, as large as a finger. */
function pickProps(label: string) {
  return {
    label: <span data-unseen>{label}</span>,
    classNames: { root: styles.pick, inner: styles.pickBox, label: styles.pickLabel },
  };
}

interface CellProps {
  readonly battery: BatteryRecord;
}

function LabelCell({ battery }: Line) {
  const edit = useRecords((state) => state.edit);
  return (
    <TextField
      bare
      label={`Label of ${battery.label}`}
      value={battery.label}
      problem={(text) => nameProblem('Label', text)}
      onChange={(label) => edit('batteries', battery.id, { label }, `label of ${battery.label}`)}
    />
  );
}

function CapacityCell({ battery }: CellProps) {
  const { changePack } = usePackEdit(battery);
  return (
    <QuantityField
      bare
      quantity={ranges.battery.ratedCapacityMah}
      label={`Rated capacity of ${battery.label}`}
      value={battery.pack.ratedCapacityMah}
      onChange={(ratedCapacityMah) => changePack({ ratedCapacityMah }, 'capacity')}
    />
  );
}

function CyclesCell({ battery }: CellProps) {
  const { changePack } = usePackEdit(battery);
  return (
    <QuantityField
      bare
      quantity={ranges.battery.cycles}
      label={`Cycles of ${battery.label}`}
      value={battery.pack.cycles ?? null}
      assumed={0}
      onChange={(cycles) => changePack({ cycles }, 'cycles')}
    />
  );
}

function HealthCell({ battery }: CellProps) {
  const { changePack } = usePackEdit(battery);
  const assumed = believedHealth({ ...battery, pack: { ...battery.pack, health: null } });
  const learnt = learntOf(battery);
  return (
    <>
      <QuantityField
        bare
        quantity={ranges.battery.health}
        label={`Health of ${battery.label}`}
        value={battery.pack.health ?? null}
        assumed={Number(assumed.toFixed(2))}
        onChange={(health) => changePack({ health }, 'health')}
      />
      {learnt && (
        <small className={styles.learnt}>
          {battery.pack.health == null
            ? `learnt ±${spreadInWords(learnt.health)}`
            : `flights: ${healthInWords(learnt.health)}`}
        </small>
      )}
    </>
  );
}

function ChargedCell({ battery, seenFrom }: CellProps & { readonly seenFrom: string }) {
  const { changePack } = usePackEdit(battery);
  const clock = useClock();
  const { keeping } = battery;
  return (
    <>
      <QuantityField
        bare
        quantity={ranges.battery.startCharge}
        label={`Charge of ${battery.label}`}
        value={battery.pack.startCharge}
        onChange={(startCharge) => changePack({ startCharge }, 'charge')}
      />
      <small>{keeping?.chargedAt ? whenInWords(keeping.chargedAt, seenFrom, clock) : 'no charge date'}</small>
    </>
  );
}

function NowCell({ battery, packNow, at }: Line & { readonly at: string }) {
  const coefficients = likeliest(battery.aircraftId);
  const advice = storageAdvice(packNow, coefficients);
  const clock = useClock();
  const { say } = useWriter();
  return (
    <>
      <b>{chargeInWords(packNow, coefficients)}</b>
      <small className={advice.act && isFlown(battery.keeping) ? styles.act : undefined}>
        {advice.act
          ? say(advice)
          : (storageInWords(packNow, coefficients, at, clock) ?? say(advice).toLowerCase())}
      </small>
    </>
  );
}

interface KeptProps extends CellProps {
  readonly packNow: BatteryRecord['pack'];
  readonly conditions: DayAtPlace;
}

function KeptCell({ battery, packNow, conditions }: KeptProps) {
  const { changeKeeping } = usePackEdit(battery);
  const { write } = useWriter();
  const temperatureC = packNow.startTemperatureC ?? conditions.weather.airTemperatureC;
  return (
    <>
      <ChoiceField
        bare
        label={`Where ${battery.label} is kept`}
        value={keptPlaceOf(battery)}
        options={keptPlaces.map((value) => ({ value, label: placeNames[value] }))}
        onChange={(keptAt) => changeKeeping({ keptAt }, 'where it is kept')}
      />
      <small>{write('temperature', temperatureC)}</small>
    </>
  );
}

function StateCell({ battery }: CellProps) {
  const { changeKeeping } = usePackEdit(battery);
  const { say } = useWriter();
  const learnt = learntOf(battery);
  const advice = learnt && packAdvice(learnt);
  return (
    <>
      <ChoiceField<BatteryState>
        bare
        label={`State of ${battery.label}`}
        value={battery.keeping?.state ?? 'in use'}
        options={batteryStates.map((value) => ({ value, label: value }))}
        onChange={(state) => changeKeeping({ state }, 'state')}
      />
      {advice?.code === 'gives-less' && <small className={styles.act}>{say(advice)}</small>}
      <CellsRead battery={battery} />
    </>
  );
}

/** What its cells came to in its flights: drained below what they bear, or far apart. */
function CellsRead({ battery }: CellProps) {
  const testFlights = useRecords((state) => state.testFlights);
  const clock = useClock();
  const { drained, apart } = useMemo(
    () =>
      lowCells(
        battery.pack,
        testFlights.filter(({ batteryId, test }) => batteryId === battery.id && test),
      ),
    [battery, testFlights],
  );
  const day = (at: string) => clock.format(at, 'D MMM');
  return (
    <>
      {drained && (
        <small className={styles.act}>
          down to {drained.cellVoltageV.toFixed(2)} V a cell on {day(drained.flownAt)}: look for swelling,
          time it once
        </small>
      )}
      {apart && (
        <small className={styles.act}>
          cells {apart.spreadV.toFixed(2)} V apart on {day(apart.flownAt)}
        </small>
      )}
    </>
  );
}
