import {
  type AircraftRecord,
  type BatteryRecord,
  type ChargerRecord,
  type ChargingWay,
  chargeMarkRanges,
  chargingTimeS,
  chargingWays,
  minutesAndSeconds,
} from '@acorn-tally/core';
import { AircraftAndBattery } from '../fields/AircraftAndBattery';
import { ChoiceField } from '../fields/ChoiceField';
import { percent } from '../fields/percent';
import { QuantityField } from '../fields/QuantityField';
import type { Plan } from '../flightClock/clocks';
import { Note } from '../parts/Note';
import { Section } from '../parts/Section';
import { useRecords } from '../records/records';
import { useDraft } from '../state/drafts';
import styles from './ClockView.module.css';
import { type ChargeSetUp, chargePlanOf } from './clockPlans';
import { SetUpForm } from './SetUpForm';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly battery: BatteryRecord;
  readonly onReady: (plan: Plan) => void;
}

export const wayNames: Record<ChargingWay, string> = {
  hub: 'on the charger or hub',
  cable: 'by cable to the aircraft',
};

/** Which pack, on which charger, and from what charge. */
export function ChargeSetUpForm(props: Props) {
  const chargers = useRecords((state) => state.chargers);
  if (chargers.length === 0) return <Note>There is no charger yet: add one in Kit.</Note>;
  return <Form {...props} chargers={chargers} />;
}

function Form({
  aircraft,
  batteries,
  battery,
  onReady,
  chargers,
}: Props & { readonly chargers: readonly ChargerRecord[] }) {
  const [setUp, keep] = useDraft<ChargeSetUp>(`charge of ${aircraft.id}`, () => ({
    chargerId: chargers[0]?.id ?? '',
    way: 'hub',
    startCharge: null,
    stopCharge: 1,
  }));
  const set = (change: Partial<ChargeSetUp>) => keep({ ...setUp, ...change });
  const charger = chargers.find(({ id }) => id === setUp.chargerId) ?? (chargers[0] as ChargerRecord);
  const { startCharge, stopCharge } = setUp;
  const isWhole = startCharge !== null && stopCharge !== null && startCharge < stopCharge;
  const ready = () => {
    onReady(chargePlanOf(setUp, charger, battery));
    keep(null);
  };
  return (
    <SetUpForm
      isWhole={isWhole}
      onReady={ready}
      inputs={
        <>
          <AircraftAndBattery aircraft={aircraft} batteries={batteries} battery={battery} />
          <ChoiceField
            label="Charger"
            value={charger.id}
            options={chargers.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(chargerId) => set({ chargerId })}
          />
          <ChoiceField<ChargingWay>
            label="How"
            value={setUp.way}
            options={chargingWays.map((value) => ({ value, label: wayNames[value] }))}
            onChange={(way) => set({ way })}
          />
          <div data-gauge>
            <QuantityField
              first
              quantity={chargeMarkRanges.charge}
              label="Charge now"
              value={startCharge}
              error={
                startCharge !== null && stopCharge !== null && startCharge >= stopCharge
                  ? 'It is charged so far already.'
                  : undefined
              }
              onChange={(charge) => set({ startCharge: charge })}
            />
          </div>
          <QuantityField
            quantity={chargeMarkRanges.charge}
            label="Up to"
            value={stopCharge}
            onChange={(charge) => set({ stopCharge: charge })}
          />
        </>
      }
    >
      <Section title="What is expected">
        {isWhole ? (
          <p className={styles.expected}>
            {percent(stopCharge)} after about{' '}
            <b>
              {minutesAndSeconds(chargingTimeS(startCharge, stopCharge, charger.charger.emptyToFullS))} min
            </b>
            , as {charger.name} says: constant current to 80 %, then it tapers.
          </p>
        ) : (
          <Note>What does its gauge show?</Note>
        )}
      </Section>
      <Note>
        Read the gauge now and then. Begin below 60 %: the constant part tells most. Do not leave a charging
        pack alone.
      </Note>
    </SetUpForm>
  );
}
