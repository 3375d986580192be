import {
  belowZeroS,
  type Checkpoint,
  drainPieces,
  isLowLanding,
  minutesAndSeconds,
  type SheetFinding,
  sheetFindings,
  type TestFlight,
} from '@acorn-tally/core';
import { Button, Table } from '@mantine/core';
import { percent } from '../fields/percent';
import { Headings } from '../parts/Headings';
import { Note } from '../parts/Note';
import { ScrollTable } from '../parts/ScrollTable';
import { Section } from '../parts/Section';
import { useRecords } from '../records/records';
import { useWriter } from '../state/units';
import { signWords } from './signWords';
import styles from './TestDetail.module.css';
import type { TestRow } from './useTests';

/** Each reading with its drain since the one before, what the aircraft did, and what of it differs from its spec sheet. */
export function WhatWasRead({ row }: { readonly row: TestRow }) {
  const { record } = row;
  const { test } = record;
  const aircraft = useRecords((state) => state.aircraft.find(({ id }) => id === record.aircraftId));
  const findings = aircraft ? sheetFindings(test, aircraft.spec) : [];
  const readings = linesOf(atTenths(test));
  const hasCells = readings.some(({ lowestV }) => lowestV !== null);
  const belowS = belowZeroS(test);
  return (
    <>
      {aircraft &&
        findings.map((finding) => (
          <Finding key={finding.kind} finding={finding} aircraftId={aircraft.id} name={aircraft.name} />
        ))}
      {readings.length > 2 && (
        <Section title="What was read" className={styles.readings}>
          <ScrollTable label="Readings of this flight">
            <Table>
              <Headings
                words={['minute', 'what happened']}
                figures={[
                  'gauge',
                  'drain, % a min',
                  'a cell, V',
                  ...(hasCells ? ['lowest, V', 'apart, V'] : []),
                ]}
              />
              <Table.Tbody>
                {readings.map((line) => (
                  <Table.Tr key={`${line.timeS} ${line.what}`}>
                    <Table.Th scope="row">{minutesAndSeconds(line.timeS)}</Table.Th>
                    <Table.Td>{line.what}</Table.Td>
                    <Table.Td data-figure>{line.charge === null ? '–' : percent(line.charge)}</Table.Td>
                    <Table.Td data-figure>{line.drain === null ? '–' : line.drain.toFixed(1)}</Table.Td>
                    <Table.Td data-figure>{voltsInWords(line.volts)}</Table.Td>
                    {hasCells && (
                      <>
                        <Table.Td data-figure>{voltsInWords(line.lowestV)}</Table.Td>
                        <Table.Td data-figure>{voltsInWords(line.apartV)}</Table.Td>
                      </>
                    )}
                  </Table.Tr>
                ))}
              </Table.Tbody>
            </Table>
          </ScrollTable>
        </Section>
      )}
      <Told test={test} belowS={belowS} />
    </>
  );
}

function voltsInWords(volts: number | null): string {
  return volts === null ? '–' : volts.toFixed(2);
}

/** How it was set and what else was noted, in a line each. */
function Told({ test, belowS }: { readonly test: TestFlight; readonly belowS: number | null }) {
  const { write } = useWriter();
  const { startTemperatureC, endTemperatureC, recording, attached, addedMassKg, freshRotors } = test;
  const told = [
    belowS !== null &&
      `It stayed up ${minutesAndSeconds(belowS)} min after the gauge read 0 %: an emergency’s margin, never planned.`,
    isLowLanding(test) &&
      `Down to ${percent(test.endCharge)}: landing so low wears a pack (common practice names 10 to 20 %).`,
    startTemperatureC != null &&
      endTemperatureC != null &&
      `The pack went from ${write('temperature', startTemperatureC)} to ${write('temperature', endTemperatureC)}.`,
    recording && `Recording: ${recording}.`,
    (attached || addedMassKg) &&
      `Accessories attached: ${[attached, addedMassKg && write('mass', addedMassKg)].filter(Boolean).join(', ')}.`,
    freshRotors && 'With fresh rotors.',
  ].filter((one): one is string => typeof one === 'string');
  return told.map((one) => <Note key={one}>{one}</Note>);
}

