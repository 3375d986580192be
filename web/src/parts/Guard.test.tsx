/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { jay1 } from '../../../core/fixtures/records';
import { useRecords } from '../records/records';
import { useDraft } from '../state/drafts';
import { Guard } from './Guard';
import '../testing/browser';

let broken = false;
function Part({ children }: { readonly children?: ReactNode }) {
  const [note, keep] = useDraft('a part', () => '');
  if (broken) throw new Error('no wind to draw');
  return (
    <label>
      Note <input value={note} onChange={(event) => keep(event.target.value)} />
      {children}
    </label>
  );
}

const page = (resetKeys: readonly unknown[] = []) => (
  <MantineProvider env="test">
    <h1>Way home</h1>
    <Guard what="The side view" resetKeys={resetKeys}>
      <Part />
    </Guard>
  </MantineProvider>
);

// React tells each error it catches to the console as well.
beforeEach(() => {
  broken = false;
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
});
afterEach(() => jest.restoreAllMocks());

test('a fault takes down its part only, says what it was, and what was typed is there when it is tried again', async () => {
  const { rerender } = render(page());
  await userEvent.type(screen.getByLabelText('Note'), 'gusty');
  broken = true;
  rerender(page());
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Way home');
  const alert = screen.getByRole('alert');
  expect(alert.textContent).toContain('The side view could not be shown');
  expect(alert.textContent).toContain('no wind to draw');
  // Trying again while the cause is there says so again.
  await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(screen.getByRole('alert')).toBeTruthy();
  broken = false;
  await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect((screen.getByLabelText('Note') as HTMLInputElement).value).toBe('gusty');
  expect(sessionStorage.getItem('acorn-tally-drafts')).toContain('gusty');
});

test('it is tried again by itself when what it shows changes', () => {
  const { rerender } = render(page([1]));
  broken = true;
  rerender(page([1]));
  expect(screen.getByRole('alert')).toBeTruthy();
  broken = false;
  rerender(page([2]));
  expect(screen.queryByRole('alert')).toBeNull();
});

test('where a change led to it, it offers to take that back', async () => {
  useRecords.setState({ batteries: [jay1], undoSteps: [] });
  globalThis.fetch = (async () => new Response(JSON.stringify({ ...jay1, version: 2 }))) as typeof fetch;
  useRecords.getState().edit('batteries', jay1.id, { label: 'J' }, 'label');
  const { rerender } = render(page());
  broken = true;
  rerender(page());
  const undo = screen.getByRole('button', { name: 'Undo: label' });
  broken = false;
  await userEvent.click(undo);
  expect(useRecords.getState().batteries[0]?.label).toBe('Jay 1');
  expect(screen.queryByRole('alert')).toBeNull();
});
