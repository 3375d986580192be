import { Table } from '@mantine/core';
import { SidePanel } from '../parts/SidePanel';

const keys = [
  ['1 to 4', 'Minutes, Way home, Test flights, Swap plan'],
  ['K', 'kit: aircraft, batteries, chargers'],
  ['C', 'change the conditions'],
  ['U', 'units'],
  ['T', 'record a test flight'],
  ['B', 'next battery (Minutes)'],
  ['/ or Ctrl-K', 'search views, batteries, shots and actions'],
  ['Enter', 'in a table of the kit: same column, next row; with Shift back'],
  ['↑ ↓', 'step a number; with Shift ten steps'],
  ['Space', 'on a shot’s handle: lift it, move it with ↑ ↓, set it down'],
  ['Ctrl-Z', 'undo the last change'],
  ['Ctrl-Shift-Z', 'redo what was undone; Ctrl-Y does it too'],
  ['Esc', 'close'],
  ['?', 'these keys'],
] as const;

export function KeysHelp({ opened, onClose }: { readonly opened: boolean; readonly onClose: () => void }) {
  return (
    <SidePanel title="Keys" opened={opened} onClose={onClose}>
      <Table verticalSpacing={6}>
        <Table.Tbody>
          {keys.map(([key, what]) => (
            <Table.Tr key={key}>
              <Table.Th scope="row" w={96}>
                <b>
                  <kbd>{key}</kbd>
                </b>
              </Table.Th>
              <Table.Td>{what}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </SidePanel>
  );
}
