import '@mantine/core/styles/Checkbox.css';
import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  minutesAndSeconds,
  packAtTheHour,
  ranges,
  testFlightRanges,
} from '@acorn-tally/core';
import { Checkbox } from '@mantine/core';
import { useState } from 'react';
import { AircraftAndBattery } from '../fields/AircraftAndBattery';
import { ChoiceField } from '../fields/ChoiceField';
import { MannerFields } from '../fields/MannerFields';
import { percent } from '../fields/percent';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import type { Plan } from '../flightClock/clocks';
import { expectedAt } from '../flightClock/expected';
import { Note } from '../parts/Note';
import { Section } from '../parts/Section';
import { Warning } from '../parts/Warning';
import { useDraft } from '../state/drafts';
import { useWriter } from '../state/units';
import styles from './ClockView.module.css';
import {
  emptySetUp,
  type FlightSetUp,
  type FlownAs,
  flightPlanOf,
  flownAs,
  type Stop,
  stopChargeOf,
  stops,
  testToFly,
  windAtHand,
} from './clockPlans';
import { cautionsOf, fairnessOf } from './fairness';
import { SetUpForm } from './SetUpForm';
import { useExpected } from './useExpected';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly battery: BatteryRecord;
  readonly conditions: DayAtPlace;
  readonly onReady: (plan: Plan) => void;
}

const hints = {
  stop: 'where the test ends',
  charge: 'what the gauge shows as you lift off, seldom 100 %',
  pack: 'or hover a quarter of a minute first',
  wind: 'at arm’s height; empty for the day’s',
  load: 'if you know it; the comparison finds it',
  mass: 'guards, filter, light: the mass follows',
};

/** What is to be flown, and what only the pilot knows; what makes it fair stands beside it. */
export function FlightSetUpForm({ aircraft, batteries, battery, conditions, onReady }: Props) {
  const [setUp, keep] = useDraft<FlightSetUp>(`clock of ${aircraft.id}`, () => ({
    ...emptySetUp,
    startTemperatureC: packAtTheHour(battery, conditions).startTemperatureC ?? null,
  }));
  const [missing, setMissing] = useState(false);
  const { write } = useWriter();
  const set = (change: Partial<FlightSetUp>) => keep({ ...setUp, ...change });
  const weather = windAtHand(conditions.weather, setUp);
  const stopCharge = stopChargeOf(setUp, aircraft);
  const { pattern, mode } = flownAs[setUp.as];
  const { expected, fresh } = useExpected(testToFly(setUp, stopCharge), aircraft, battery, weather);
  const isWhole = setUp.startCharge !== null && setUp.startCharge > stopCharge;
  const ready = () => {
    onReady(flightPlanOf(setUp, aircraft, battery, weather, expected));
    keep(null);
  };

  return (
    <SetUpForm
      isWhole={isWhole}
      onReady={ready}
      onMissing={() => setMissing(true)}
      inputs={
        <>
          <AircraftAndBattery aircraft={aircraft} batteries={batteries} battery={battery} />
          <ChoiceField<FlownAs>
            label="How it is flown"
            value={setUp.as}
            options={(Object.keys(flownAs) as FlownAs[]).map((value) => ({
              value,
              label: flownAs[value].name,
            }))}
            onChange={(as) => set({ as, heightM: flownAs[as].heightM })}
          />
          <QuantityField
            quantity={testFlightRanges.heightM}
            value={setUp.heightM}
            assumed={flownAs[setUp.as].heightM}
            onChange={(heightM) => set({ heightM })}
          />
          {mode !== null && <MannerFields style={mode} manner={setUp} onChange={set} />}
          <ChoiceField<Stop>
            label="Down to"
            hint={hints.stop}
            value={setUp.stop}
            options={stops.map((value) => ({
              value,
              label: value === 'forced-landing' ? 'its forced landing' : `${value} %`,
            }))}
            onChange={(stop) => set({ stop })}
          />
          {cautionsOf(pattern, setUp.stop === 'forced-landing').map((caution) => (
            <Warning key={caution}>{caution}</Warning>
          ))}
          <Section title="What you noted" className={styles.part}>
            <div data-gauge>
              <QuantityField
                first
                quantity={testFlightRanges.startCharge}
                hint={hints.charge}
                value={setUp.startCharge}
                error={
                  missing && !isWhole
                    ? `What does the gauge show? It must be above ${percent(stopCharge)}.`
                    : undefined
                }
                onChange={(startCharge) => set({ startCharge })}
              />
            </div>
            <QuantityField
              quantity={testFlightRanges.startTemperatureC}
              hint={hints.pack}
              value={setUp.startTemperatureC}
              assumed={conditions.weather.airTemperatureC}
              onChange={(startTemperatureC) => set({ startTemperatureC })}
            />
            <QuantityField
              quantity={ranges.wind.speedMps}
              label="Wind at hand"
              hint={hints.wind}
              value={setUp.windMps}
              assumed={conditions.weather.wind.speedMps}
              onChange={(windMps) => set({ windMps })}
            />
            {setUp.windMps !== null && (
              <QuantityField
                quantity={ranges.wind.gustMps}
                value={setUp.gustMps}
                assumed={null}
                onChange={(gustMps) => set({ gustMps })}
              />
            )}
            <TextField
              label="Recording"
              hint="at what setting; empty if off"
              value={setUp.recording}
              onChange={(recording) => set({ recording })}
            />
            <QuantityField
              quantity={ranges.flight.recordingLoadW}
              hint={hints.load}
              value={setUp.recordingLoadW}
              assumed={null}
              onChange={(recordingLoadW) => set({ recordingLoadW })}
            />
            <TextField
              label="Accessories attached"
              hint={hints.mass}
              value={setUp.attached}
              onChange={(attached) => set({ attached })}
            />
            {(setUp.attached.trim() !== '' || setUp.addedMassKg !== null) && (
              <QuantityField
                quantity={ranges.aircraft.addedMassKg}
                label="Their mass"
                value={setUp.addedMassKg}
                assumed={null}
                onChange={(addedMassKg) => set({ addedMassKg })}
              />
            )}
            <Checkbox
              label="Fresh rotors"
              checked={setUp.freshRotors}
              onChange={(event) => set({ freshRotors: event.currentTarget.checked })}
            />
          </Section>
        </>
      }
    >
      <Section title="What makes it fair">
        <ul className={styles.fair}>
          {fairnessOf(pattern, write).map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
      </Section>
      <Section title="What is expected" className={styles.part}>
        <Expectation expected={expected} fresh={fresh} stopCharge={stopCharge} />
      </Section>
    </SetUpForm>
  );
}

interface ExpectationProps {
  readonly expected: ReturnType<typeof useExpected>['expected'];
  readonly fresh: boolean;
  readonly stopCharge: number;
}

function Expectation({ expected, fresh, stopCharge }: ExpectationProps) {
  const middleS = expected && expectedAt(expected, stopCharge);
  if (middleS == null) {
    return (
      <Note>By the spec sheet such a flight cannot be flown in this wind. It may be timed all the same.</Note>
    );
  }
  const edge = expected?.band.find(({ charge }) => charge <= stopCharge + 1e-6);
  return (
    <p className={styles.expected} aria-busy={!fresh}>
      {percent(stopCharge)} after about <b>{minutesAndSeconds(middleS)} min</b>
      {edge && (
        <>
          {' '}
          ({minutesAndSeconds(edge.p10S)} to {minutesAndSeconds(edge.p90S)} in 8 flights of 10)
        </>
      )}
    </p>
  );
}
