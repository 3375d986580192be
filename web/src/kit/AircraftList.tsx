import { type AircraftRecord, aircraftOfClass, classTemplates, usualKeeping } from '@acorn-tally/core';
import { IconCopy, IconFileDescription, IconPlane, IconPlaneOff, IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import { useBusy } from '../app/useBusy';
import { ChoiceField } from '../fields/ChoiceField';
import { useChosen } from '../state/chosen';
import { useRecords } from '../state/records';
import { useWriter } from '../state/units';
import { classInWords } from './kitWords';

interface Props {
  readonly chosen: AircraftRecord;
  readonly onOpenSheet: () => void;
}

/** Every aircraft, retired ones last; the chosen one has its sheet, can be doubled, retired and removed. */
export function AircraftList({ chosen, onOpenSheet }: Props) {
  const { aircraft, add, edit, remove } = useRecords();
  const choose = useChosen((state) => state.choose);
  const { write } = useWriter();
  const { busy, run } = useBusy();
  const inOrder = [...aircraft].sort((a, b) => Number(!!a.retiredOn) - Number(!!b.retiredOn));
  const double = () =>
    run(async () => {
      const { name, spec, flight, policy } = chosen;
      const copy = `${name} copy`.slice(0, 60);
      const made = await add(
        'aircraft',
        { name: copy, spec: { ...spec, name: copy }, flight, policy },
        `doubling ${name}`,
      );
      choose({ aircraftId: made.id, batteryId: null });
    });
  const retire = () =>
    edit(
      'aircraft',
      chosen.id,
      { retiredOn: chosen.retiredOn ? null : new Date().toISOString() },
      chosen.retiredOn ? `bringing back ${chosen.name}` : `retiring ${chosen.name}`,
    );
  return (
    <>
      <h2>Aircraft</h2>
      <ul className="hangar">
        {inOrder.map((one) => (
          <li key={one.id} className={one.id === chosen.id ? 'hangar-chosen' : undefined}>
            <button
              type="button"
              className="hangar-line"
              aria-pressed={one.id === chosen.id}
              onClick={() => choose({ aircraftId: one.id, batteryId: null })}
            >
              <b>{one.name}</b>
              <small>
                {write('mass', one.spec.takeoffMassKg)} ·{' '}
                {Number((one.spec.advertisedFlightTimeS / 60).toFixed(1))} min at{' '}
                {write('speed', one.spec.advertisedSpeedMps, 1)}
                {one.retiredOn && ' · retired'}
              </small>
            </button>
            {one.id === chosen.id && (
              <div className="hangar-actions">
                <button type="button" className="link" onClick={onOpenSheet}>
                  <IconFileDescription size={15} aria-hidden /> Spec sheet
                </button>
                <button type="button" className="link" onClick={double} disabled={busy}>
                  <IconCopy size={15} aria-hidden /> Double
                </button>
                <button type="button" className="link" onClick={retire}>
                  {one.retiredOn ? (
                    <IconPlane size={15} aria-hidden />
                  ) : (
                    <IconPlaneOff size={15} aria-hidden />
                  )}{' '}
                  {one.retiredOn ? 'Fly again' : 'Retire'}
                </button>
                <button
                  type="button"
                  className="link"
                  disabled={busy}
                  onClick={() => run(() => remove('aircraft', one.id, `removing ${one.name}`))}
                >
                  <IconTrash size={15} aria-hidden /> Remove
                </button>
              </div>
            )}
          </li>
        ))}
      </ul>
      <AddAircraft />
    </>
  );
}

/** A new aircraft begins as its class with typical figures, marked as such, and one pack of that class. */
function AddAircraft() {
  const { aircraft, add } = useRecords();
  const { write } = useWriter();
  const choose = useChosen((state) => state.choose);
  const [name, setName] = useState<string>(classTemplates[1]?.name ?? '');
  const { busy, run } = useBusy();
  const template = classTemplates.find((one) => one.name === name);
  const addIt = () =>
    run(async () => {
      if (!template) return;
      const own = `Aircraft ${aircraft.length + 1}`;
      const made = await add('aircraft', aircraftOfClass(template, own), `adding ${own}`);
      await add(
        'batteries',
        { aircraftId: made.id, label: `${own} 1`, pack: template.pack, keeping: usualKeeping },
        `adding the first battery of ${own}`,
      );
      choose({ aircraftId: made.id, batteryId: null });
    });
  return (
    <>
      <h2>Add an aircraft</h2>
      <ChoiceField
        label="Class"
        value={name}
        options={classTemplates.map((one) => ({ value: one.name, label: classInWords(one, write) }))}
        onChange={setName}
      />
      <p className="panel-note">
        It starts with figures typical of its class. Write what your own box says over them.
      </p>
      <button type="button" className="button" onClick={addIt} disabled={busy}>
        Add an aircraft
      </button>
    </>
  );
}
