import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  estimate,
  estimateRequestFor,
  explain,
  minutesAndSeconds,
  type PowerCurve,
  powerCurve,
  type Refusal,
  unitNamed,
} from '@acorn-tally/core';
import { Anchor, Table } from '@mantine/core';
import { useMemo } from 'react';
import { shownPlan } from '../answers/planned';
import { useBandsOf } from '../answers/useBands';

import { ChartKey } from '../charts/ChartKey';
import { lazyChart } from '../charts/lazyCharts';
import { AircraftAndBattery } from '../fields/AircraftAndBattery';
import { Say } from '../fields/Say';
import { AsideSection, Desk } from '../parts/Desk';
import { Empty } from '../parts/Empty';
import { Headline } from '../parts/Headline';
import { ScrollTable } from '../parts/ScrollTable';
import { Section } from '../parts/Section';
import { Warning } from '../parts/Warning';
import { beliefAbout } from '../state/belief';
import { useAircraft, useBattery, useConditions, useFlownBatteriesOf } from '../state/current';
import { useWriter } from '../state/units';
import { guesses } from './guesses';
import styles from './MethodView.module.css';
import { minuteLines, powerLines } from './powerChart';
import { stepsOf } from './steps';

const PowerChart = lazyChart(() => import('./PowerChart').then((module) => module.PowerChart));

/** How the minutes come about, told with the numbers of the chosen battery: power against airspeed, step by step, and what is guessed. */
export function MethodView() {
  const aircraft = useAircraft();
  const conditions = useConditions();
  const batteries = useFlownBatteriesOf(aircraft?.id);
  const battery = useBattery(batteries);
  if (!aircraft || !battery || !conditions) {
    return (
      <main>
        <Empty title="Nothing to explain yet">
          <p>Add an aircraft and a battery in Kit: the method is told with their numbers.</p>
        </Empty>
      </main>
    );
  }
  return (
    <Desk
      label="Whose numbers"
      aside={<Chooser aircraft={aircraft} batteries={batteries} battery={battery} />}
    >
      <Told aircraft={aircraft} battery={battery} conditions={conditions} />
    </Desk>
  );
}

interface ChooserProps {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly battery: BatteryRecord;
}

const contents = [
  ['power', 'Power against airspeed'],
  ['steps', 'Step by step'],
  ['ledger', 'The ledger and the band'],
  ['guesses', 'What is guessed'],
] as const;

function Chooser({ aircraft, batteries, battery }: ChooserProps) {
  return (
    <>
      <AsideSection title="Whose numbers">
        <AircraftAndBattery aircraft={aircraft} batteries={batteries} battery={battery} />
      </AsideSection>
      <AsideSection title="In three sentences">
        <p className={styles.lead}>
          The box tells how much power the aircraft takes. Physics tells what your air, wind, flying and
          battery make of it. What is guessed is guessed openly, and 512 flights with other guesses give the
          band.
        </p>
        <p className={styles.lead}>
          Calculated here or over the interface for programs (<Anchor href="/api/docs">/api/docs</Anchor>), it
          is the same code and gives the same digits.
        </p>
      </AsideSection>
      <AsideSection title="On this page">
        <ul className={styles.contents}>
          {contents.map(([id, words]) => (
            <li key={id}>
              <Anchor href={`#${id}`} data-alone>
                {words}
              </Anchor>
            </li>
          ))}
        </ul>
      </AsideSection>
    </>
  );
}

interface ToldProps {
  readonly aircraft: AircraftRecord;
  readonly battery: BatteryRecord;
  readonly conditions: DayAtPlace;
}

function Told({ aircraft, battery, conditions }: ToldProps) {
  const told = useMemo(() => {
    const request = estimateRequestFor(aircraft, battery, conditions);
    const { middle } = beliefAbout(aircraft);
    return {
      requests: [request],
      curve: powerCurve(request, middle),
      estimate: estimate(request, middle),
      explained: explain(request, middle),
    };
  }, [aircraft, battery, conditions]);
  const { curve } = told;
  const bands = useBandsOf(told.requests, beliefAbout(aircraft).known);
  const planned = told.estimate.ok
    ? shownPlan(told.estimate.value, bands.value?.[0] ?? null, bands.fresh)
    : null;
  const boxClock = minutesAndSeconds(aircraft.spec.advertisedFlightTimeS);
  return (
    <>
      {curve.ok ? <Power name={aircraft.name} curve={curve.value} /> : <Refused refusal={curve.refusal} />}
      {told.estimate.ok && told.explained.ok ? (
        <Section
          id="steps"
          title={`How ${boxClock} on the box become ${planned ? minutesAndSeconds(planned.usableS) : '…'} to spend`}
        >
          <ol className={styles.steps}>
            {stepsOf({
              aircraft,
              battery,
              conditions,
              estimate: told.estimate.value,
              explained: told.explained.value,
              planned,
            }).map(({ name, says, rule, source }) => (
              <li key={name}>
                <b>{name}</b>
                <p>
                  <Say sentence={says} />
                </p>
                <p className={styles.rule}>
                  {rule}
                  <cite>{source}</cite>
                </p>
              </li>
            ))}
          </ol>
        </Section>
      ) : (
        !told.estimate.ok && curve.ok && <Refused refusal={told.estimate.refusal} />
      )}
      <LedgerAndBand />
      <Guesses />
    </>
  );
}

