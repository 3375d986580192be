import {
  type AircraftRecord,
  asPlanned,
  type Band,
  type BatteryRecord,
  type DayAtPlace,
  type Estimate,
  type EstimateRequest,
  minutesAndSeconds,
  spec,
  withDoubt,
} from '@acorn-tally/core';
import { Suspense, useDeferredValue, useMemo, useState } from 'react';
import { shownPlan } from '../answers/planned';
import { useLedger } from '../answers/useBands';
import type { ShownFlight } from '../charts/flightLines';
import { LazyFlightChart } from '../charts/lazyCharts';
import { Switch } from '../fields/Switch';
import { keptPlaceOf } from '../parts/kitWords';
import { Section } from '../parts/Section';
import { beliefAbout } from '../state/belief';
import { lazyPart } from '../state/lazyPart';
import styles from './Below.module.css';

/** None is needed before the minutes stand: each is fetched when it is first asked. */
const FlightTable = lazyPart(async () => (await import('../charts/FlightTable')).FlightTable);
const Ledger = lazyPart(async () => (await import('./Ledger')).Ledger);
const WhatIfs = lazyPart(async () => (await import('./WhatIfs')).WhatIfs);
const ShownMinutes = lazyPart(async () => (await import('./ShownMinutes')).ShownMinutes);
const MeasureNext = lazyPart(async () => (await import('./MeasureNext')).MeasureNext);

interface Props {
  readonly aircraft: AircraftRecord;
  readonly battery: BatteryRecord;
  readonly conditions: DayAtPlace;
  readonly request: EstimateRequest;
  readonly estimate: Estimate;
  /** What the draws said last; null before they have said anything. */
  readonly band: Band | null;
  /** Whether that belongs to what is on the screen now. */
  readonly fresh: boolean;
}

const pictures = [
  { value: 'charge', label: 'Charge' },
  { value: 'voltage', label: 'Voltage' },
  { value: 'table', label: 'Table' },
] as const;
const questions = [
  { value: 'ledger', label: 'Where they go' },
  { value: 'what-if', label: 'What if' },
  { value: 'measure', label: 'Measure next' },
] as const;
const noCurve: Band['curve'] = [];

/** Under the rows: the chosen battery’s flight, and where its minutes go, what would change them, what would make them surer. */
export function Below(props: Props) {
  const { aircraft, battery, band, fresh } = props;
  // In a render of its own: so that flying it again holds up nothing that follows the hand.
  const flight = useShownFlight(useDeferredValue(props));
  const curve = (fresh && band?.curve) || noCurve;
  const [picture, setPicture] = useState<(typeof pictures)[number]['value']>('charge');
  const [question, setQuestion] = useState<(typeof questions)[number]['value']>('ledger');
  return (
    <div className={styles.below}>
      <Section
        title={`${battery.label} in the air`}
        end={<Switch label="Show the flight as" value={picture} options={pictures} onChange={setPicture} />}
      >
        {picture === 'table' ? (
          <Suspense fallback={null}>
            <FlightTable label={`${battery.label} in the air`} flight={flight} band={curve} />
          </Suspense>
        ) : (
          <LazyFlightChart
            flight={flight}
            band={curve}
            policy={aircraft.policy}
            forcedLandingCharge={spec(aircraft.spec, 'forcedLandingCharge')}
            measure={picture}
          />
        )}
        <Suspense fallback={null}>
          <ShownMinutes
            aircraft={aircraft}
            estimate={props.estimate}
            plannedS={flight.planned?.usableS ?? null}
          />
        </Suspense>
      </Section>
      <Section
        title={`${minutesAndSeconds(aircraft.spec.advertisedFlightTimeS)} on the box`}
        end={<Switch label="About the minutes" value={question} options={questions} onChange={setQuestion} />}
      >
        <Suspense fallback={null}>
          {question === 'ledger' && <LedgerOf {...props} />}
          {question === 'what-if' && (
            <WhatIfs
              request={props.request}
              known={beliefAbout(aircraft).known}
              keptAt={keptPlaceOf(battery)}
              estimate={props.estimate}
              plannedS={flight.planned?.usableS ?? null}
            />
          )}
          {question === 'measure' && (
            <MeasureNext
              battery={battery}
              aircraft={aircraft}
              conditions={props.conditions}
              band={(fresh && band) || null}
            />
          )}
        </Suspense>
      </Section>
    </div>
  );
}

/** The middle flight turned back as planned, or, until that is known, flown on. */
function useShownFlight({ aircraft, request, estimate, band, fresh }: Props): ShownFlight {
  return useMemo(() => {
    const planned = shownPlan(estimate, band, fresh);
    const flown = planned && asPlanned(request, beliefAbout(aircraft).middle, planned);
    const events = flown?.ok ? flown.value.events : estimate.events;
    return { estimate, events, planned, fresh };
  }, [aircraft, request, estimate, band, fresh]);
}

/** The ledger costs some hundred flights, so it is computed away from the screen, and only while it shows. */
function LedgerOf({ request, estimate, aircraft, battery, conditions, band, fresh }: Props) {
  const { known } = beliefAbout(aircraft);
  const ledger = useLedger(request, known);
  const planned = shownPlan(estimate, band, fresh);
  if (!ledger.value) return null;
  return (
    <Ledger
      estimate={estimate}
      lines={
        planned ? withDoubt(ledger.value, aircraft.spec.advertisedFlightTimeS, planned.usableS) : ledger.value
      }
      fresh={ledger.fresh && fresh}
      basis={known.basis}
      aircraft={aircraft}
      battery={battery}
      conditions={conditions}
    />
  );
}
