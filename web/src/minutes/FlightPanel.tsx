import {
  type AircraftRecord,
  defaultReturnHeightM,
  type FlightPlan,
  type Policy,
  ranges,
} from '@acorn-tally/core';
import { Anchor } from '@mantine/core';
import { memo, type ReactNode, Suspense, useCallback, useState } from 'react';
import { Link } from 'react-router';
import { ChoiceField } from '../fields/ChoiceField';
import { ComesHomeField } from '../fields/ComesHomeField';
import field from '../fields/field.module.css';
import { QuantityField } from '../fields/QuantityField';
import { AsideSection } from '../parts/Desk';
import { LinkButton } from '../parts/LinkButton';
import { useTouched } from '../parts/useTouched';
import { useRecords } from '../records/records';
import { useFleet } from '../state/current';
import { lazyPart } from '../state/lazyPart';
import { usePreferences } from '../state/preferences';
import { useWriter } from '../state/units';
import { MixEditor } from './MixEditor';
import { ReserveCards } from './ReserveCards';

/** Each is fetched when it is first opened. */
const MannersDrawer = lazyPart(async () => (await import('./MannersDrawer')).MannersDrawer);
const SpecSheetDrawer = lazyPart(async () => (await import('../parts/SpecSheetDrawer')).SpecSheetDrawer);

interface Props {
  readonly aircraft: AircraftRecord;
  /** How far the answer can be trusted, at the end of the panel. */
  readonly trust: ReactNode;
}

/** What the pilot chooses: the aircraft, where it works, how it is flown, and what is held back. */
export const FlightPanel = memo(function FlightPanel({ aircraft, trust }: Props) {
  const edit = useRecords((state) => state.edit);
  const { write } = useWriter();
  const names = useFleet()
    .map(({ id, name, spec: { takeoffMassKg } }) => `${id}\n${name}, ${write('mass', takeoffMassKg)}`)
    .join('\n\n');
  const [boxOpen, setBoxOpen] = useState(false);
  const touched = useTouched(boxOpen);
  const [mannersOpen, setMannersOpen] = useState(false);
  const mannersTouched = useTouched(mannersOpen);
  const { flight, policy, spec } = aircraft;
  const change = (part: Partial<FlightPlan>, label: string) =>
    edit('aircraft', aircraft.id, (now) => ({ flight: { ...now.flight, ...part } }), label);
  const setPolicy = useCallback(
    (part: Partial<Policy>) =>
      edit('aircraft', aircraft.id, (now) => ({ policy: { ...now.policy, ...part } }), 'what is held back'),
    [edit, aircraft.id],
  );
  const setMix = useCallback(
    (mix: FlightPlan['mix']) =>
      edit('aircraft', aircraft.id, (now) => ({ flight: { ...now.flight, mix } }), 'how it is flown'),
    [edit, aircraft.id],
  );
  return (
    <>
      <AsideSection
        title="Flight"
        end={
          <Anchor component={Link} to="/kit" data-alone>
            Kit
          </Anchor>
        }
      >
        <WhichAircraft chosen={aircraft.id} names={names} />
        <div className={field.row}>
          <LinkButton onClick={() => setBoxOpen(true)}>On the box</LinkButton>
          <span className={field.told}>
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
          label="Bearing"
          value={flight.bearingDeg}
          onChange={(bearingDeg) => change({ bearingDeg }, 'direction out')}
        />
        <QuantityField
          quantity={ranges.flight.returnHeightM}
          value={flight.returnHeightM ?? null}
          assumed={defaultReturnHeightM}
          onChange={(returnHeightM) => change({ returnHeightM }, 'return height')}
        />
      </AsideSection>
      <AsideSection title="How it will be flown">
        <MixEditor mix={flight.mix} onChange={setMix} />
        <LinkButton onClick={() => setMannersOpen(true)}>Speeds, turns and load</LinkButton>
      </AsideSection>
      <AsideSection title="Held back">
        <ReserveCards policy={policy} onChange={setPolicy} />
        <ComesHomeField stacked policy={policy} onChange={setPolicy} />
      </AsideSection>
      {trust}
      <Suspense fallback={null}>
        {mannersTouched && (
          <MannersDrawer
            aircraft={aircraft}
            opened={mannersOpen}
            onClose={() => setMannersOpen(false)}
            onChange={change}
          />
        )}
        {touched && (
          <SpecSheetDrawer aircraft={aircraft} opened={boxOpen} onClose={() => setBoxOpen(false)} />
        )}
      </Suspense>
    </>
  );
});

interface WhichProps {
  readonly chosen: string;
  /** Id and name of each, as one text: so that it is drawn anew only where one of them changed. */
  readonly names: string;
}

const WhichAircraft = memo(function WhichAircraft({ chosen, names }: WhichProps) {
  const choose = usePreferences((state) => state.choose);
  const options = names.split('\n\n').map((one) => {
    const [value = '', label = ''] = one.split('\n');
    return { value, label };
  });
  return (
    <ChoiceField
      label="Aircraft"
      value={chosen}
      options={options}
      onChange={(aircraftId) => choose({ aircraftId, batteryId: null })}
    />
  );
});