function Refused({ refusal }: { readonly refusal: Refusal }) {
  return (
    <Warning alert>
      <Say sentence={refusal} />
    </Warning>
  );
}

function Power({ name, curve }: { readonly name: string; readonly curve: PowerCurve }) {
  const { box, today, windMps } = curve;
  const hoverW = box.points[0]?.powerW ?? 0;
  const { units, write } = useWriter();
  const speed = (mps: number) => write('speed', mps, 1);
  const lines = useMemo(() => {
    const unitMps = unitNamed('m/s', units.speed)?.inBase ?? 1;
    return { power: powerLines(curve, unitMps), minutes: minuteLines(curve, unitMps) };
  }, [curve, units.speed]);
  const against = windMps > 0 ? ` against ${speed(windMps)} of wind` : '';
  const farthest = today.farthest
    ? `goes farthest at ${speed(today.farthest.airspeedMps)}${against}`
    : `makes no way${against}`;
  return (
    <section id="power">
      <Headline
        title={`${name} lasts longest at ${speed(today.longest.airspeedMps)}, ${farthest}`}
        end={
          <ChartKey
            lines={[
              { words: 'in this air and wind', colour: 'spend' },
              { words: 'as on the box', colour: 'home', as: 'dashed' },
              { words: 'lasts longest', colour: 'ink-soft', as: 'point' },
              { words: 'goes farthest', colour: 'ink-soft', as: 'diamond' },
            ]}
          />
        }
      >
        still air, new battery: {hoverW.toFixed(0)} W in a hover, {box.longest.powerW.toFixed(0)} W at{' '}
        {speed(box.longest.airspeedMps)}
      </Headline>
      <div className={styles.charts}>
        <Section title="Power">
          <PowerChart
            lines={lines.power}
            unit="W"
            speedUnit={units.speed}
            says={`Power against airspeed. In this air and wind it is least, ${today.longest.powerW.toFixed(0)} W, at ${speed(today.longest.airspeedMps)}.`}
          />
        </Section>
        <Section title="Minutes until the gauge shows 0 %">
          <PowerChart
            lines={lines.minutes}
            unit="min"
            speedUnit={units.speed}
            says={`Minutes against airspeed. In this air and wind it lasts ${minutesAndSeconds(today.longest.lastsS)} at most, at ${speed(today.longest.airspeedMps)}.`}
          />
        </Section>
      </div>
    </section>
  );
}

function LedgerAndBand() {
  return (
    <Section id="ledger" title="The ledger and the band" className={styles.prose}>
      <p>
        The causes in the ledger work on each other: cold costs more when you fly fast. So each is switched on
        in every order there is, and gets the average of what it then takes (Shapley 1953). The lines add up
        to the second.
      </p>
      <p>
        For the band, all guesses below are drawn together 512 times, evenly rather than by chance (Sobol
        1967; Joe &amp; Kuo 2008), and each flight is flown. One in ten is shorter than the lower figure, one
        in ten longer than the upper. The minute to plan with is the one that lands with the reserve in as
        many flights as you ask for, 9 of 10 unless you change it; what it is less than the middle is kept for
        doubt. The same draws tell which test or reading would gain most of that back.
      </p>
      <p>
        Ground effect is not credited: below two rotor diameters a hover reads long (Cheeseman &amp; Bennett
        1955). A planning aid, not an authority: the aircraft’s own warnings come first.
      </p>
    </Section>
  );
}

function Guesses() {
  const { say } = useWriter();
  const rows = useMemo(() => guesses(say), [say]);
  return (
    <Section id="guesses" title="What is guessed, and how far off it may be">
      <ScrollTable label="Guesses">
        <Table className={styles.guesses}>
          <Table.Thead>
            <Table.Tr>
              {['guess', 'middle', 'one deviation', 'why', 'to know it better'].map((heading) => (
                <Table.Th key={heading} scope="col">
                  {heading}
                </Table.Th>
              ))}
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {rows.map(({ name, value, spread, because, better }) => (
              <Table.Tr key={name}>
                <Table.Th scope="row">{name}</Table.Th>
                <Table.Td className={styles.number}>{value}</Table.Td>
                <Table.Td className={styles.number}>{spread}</Table.Td>
                <Table.Td>{because}</Table.Td>
                <Table.Td>{better}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </ScrollTable>
    </Section>
  );
}
