/** @jest-environment jsdom */
import { ranges } from '@acorn-tally/core';
import { MantineProvider } from '@mantine/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { jay1 } from '../../../core/fixtures/records';
import { useRecords } from '../records/records';
import { QuantityField } from './QuantityField';
import '../testing/browser';

const told: (number | null)[] = [];
beforeEach(() => told.splice(0));

function Charge({ optional = false }: { readonly optional?: boolean }) {
  const [value, setValue] = useState<number | null>(optional ? null : 0.9);
  return (
    <MantineProvider env="test">
      <QuantityField
        quantity={ranges.battery.startCharge}
        value={value}
        {...(optional ? { assumed: 0.5 } : {})}
        slider={{ min: 0, max: 1 }}
        onChange={(next: number | null) => {
          told.push(next);
          setValue(next);
        }}
      />
    </MantineProvider>
  );
}
const field = () => screen.getByRole('textbox', { name: 'Start charge' }) as HTMLInputElement;

test('shows per cent, tells a fraction; the unit may be typed, and a comma is a point', async () => {
  render(<Charge />);
  expect(field().value).toBe('90');
  await userEvent.clear(field());
  await userEvent.type(field(), '62,5 %');
  expect(told.at(-1)).toBeCloseTo(0.625, 12);
});

test('nonsense stays as typed with its message, and nothing is told; what is right again clears it', async () => {
  render(<Charge />);
  await userEvent.clear(field());
  await userEvent.type(field(), '200');
  expect(told).not.toContain(2);
  // “2” and “20” took effect while they stood; with “200” the charge is again what it was before the typing.
  expect(told.at(-1)).toBe(0.9);
  expect(screen.getByRole('alert').textContent).toBe(
    'Start charge must be from 0 to 100 %, not 200 %. Until then 90 % stands.',
  );
  fireEvent.blur(field());
  expect(field().value).toBe('200');
  await userEvent.clear(field());
  await userEvent.type(field(), '80');
  expect(screen.queryByRole('alert')).toBeNull();
  expect(told.at(-1)).toBe(0.8);
});

test('arrow keys step, ten at once with Shift, and stop at the end of the range', () => {
  render(<Charge />);
  fireEvent.keyDown(field(), { key: 'ArrowUp' });
  expect(told.at(-1)).toBe(0.91);
  fireEvent.keyDown(field(), { key: 'ArrowUp', shiftKey: true });
  expect(told.at(-1)).toBe(1);
  fireEvent.keyDown(field(), { key: 'ArrowDown', shiftKey: true });
  expect(told.at(-1)).toBe(0.9);
});

test('an optional field may be emptied; what is assumed then shows in its place', async () => {
  render(<Charge optional />);
  expect(field().placeholder).toBe('50');
  await userEvent.type(field(), '70');
  await userEvent.clear(field());
  expect(told.at(-1)).toBeNull();
  expect(screen.queryByRole('alert')).toBeNull();
});

test('the slider is worked by keys too, and the number follows', () => {
  render(<Charge />);
  const slider = screen.getByRole('slider', { name: 'Start charge, slider' });
  fireEvent.keyDown(slider, { key: 'ArrowLeft' });
  expect(told.at(-1)).toBeCloseTo(0.89, 12);
  expect(field().value).toBe('89');
});

/** A label and the charge of one battery, both kept in the records as in the kit. */
function Kept() {
  const { batteries, edit } = useRecords();
  const battery = batteries[0] ?? jay1;
  return (
    <MantineProvider env="test">
      <QuantityField
        quantity={ranges.battery.startCharge}
        value={battery.pack.startCharge}
        onChange={(startCharge) =>
          edit('batteries', battery.id, { pack: { ...battery.pack, startCharge } }, 'charge')
        }
      />
      <QuantityField
        quantity={ranges.battery.cycles}
        value={battery.pack.cycles ?? 0}
        onChange={(cycles) => edit('batteries', battery.id, { pack: { ...battery.pack, cycles } }, 'cycles')}
      />
    </MantineProvider>
  );
}

describe('a field over the records', () => {
  const pack = () => useRecords.getState().batteries[0]?.pack;
  beforeEach(() => {
    globalThis.fetch = (async () => new Response(JSON.stringify(jay1))) as typeof fetch;
    useRecords.setState({ batteries: [jay1], undoSteps: [] });
    render(<Kept />);
  });
  const cycles = () => screen.getByRole('textbox', { name: 'Cycles' });

  test('“150” leaves neither 1 nor 15 in the plan, nor a step to undo', async () => {
    await userEvent.clear(field());
    await userEvent.type(field(), '150');
    expect(pack()?.startCharge).toBe(0.9);
    expect(useRecords.getState().undoSteps).toEqual([]);
  });

  test('a wrong text that was left and is typed on takes back only its own: what another field did meanwhile stays', async () => {
    await userEvent.clear(field());
    await userEvent.type(field(), '150');
    await userEvent.clear(cycles());
    await userEvent.type(cycles(), '31');
    fireEvent.change(field(), { target: { value: '1500' } });
    expect(field().value).toBe('1500');
    expect(pack()).toMatchObject({ startCharge: 0.9, cycles: 31 });
    await userEvent.clear(field());
    await userEvent.type(field(), '80');
    expect(pack()).toMatchObject({ startCharge: 0.8, cycles: 31 });
  });

  test('a wrong text in a form that is not sent yet takes back nothing that was kept meanwhile (a test just recorded went, 26 Nov 2026)', async () => {
    cleanup();
    const formTold: (number | null)[] = [];
    render(
      <MantineProvider env="test">
        <QuantityField
          quantity={ranges.battery.startCharge}
          label="Charge in a form"
          value={0.3}
          onChange={(value) => formTold.push(value)}
        />
      </MantineProvider>,
    );
    const inForm = screen.getByRole('textbox', { name: 'Charge in a form' });
    await userEvent.clear(inForm);
    await userEvent.type(inForm, '30');
    useRecords.getState().edit('batteries', jay1.id, { label: 'kept' }, 'recording');
    await userEvent.type(inForm, '4');
    expect(useRecords.getState().batteries[0]?.label).toBe('kept');
    // What stood before the typing stands again in the form.
    expect(formTold.at(-1)).toBe(0.3);
  });
});
