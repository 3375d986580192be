import { SidePanel } from './SidePanel';

const keys = [
  ['1 to 4', 'Minutes, Way home, Test flights, Swap plan'],
  ['K', 'kit: aircraft, batteries, chargers'],
  ['C', 'change the conditions'],
  ['U', 'units'],
  ['T', 'record a test flight'],
  ['B', 'next battery (Minutes)'],
  ['Enter', 'in a table of the kit: same column, next row; with Shift back'],
  ['↑ ↓', 'step a number; with Shift ten steps'],
  ['Space', 'on a shot’s handle: lift it, move it with ↑ ↓, set it down'],
  ['Ctrl-Z', 'undo the last change'],
  ['Esc', 'close'],
  ['?', 'these keys'],
] as const;

export function KeysHelp({ opened, onClose }: { readonly opened: boolean; readonly onClose: () => void }) {
  return (
    <SidePanel title="Keys" opened={opened} onClose={onClose}>
      <dl className="keys">
        {keys.map(([key, what]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </SidePanel>
  );
}
