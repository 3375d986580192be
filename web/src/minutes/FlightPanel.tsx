import {
  type AircraftRecord,
  type FlightPlan,
  type Policy,
  ranges,
  usualReturnHeightM,
} from '@acorn-tally/core';
import { memo, type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { SpecSheetDrawer } from '../kit/SpecSheetDrawer';
import { useChosen } from '../state/chosen';
import { useFleet } from '../state/current';
import { useRecords } from '../state/records';
import { useWriter } from '../state/units';
import { MixEditor } from './MixEditor';
import { ReserveCards } from './ReserveCards';

interface Props {
  readonly aircraft: AircraftRecord;
  /** How far the answer can be trusted, at the end of the panel. */
  readonly trust: ReactNode;
}

/** What the pilot chooses: the aircraft, where it works, how it is flown, and what is held back. */
export const FlightPanel = memo(function FlightPanel({ aircraft, trust }: Props) {
  const edit = useRecords((state) => state.edit);
  const all = useFleet();
  const { write } = useWriter();
  const choose = useChosen((state) => state.choose);
  const [boxOpen, setBoxOpen] = useState(false);
  const { flight, policy, spec } = aircraft;
  const change = (part: Partial<FlightPlan>, label: string) =>
    edit('aircraft', aircraft.id, { flight: { ...flight, ...part } }, label);
  const setPolicy = (next: Policy) => edit('aircraft', aircraft.id, { policy: next }, 'what is held back');
  return (
    <aside className="desk-left" aria-label="Flight">
      <div className="panel-head-line">
        <h2>Flight</h2>
        <Link to="/kit" className="link">
          Kit
        </Link>
      </div>
      <ChoiceField
        label="Aircraft"
        value={aircraft.id}
        options={all.map(({ id, name, spec: { takeoffMassKg } }) => ({
          value: id,
          label: `${name}, ${write('mass', takeoffMassKg)}`,
        }))}
        onChange={(aircraftId) => choose({ aircraftId, batteryId: null })}
      />
      <div className="field">
        <button type="button" className="link" onClick={() => setBoxOpen(true)}>
          On the box
        </button>
        <span className="field-value field-static">
          {Number((spec.advertisedFlightTimeS / 60).toFixed(1))} min at{' '}
          {write('speed', spec.advertisedSpeedMps, 1)}
        </span>
      </div>
      <QuantityField
        quantity={ranges.flight.heightM}
        value={flight.heightM}
        slider={{ min: 0, max: 150 }}
        onChange={(heightM) => change({ heightM }, 'working height')}
      />
      <QuantityField
        quantity={ranges.flight.farthestM}
        value={flight.farthestM}
        slider={{ min: 0, max: 1000 }}
        onChange={(farthestM) => change({ farthestM }, 'farthest out')}
      />
      <QuantityField
        quantity={ranges.flight.bearingDeg}
        label="in direction"
        value={flight.bearingDeg}
        onChange={(bearingDeg) => change({ bearingDeg }, 'direction out')}
      />
      <QuantityField
        quantity={ranges.flight.returnHeightM}
        value={flight.returnHeightM ?? null}
        assumed={usualReturnHeightM}
        onChange={(returnHeightM) => change({ returnHeightM }, 'return height')}
      />
      <h2>How it will be flown</h2>
      <MixEditor mix={flight.mix} onChange={(mix) => change({ mix }, 'how it is flown')} />
      <h2>Held back</h2>
      <ReserveCards policy={policy} onChange={setPolicy} />
      {trust}
      <SpecSheetDrawer aircraft={aircraft} opened={boxOpen} onClose={() => setBoxOpen(false)} />
    </aside>
  );
});
