import { type Choice, type ChosenUnits, imperialUnits, metricUnits, unitChoices } from '@acorn-tally/core';
import { ChoiceField } from '../fields/ChoiceField';
import { Choosable } from '../parts/Choosable';
import { Fields } from '../parts/Fields';
import { Note } from '../parts/Note';
import { SidePanel } from '../parts/SidePanel';
import { usePreferences } from '../state/preferences';

const choiceNames: Record<Choice, string> = {
  speed: 'Wind and speed',
  distance: 'Height and distance',
  temperature: 'Temperature',
  mass: 'Mass',
  pressure: 'Pressure',
};
const mixes: readonly { readonly name: string; readonly units: ChosenUnits }[] = [
  { name: 'Metric', units: metricUnits },
  { name: 'Metric, wind in km/h', units: { ...metricUnits, speed: 'km/h' } },
  { name: 'Metres and knots', units: { ...metricUnits, speed: 'kn' } },
  { name: 'Imperial', units: imperialUnits },
];

/** The units everything is shown in; any unit of a kind may be typed whatever is chosen. */
export function UnitsPanel({ opened, onClose }: { readonly opened: boolean; readonly onClose: () => void }) {
  const { units, choose } = usePreferences();
  return (
    <SidePanel title="Units" opened={opened} onClose={onClose}>
      <Fields label="Usual mixes">
        {mixes.map((mix) => (
          <Choosable
            key={mix.name}
            chosen={isSame(mix.units, units)}
            onChoose={() => choose({ units: mix.units })}
          >
            {mix.name}
          </Choosable>
        ))}
      </Fields>
      {(Object.keys(unitChoices) as Choice[]).map((choice) => (
        <ChoiceField<string>
          key={choice}
          label={choiceNames[choice]}
          value={units[choice]}
          options={unitChoices[choice].map((value) => ({ value, label: value }))}
          onChange={(unit) => choose({ units: { ...units, [choice]: unit } })}
        />
      ))}
      <Note>
        In any field you may type another unit after the number: 12 mph, 400 ft, 23 °F, 0.55 lb, 90 s.
      </Note>
    </SidePanel>
  );
}

function isSame(a: ChosenUnits, b: ChosenUnits): boolean {
  return (Object.keys(a) as Choice[]).every((choice) => a[choice] === b[choice]);
}