interface FindingProps {
  readonly finding: SheetFinding;
  readonly aircraftId: string;
  readonly name: string;
}

/** "It landed itself at 10 %; the spec sheet of Jay says 5 %", and the way to take it over. */
function Finding({ finding, aircraftId, name }: FindingProps) {
  const edit = useRecords((state) => state.edit);
  const { kind, field, signCharge, readCharge, sheetCharge, isAssumed } = finding;
  const take = () =>
    edit(
      'aircraft',
      aircraftId,
      (now) => ({ spec: { ...now.spec, [field]: readCharge } }),
      `spec sheet of ${name}`,
    );
  return (
    <div className={styles.finding}>
      <span>
        Here {signWords[kind]} at {percent(signCharge)}
        {kind === 'own-return' && `, ${percent(readCharge)} more than its way down and forced landing take`};{' '}
        {isAssumed
          ? `${percent(sheetCharge)} is assumed, since the sheet of ${name} is silent`
          : `the sheet of ${name} says ${percent(sheetCharge)}`}
        .
      </span>
      <Button variant="default" onClick={take}>
        Use {percent(readCharge)}
      </Button>
    </div>
  );
}

interface Line {
  readonly timeS: number;
  readonly charge: number | null;
  readonly drain: number | null;
  readonly volts: number | null;
  readonly lowestV: number | null;
  readonly apartV: number | null;
  readonly what: string;
}

/** More lines than this nobody reads: a logged gauge has a step for each per cent. */
const maxLines = 24;

/** Of many readings the first at or below each tenth of the gauge, and what the aircraft did. */
export function atTenths(test: TestFlight): TestFlight {
  const checkpoints = test.checkpoints ?? [];
  if (checkpoints.length <= maxLines) return test;
  let next = Math.ceil(test.startCharge * 10 - 1e-9) / 10 - 0.1;
  const kept = checkpoints.filter(({ charge, kind }) => {
    const isDue = charge != null && charge <= next + 1e-9;
    if (isDue) next = Math.ceil(charge * 10 - 1e-9) / 10 - 0.1;
    return isDue || kind != null;
  });
  return { ...test, checkpoints: kept };
}

/** Start, checkpoints and end, with the drain up to each. */
function linesOf(test: TestFlight): Line[] {
  const pieces = drainPieces(test);
  const drainUntil = (timeS: number) => {
    const piece = pieces.find(({ untilS }) => untilS === timeS);
    return piece ? piece.chargePerS * 6000 : null;
  };
  const nothing = { volts: null, lowestV: null, apartV: null };
  return [
    { ...nothing, timeS: 0, charge: test.startCharge, drain: drainUntil(0), what: 'lift-off' },
    ...(test.checkpoints ?? []).filter(isRead).map((one) => ({
      timeS: one.timeS,
      charge: one.kind === 'empty' ? 0 : (one.charge ?? null),
      drain: drainUntil(one.timeS),
      volts: one.cellVoltageV ?? null,
      lowestV: one.lowestCellVoltageV ?? null,
      apartV: one.cellSpreadV ?? null,
      what: one.kind ? signWords[one.kind] : '',
    })),
    {
      ...nothing,
      timeS: test.durationS,
      charge: test.endCharge,
      drain: drainUntil(test.durationS),
      what: 'down',
    },
  ];
}

/** What only tells minutes left has a table of its own. */
function isRead({ charge, cellVoltageV, lowestCellVoltageV, kind }: Checkpoint): boolean {
  return [charge, cellVoltageV, lowestCellVoltageV, kind].some((read) => read != null);
}
