import {
  type AircraftRecord,
  type ConditionsRecord,
  type Estimate,
  minutesAndSeconds,
  type Outcome,
  spec,
} from '@acorn-tally/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import { useMemo } from 'react';
import { useKeys } from '../app/keys';
import { ChargeChart } from '../charts/ChargeChart';
import { TallyLegend } from '../charts/Tally';
import { useChosen } from '../state/chosen';
import { useAircraft, useBatteriesOf, useBattery, useConditions } from '../state/current';
import { AddAircraftButton, AddBatteryButton } from './AddToKit';
import { BatteryRow, messages } from './BatteryRow';
import { FlightPanel } from './FlightPanel';
import { Ledger } from './Ledger';
import { useEstimates, useEstimateWithLedger } from './useEstimates';
import './minutes.css';

/** Every battery of the chosen aircraft with its minutes to spend, and where the minutes of the chosen one go. */
export function MinutesView() {
  const aircraft = useAircraft();
  const conditions = useConditions();
  if (!conditions) return null;
  if (!aircraft) {
    return (
      <main className="empty">
        <h1>No aircraft yet</h1>
        <p>
          Start from the box: mass, flight time, and the speed it was advertised at. The first minutes follow
          at once.
        </p>
        <AddAircraftButton />
      </main>
    );
  }
  return <Desk aircraft={aircraft} conditions={conditions} />;
}

interface DeskProps {
  readonly aircraft: AircraftRecord;
  readonly conditions: ConditionsRecord;
}

function Desk({ aircraft, conditions }: DeskProps) {
  const batteries = useBatteriesOf(aircraft.id);
  const battery = useBattery(batteries);
  const choose = useChosen((state) => state.choose);
  const estimates = useEstimates(aircraft, batteries, conditions);
  const chosen = useEstimateWithLedger(aircraft, battery, conditions);
  const keys = useMemo(() => {
    const next = (step: number) => () => {
      const at = batteries.findIndex(({ id }) => id === battery?.id);
      const to = batteries[(at + step + batteries.length) % batteries.length];
      if (to) choose({ batteryId: to.id });
    };
    return { b: next(1) };
  }, [batteries, battery, choose]);
  useKeys(keys);

  const totalS = estimates.reduce(
    (sum, { outcome }) => sum + (outcome.ok ? outcome.value.usableS.p50 : 0),
    0,
  );
  return (
    <div className="desk">
      <FlightPanel key={aircraft.id} aircraft={aircraft} />
      <main className="desk-main">
        <div className="headline">
          <h1>Minutes to spend</h1>
          <p>
            {batteries.length} {batteries.length === 1 ? 'battery' : 'batteries'}, {Math.floor(totalS / 60)}{' '}
            min in all, reckoned from the box only
          </p>
          <div className="push">
            <TallyLegend />
          </div>
        </div>
        <FlightCautions outcome={estimates.find(({ outcome }) => outcome.ok)?.outcome} />
        <ul className="rows" aria-label="Batteries">
          {estimates.map((row) => (
            <BatteryRow
              key={row.battery.id}
              row={row}
              boxS={aircraft.spec.advertisedFlightTimeS}
              chosen={row.battery.id === battery?.id}
              onChoose={() => choose({ batteryId: row.battery.id })}
            />
          ))}
        </ul>
        <AddBatteryButton aircraft={aircraft} batteries={batteries} />
        {battery && chosen?.ok && (
          <div className="below">
            <section>
              <h2 className="section-title">{battery.label} in the air</h2>
              <ChargeChart
                estimate={chosen.value}
                policy={aircraft.policy}
                forcedLandingCharge={spec(aircraft.spec, 'forcedLandingCharge')}
              />
            </section>
            <section>
              <h2 className="section-title">
                Where {minutesAndSeconds(aircraft.spec.advertisedFlightTimeS)} on the box go
              </h2>
              <Ledger estimate={chosen.value} aircraft={aircraft} battery={battery} conditions={conditions} />
            </section>
          </div>
        )}
      </main>
    </div>
  );
}

function FlightCautions({ outcome }: { readonly outcome: Outcome<Estimate> | undefined }) {
  const found = outcome?.ok ? messages(outcome.value, 'flight') : [];
  if (found.length === 0) return null;
  return (
    <p className="flight-cautions danger">
      <IconAlertTriangle size={15} aria-hidden /> {found.join('. ')}.
    </p>
  );
}
