import {
  type Aircraft,
  type AircraftRecord,
  aircraftOfClass,
  aircraftRanges,
  classTemplates,
  defaultAuxiliaryPowerW,
  defaultDragAreaM2,
  defaultSpec,
  discAreaM2,
  type Mode,
  maxAirspeedMps,
  maxAirspeedRange,
  nameProblem,
  type ReturnHolds,
} from '@acorn-tally/core';
import { Select } from '@mantine/core';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { fieldProps } from '../fields/shape';
import { TextField } from '../fields/TextField';
import { useRecords } from '../records/records';
import { likeliest } from '../state/belief';
import { useWriter } from '../state/units';
import { classInWords } from './kitWords';
import { Note } from './Note';
import { PanelPart, SidePanel } from './SidePanel';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly opened: boolean;
  readonly onClose: () => void;
}

/** The box and the spec sheet of an aircraft. What is left empty is assumed, and the assumed value is shown. */
export function SpecSheetDrawer({ aircraft, opened, onClose }: Props) {
  return (
    <SidePanel
      side="left"
      title={`${aircraft.name}: the box and the spec sheet`}
      opened={opened}
      onClose={onClose}
    >
      <SpecSheet aircraft={aircraft} />
    </SidePanel>
  );
}

type NumberField = Extract<keyof typeof aircraftRanges, keyof Aircraft>;
type OptionalField = Exclude<
  NumberField,
  'takeoffMassKg' | 'rotorCount' | 'advertisedFlightTimeS' | 'advertisedSpeedMps'
>;

const modes: readonly Mode[] = ['slow', 'normal', 'fast', 'manual'];
const unknown = 'unknown';
const returnHolds: readonly { value: ReturnHolds | typeof unknown; label: string }[] = [
  { value: unknown, label: 'not known' },
  { value: 'airspeed', label: 'airspeed' },
  { value: 'ground-speed', label: 'speed over ground' },
];

const modeHints: Record<Mode, string> = {
  slow: 'no wind stronger than this can be flown against',
  normal: 'where a slow part drifts, it is flown in this',
  fast: 'a hover is held with it where normal drifts',
  manual: 'acrobatic, without its help',
};

function SpecSheet({ aircraft }: { readonly aircraft: AircraftRecord }) {
  const edit = useRecords((state) => state.edit);
  const { spec } = aircraft;
  const change = (part: Partial<Aircraft>, what: string) =>
    edit(
      'aircraft',
      aircraft.id,
      (now) => ({ spec: { ...now.spec, ...part } }),
      `${what} of ${aircraft.name}`,
    );
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
  const defaultDiameterM = Math.sqrt(
    (4 * discAreaM2({ ...spec, rotorDiameterM: null }, 1)) / (Math.PI * spec.rotorCount),
  );
  return (
    <>
      <Note>Numbers in italics are assumed: fill them in if your papers say otherwise.</Note>
      <FillFromClass aircraft={aircraft} />
      <TextField
        label="Name"
        value={aircraft.name}
        problem={(text) => nameProblem('Name', text)}
        onChange={(name) =>
          edit(
            'aircraft',
            aircraft.id,
            (now) => ({ name, spec: { ...now.spec, name } }),
            'name of the aircraft',
          )
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
      <PanelPart title="On the box">
        {required('takeoffMassKg', 'as on the box, nothing hung on it')}
        {required('advertisedFlightTimeS', 'the longest: full pack to empty, still air')}
        {required('advertisedSpeedMps', 'often in a footnote')}
        {optional('advertisedHoverTimeS', null, 'if given: tells more of its drag')}
        {optional('advertisedCapacityMah', null, 'if your packs differ from it')}
      </PanelPart>
      <PanelPart title="Rotors and drag">
        {required('rotorCount', 'motors that lift')}
        {optional('rotorDiameterM', defaultDiameterM, 'tip to tip: large ones hover cheaper')}
        {optional(
          'dragAreaM2',
          defaultDragAreaM2(spec.takeoffMassKg),
          'what the wind grips; costs when fast',
        )}
        {optional('auxiliaryPowerW', defaultAuxiliaryPowerW(spec.takeoffMassKg), 'camera, link and computer')}
      </PanelPart>
      <PanelPart title="Speeds">
        {modes.map((mode) => (
          <QuantityField
            key={mode}
            quantity={{ ...maxAirspeedRange, label: `Top airspeed, ${mode}` }}
            value={spec.modes?.[mode]?.maxAirspeedMps ?? null}
            hint={modeHints[mode]}
            assumed={maxAirspeedMps({ ...spec, modes: null }, mode)}
            onChange={(value) =>
              change(
                { modes: { ...spec.modes, [mode]: value === null ? null : { maxAirspeedMps: value } } },
                `top ${mode} airspeed`,
              )
            }
          />
        ))}
        {optional('climbSpeedMps', defaultSpec.climbSpeedMps, 'how fast it rises to the return height')}
        {optional('descentSpeedMps', defaultSpec.descentSpeedMps, 'how long coming down takes')}
        {optional('returnSpeedMps', defaultSpec.returnSpeedMps, 'on its own')}
        <ChoiceField<ReturnHolds | typeof unknown>
          label="Its return holds"
          hint={spec.returnHolds == null ? 'planned on the worse of both' : undefined}
          value={spec.returnHolds ?? unknown}
          options={returnHolds}
          onChange={(value) =>
            change({ returnHolds: value === unknown ? null : value }, 'what its return holds')
          }
        />
        {optional('maxWindMps', null, 'told where gusts pass it')}
        {optional('maxElevationM', null, 'above the sea; told where it is passed')}
        {optional(
          'returnSpeedPushedMps',
          defaultSpec.returnSpeedPushedMps,
          'pushed forward on its automatic return: a way out',
        )}
      </PanelPart>
      <PanelPart title="What it does by itself">
        {optional('lowWarningCharge', defaultSpec.lowWarningCharge, 'when it first warns')}
        {optional('forcedLandingCharge', defaultSpec.forcedLandingCharge, 'then it lands, wherever it is')}
        {optional(
          'ownCallMarginCharge',
          likeliest(aircraft.id).ownCallMarginCharge,
          'more than its way home and landing take',
        )}
        {optional('hiddenCharge', likeliest(aircraft.id).hiddenCharge, 'kept for emergencies, never planned')}
        {optional(
          'landInPlaceRadiusM',
          defaultSpec.landInPlaceRadiusM,
          'it does not come back, it comes down',
        )}
        {optional('lowReturnRadiusM', defaultSpec.lowReturnRadiusM, 'it does not climb to the return height')}
        {optional('lowReturnHeightM', defaultSpec.lowReturnHeightM, 'to which it rises then')}
      </PanelPart>
    </>
  );
}

/** Figures typical of a class over the box and the rotors, as one step to undo; the name stays. */
function FillFromClass({ aircraft }: { readonly aircraft: AircraftRecord }) {
  const edit = useRecords((state) => state.edit);
  const { write } = useWriter();
  const fill = (name: string) => {
    const template = classTemplates.find((one) => one.name === name);
    if (!template) return;
    const { spec } = aircraftOfClass(template, aircraft.name);
    edit('aircraft', aircraft.id, { spec }, `figures typical of ${name}`, { offered: true });
  };
  return (
    <Select
      {...fieldProps({}, 'choice')}
      label="Figures typical of"
      placeholder="a class …"
      data={classTemplates.map((one) => ({ value: one.name, label: classInWords(one, write) }))}
      value={null}
      onChange={(name) => name !== null && fill(name)}
    />
  );
}
