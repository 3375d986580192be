import {
  type Aircraft,
  type AircraftRecord,
  aircraftRanges,
  discAreaM2,
  type Mode,
  maxAirspeedMps,
  maxAirspeedRange,
  nameProblem,
  usualAuxiliaryPowerW,
  usualDragAreaM2,
  usualSpec,
} from '@acorn-tally/core';
import { SidePanel } from '../app/SidePanel';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { useRecords } from '../state/records';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly opened: boolean;
  readonly onClose: () => void;
}

/** The box and the spec sheet of an aircraft. What is left empty is assumed, and the assumed value is shown. */
export function BoxDrawer({ aircraft, opened, onClose }: Props) {
  return (
    <SidePanel
      side="left"
      title={`${aircraft.name}: the box and the spec sheet`}
      opened={opened}
      onClose={onClose}
    >
      <BoxForm aircraft={aircraft} />
    </SidePanel>
  );
}

type NumberField = Extract<keyof typeof aircraftRanges, keyof Aircraft>;
type OptionalField = Exclude<
  NumberField,
  'takeoffMassKg' | 'rotorCount' | 'advertisedFlightTimeS' | 'advertisedSpeedMps'
>;

const modes: readonly Mode[] = ['slow', 'normal', 'fast', 'manual'];

function BoxForm({ aircraft }: { readonly aircraft: AircraftRecord }) {
  const edit = useRecords((state) => state.edit);
  const { spec } = aircraft;
  const change = (part: Partial<Aircraft>, what: string) =>
    edit('aircraft', aircraft.id, { spec: { ...spec, ...part } }, `${what} of ${aircraft.name}`);
  const required = (
    field: 'takeoffMassKg' | 'rotorCount' | 'advertisedFlightTimeS' | 'advertisedSpeedMps',
    hint?: string,
  ) => (
    <QuantityField
      quantity={aircraftRanges[field]}
      value={spec[field]}
      hint={hint}
      onChange={(value) => change({ [field]: value }, aircraftRanges[field].label.toLowerCase())}
    />
  );
  const optional = (field: OptionalField, assumed: number | null, hint?: string) => (
    <QuantityField
      quantity={aircraftRanges[field]}
      value={spec[field] ?? null}
      assumed={assumed}
      hint={hint}
      onChange={(value) => change({ [field]: value }, aircraftRanges[field].label.toLowerCase())}
    />
  );
  const usualDiameterM = Math.sqrt(
    (4 * discAreaM2({ ...spec, rotorDiameterM: null }, 1)) / (Math.PI * spec.rotorCount),
  );
  return (
    <>
      <p className="panel-note">Numbers in italics are assumed: fill them in if your papers say otherwise.</p>
      <TextField
        label="Name"
        value={aircraft.name}
        problem={(text) => nameProblem('Name', text)}
        onChange={(name) =>
          edit('aircraft', aircraft.id, { name, spec: { ...spec, name } }, 'name of the aircraft')
        }
      />
      <ChoiceField
        label="Kind"
        value={spec.kind}
        options={[
          { value: 'camera', label: 'camera' },
          { value: 'racing', label: 'racing style' },
        ]}
        onChange={(kind) => change({ kind }, 'kind')}
      />
      <h3 className="panel-part">On the box</h3>
      {required('takeoffMassKg')}
      {required('advertisedFlightTimeS', 'the longest: full pack to empty, still air')}
      {required('advertisedSpeedMps', 'often in a footnote')}
      {optional('advertisedHoverTimeS', null, 'if given: tells how slippery it is')}
      {optional('advertisedCapacityMah', null, 'if your packs differ from it')}
      <h3 className="panel-part">Rotors and drag</h3>
      {required('rotorCount')}
      {optional('rotorDiameterM', usualDiameterM)}
      {optional('dragAreaM2', usualDragAreaM2(spec.takeoffMassKg))}
      {optional('auxiliaryPowerW', usualAuxiliaryPowerW(spec.takeoffMassKg), 'camera, link and computer')}
      <h3 className="panel-part">Speeds</h3>
      {modes.map((mode) => (
        <QuantityField
          key={mode}
          quantity={{ ...maxAirspeedRange, label: `Top airspeed, ${mode}` }}
          value={spec.modes?.[mode]?.maxAirspeedMps ?? null}
          assumed={maxAirspeedMps({ ...spec, modes: null }, mode)}
          onChange={(value) =>
            change(
              { modes: { ...spec.modes, [mode]: value === null ? null : { maxAirspeedMps: value } } },
              `top ${mode} airspeed`,
            )
          }
        />
      ))}
      {optional('climbSpeedMps', usualSpec.climbSpeedMps)}
      {optional('descentSpeedMps', usualSpec.descentSpeedMps)}
      {optional('returnSpeedMps', usualSpec.returnSpeedMps, 'through the air, on its own')}
      <h3 className="panel-part">What it does by itself</h3>
      {optional('lowWarningCharge', usualSpec.lowWarningCharge)}
      {optional('forcedLandingCharge', usualSpec.forcedLandingCharge)}
      {optional('hiddenCharge', 0.05, 'kept for emergencies, never planned')}
      {optional('landInPlaceRadiusM', usualSpec.landInPlaceRadiusM)}
      {optional('lowReturnRadiusM', usualSpec.lowReturnRadiusM)}
      {optional('lowReturnHeightM', usualSpec.lowReturnHeightM)}
    </>
  );
}
