import {
  type AircraftRecord,
  type Band,
  type BatteryRecord,
  type ConditionsRecord,
  type Estimate,
  type EstimateRequest,
  minutesAndSeconds,
  spec,
} from '@acorn-tally/core';
import { useState } from 'react';
import { FlightChart } from '../charts/FlightChart';
import { FlightTable } from '../charts/FlightTable';
import { Switch } from '../fields/Switch';
import { keptPlaceOf } from '../kit/kitWords';
import { Ledger } from './Ledger';
import { MeasureNext } from './MeasureNext';
import { useLedger } from './useBands';
import { WhatIfs } from './WhatIfs';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly battery: BatteryRecord;
  readonly conditions: ConditionsRecord;
  readonly request: EstimateRequest;
  readonly estimate: Estimate;
  /** Null while it is being reckoned anew. */
  readonly band: Band | null;
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
  const { aircraft, battery, estimate, band } = props;
  const [picture, setPicture] = useState<(typeof pictures)[number]['value']>('charge');
  const [question, setQuestion] = useState<(typeof questions)[number]['value']>('ledger');
  return (
    <div className="below">
      <section>
        <div className="section-head">
          <h2 className="section-title">{battery.label} in the air</h2>
          <Switch label="Show the flight as" value={picture} options={pictures} onChange={setPicture} />
        </div>
        {picture === 'table' ? (
          <FlightTable
            label={`${battery.label} in the air`}
            estimate={estimate}
            band={band?.curve ?? noCurve}
          />
        ) : (
          <FlightChart
            estimate={estimate}
            band={band?.curve ?? noCurve}
            policy={aircraft.policy}
            forcedLandingCharge={spec(aircraft.spec, 'forcedLandingCharge')}
            measure={picture}
          />
        )}
      </section>
      <section>
        <div className="section-head">
          <h2 className="section-title">
            {minutesAndSeconds(aircraft.spec.advertisedFlightTimeS)} on the box
          </h2>
          <Switch label="About the minutes" value={question} options={questions} onChange={setQuestion} />
        </div>
        {question === 'ledger' && <LedgerOf {...props} />}
        {question === 'what-if' && (
          <WhatIfs request={props.request} keptAt={keptPlaceOf(battery)} estimate={estimate} />
        )}
        {question === 'measure' && <MeasureNext label={battery.label} band={band} />}
      </section>
    </div>
  );
}

/** The ledger costs some hundred flights, so it is reckoned away from the screen, and only while it shows. */
function LedgerOf({ request, estimate, aircraft, battery, conditions }: Props) {
  const ledger = useLedger(request);
  if (!ledger.value) return null;
  return (
    <Ledger
      estimate={estimate}
      lines={ledger.value}
      fresh={ledger.fresh}
      aircraft={aircraft}
      battery={battery}
      conditions={conditions}
    />
  );
}
