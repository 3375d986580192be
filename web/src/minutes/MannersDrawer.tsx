import {
  type AircraftRecord,
  type EstimateRequest,
  estimateRequestFor,
  type FlightPlan,
  type Manner,
  maxAirspeedMps,
  powerCurve,
  ranges,
  type Style,
} from '@acorn-tally/core';
import { useMemo } from 'react';

import { MannerFields } from '../fields/MannerFields';
import { QuantityField } from '../fields/QuantityField';
import { RecordingField } from '../fields/RecordingField';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { PanelPart, type PanelProps, SidePanel } from '../parts/SidePanel';
import { beliefAbout } from '../state/belief';
import { useBattery, useConditions, useFlownBatteriesOf } from '../state/current';
import { useWriter } from '../state/units';

interface Props extends PanelProps {
  readonly aircraft: AircraftRecord;
  readonly onChange: (part: Partial<FlightPlan>, what: string) => void;
}

/** How each style of the mix is flown, and what it carries and records meanwhile; what is empty is as usual. */
export function MannersDrawer({ aircraft, opened, onClose, onChange }: Props) {
  const { write } = useWriter();
  const conditions = useConditions();
  const battery = useBattery(useFlownBatteriesOf(aircraft.id));
  const { flight } = aircraft;
  const { mix } = flight;
  const moving = mix.filter(({ style, share }) => style !== 'hover' && share > 0);
  const request = conditions && battery && opened ? estimateRequestFor(aircraft, battery, conditions) : null;
  const thriftyMps = useThriftySpeedMps(request, aircraft);
  const set = (style: Style, part: Partial<Manner>, what: string) =>
    onChange(
      { mix: mix.map((one) => (one.style === style ? { ...one, ...part } : one)) },
      `${what} of ${style}`,
    );
  return (
    <SidePanel title="How it is flown" opened={opened} onClose={onClose}>
      {moving.length === 0 && <Note>Only hover is in the mix: nothing more to set.</Note>}
      {moving.map((share) => {
        const topMps = maxAirspeedMps(aircraft.spec, share.style);
        const canFly = thriftyMps !== null && thriftyMps <= topMps;
        return (
          <PanelPart key={share.style} title={share.style}>
            <MannerFields
              style={share.style}
              manner={share}
              onChange={(part, what) => set(share.style, part, what)}
            />
            {canFly && share.airspeedMps !== thriftyMps && (
              <LinkButton onClick={() => set(share.style, { airspeedMps: thriftyMps }, 'airspeed')}>
                Hold {write('speed', thriftyMps, 1)}: longest in the air today
              </LinkButton>
            )}
          </PanelPart>
        );
      })}
      <PanelPart title="What it carries">
        <QuantityField<number | null>
          quantity={ranges.flight.addedMassKg}
          hint="guards, filter, light"
          value={flight.addedMassKg ?? null}
          assumed={0}
          onChange={(addedMassKg) => onChange({ addedMassKg }, 'accessories')}
        />
        <RecordingField
          recordings={aircraft.recordings}
          loadW={flight.recordingLoadW ?? null}
          onChange={(recordingLoadW) => onChange({ recordingLoadW }, 'recording')}
        />
      </PanelPart>
      <Note>
        A speed on the spec sheet is a limit: hardly anybody holds it. What is empty is flown as usual, with
        the speed over ground held whatever the wind.
      </Note>
    </SidePanel>
  );
}

/** The airspeed at which the chosen battery lasts longest in this air, m/s; null until it can be computed. */
function useThriftySpeedMps(request: EstimateRequest | null, aircraft: AircraftRecord): number | null {
  const { middle } = beliefAbout(aircraft);
  return useMemo(() => {
    const curve = request && powerCurve(request, middle);
    return curve?.ok ? curve.value.today.longest.airspeedMps : null;
  }, [request, middle]);
}
