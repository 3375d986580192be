import {
  type AircraftRecord,
  type Band,
  type BatteryRecord,
  type ConditionsRecord,
  type Estimate,
  type Outcome,
} from '@acorn-tally/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import { memo, useDeferredValue, useMemo } from 'react';
import { useKeys } from '../app/keys';
import { TallyLegend } from '../charts/Tally';
import { AddBattery } from '../kit/AddBattery';
import { FirstSteps } from '../kit/FirstSteps';
import { useChosen } from '../state/chosen';
import { useAircraft, useBattery, useConditions, useFlownBatteriesOf } from '../state/current';
import { useWriter } from '../state/units';
import type { Reckoned } from '../workers/useReckoned';
import { BatteryRow, cautionsAbout, inHundred } from './BatteryRow';
import { Below } from './Below';
import { FlightPanel } from './FlightPanel';
import { Trust } from './Trust';
import { type Bands, useBands } from './useBands';
import { requestFor, useEstimates } from './useEstimates';
import './minutes.css';

/** Every battery of the chosen aircraft with its minutes to spend, and where the minutes of the chosen one go. */
export function MinutesView() {
  const aircraft = useAircraft();
  const conditions = useConditions();
  if (!conditions) return null;
  if (!aircraft) return <FirstSteps conditions={conditions} />;
  return <Desk aircraft={aircraft} conditions={conditions} />;
}

interface DeskProps {
  readonly aircraft: AircraftRecord;
  readonly conditions: ConditionsRecord;
}

/** What is chosen on the left follows the hand at once; what follows from it, on the right, may come a moment later. */
function Desk({ aircraft, conditions }: DeskProps) {
  const batteries = useFlownBatteriesOf(aircraft.id);
  const now = useMemo(() => ({ aircraft, batteries, conditions }), [aircraft, batteries, conditions]);
  const shown = useDeferredValue(now);
  const battery = useBattery(shown.batteries);
  const choose = useChosen((state) => state.choose);
  const bands = useBands(shown.aircraft, shown.batteries, shown.conditions);
  const band = battery ? bands.value?.get(battery.id) : undefined;
  const keys = useMemo(() => {
    const next = (step: number) => () => {
      const at = batteries.findIndex(({ id }) => id === battery?.id);
      const to = batteries[(at + step + batteries.length) % batteries.length];
      if (to) choose({ batteryId: to.id });
    };
    return { b: next(1) };
  }, [batteries, battery, choose]);
  useKeys(keys);
  const trust = useMemo(
    () => (band && battery ? <Trust label={battery.label} band={band} /> : null),
    [band, battery],
  );
  return (
    <div className="desk">
      <FlightPanel key={aircraft.id} aircraft={aircraft} trust={trust} />
      <Answers {...shown} battery={battery} bands={bands} />
    </div>
  );
}

interface AnswersProps extends DeskProps {
  readonly batteries: readonly BatteryRecord[];
  readonly battery: BatteryRecord | null;
  readonly bands: Reckoned<Bands>;
}

const Answers = memo(function Answers({ aircraft, batteries, battery, conditions, bands }: AnswersProps) {
  const choose = useChosen((state) => state.choose);
  const estimates = useEstimates(aircraft, batteries, conditions);
  const request = useMemo(
    () => (battery ? requestFor(aircraft, battery, conditions) : null),
    [aircraft, battery, conditions],
  );
  const chosen = estimates.find((row) => row.battery.id === battery?.id)?.outcome;
  const band = battery ? bands.value?.get(battery.id) : undefined;
  const totalS = estimates.reduce(
    (sum, { outcome }) => sum + (outcome.ok ? outcome.value.usableS.p50 : 0),
    0,
  );
  const planned = bands.trouble
    ? `but no band: ${bands.trouble}`
    : `${Math.floor(plannedS(bands.value, batteries) / 60)} min to plan on`;
  return (
    <main className="desk-main">
      <div className="headline">
        <h1>Minutes to spend</h1>
        <p>
          {batteries.length} {batteries.length === 1 ? 'battery' : 'batteries'}, {Math.floor(totalS / 60)} min
          in all, {planned}
        </p>
        <div className="push">
          <TallyLegend />
        </div>
      </div>
      <FlightCautions outcome={estimates.find(({ outcome }) => outcome.ok)?.outcome} band={band} />
      <ul className="rows" aria-label="Batteries">
        {estimates.map((row) => (
          <BatteryRow
            key={row.battery.id}
            row={row}
            band={bands.value?.get(row.battery.id)}
            fresh={bands.fresh}
            boxS={aircraft.spec.advertisedFlightTimeS}
            conditions={conditions}
            chosen={row.battery.id === battery?.id}
            onChoose={() => choose({ batteryId: row.battery.id })}
          />
        ))}
      </ul>
      <AddBattery aircraft={aircraft} quiet />
      {battery && request && chosen?.ok && (
        <Below
          aircraft={aircraft}
          battery={battery}
          conditions={conditions}
          request={request}
          estimate={chosen.value}
          band={(bands.fresh && band) || null}
        />
      )}
    </main>
  );
});

function plannedS(bands: Bands | null, batteries: readonly BatteryRecord[]): number {
  return batteries.reduce((sum, { id }) => sum + (bands?.get(id)?.usableS.planned ?? 0), 0);
}

interface CautionsProps {
  readonly outcome: Outcome<Estimate> | undefined;
  readonly band: Band | undefined;
}

function FlightCautions({ outcome, band }: CautionsProps) {
  const { say } = useWriter();
  const found = [
    ...(band && band.usableS.planned === 0
      ? [
          `${inHundred(band.chanceImpossible)} of these flights would not come home: fly nearer, lower or downwind, or know the wind better`,
        ]
      : []),
    ...(outcome?.ok ? cautionsAbout(outcome.value, 'flight').map(say) : []),
  ];
  if (found.length === 0) return null;
  return (
    <p className="flight-cautions danger">
      <IconAlertTriangle size={15} aria-hidden /> {found.join('. ')}.
    </p>
  );
}
