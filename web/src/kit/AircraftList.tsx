import {
  type AircraftRecord,
  aircraftOfClass,
  classTemplates,
  defaultKeeping,
  fittingName,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { IconCopy, IconFileDescription, IconPlane, IconPlaneOff, IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import { ChoiceField } from '../fields/ChoiceField';
import { Choosable } from '../parts/Choosable';
import { AsideSection } from '../parts/Desk';
import { classInWords } from '../parts/kitWords';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { useRemoval } from '../parts/useRemoval';
import { making } from '../records/changes';
import { useRecords } from '../records/records';
import { comesOrGoes } from '../records/undoHistory';
import { usePreferences } from '../state/preferences';
import { useWriter } from '../state/units';
import styles from './AircraftList.module.css';

interface Props {
  readonly chosen: AircraftRecord;
  readonly onOpenSheet: () => void;
}

/** Every aircraft, retired ones last; the chosen one has its sheet, can be copied, retired and removed. */
export function AircraftList({ chosen, onOpenSheet }: Props) {
  const { aircraft, add, edit } = useRecords();
  const remove = useRemoval();
  const choose = usePreferences((state) => state.choose);
  const { write } = useWriter();
  const inOrder = [...aircraft].sort((a, b) => Number(!!a.retiredOn) - Number(!!b.retiredOn));
  const copyIt = () => {
    const { name, spec, flight, policy } = chosen;
    const copy = fittingName(name, ' copy');
    const content = { name: copy, spec: { ...spec, name: copy }, flight, policy };
    choose({ aircraftId: add('aircraft', content, `copying ${name}`).id, batteryId: null });
  };
  const retire = () =>
    edit(
      'aircraft',
      chosen.id,
      { retiredOn: chosen.retiredOn ? null : new Date().toISOString() },
      chosen.retiredOn ? `bringing back ${chosen.name}` : `retiring ${chosen.name}`,
      comesOrGoes,
    );
  const removeIt = () =>
    remove(
      'aircraft',
      [chosen.id],
      chosen.name,
      chosen.retiredOn ? undefined : { label: `Retire ${chosen.name}`, run: retire },
    );
  return (
    <>
      <AsideSection title="Aircraft">
        <ul className={styles.hangar}>
          {inOrder.map((one) => (
            <li key={one.id} data-choosable data-chosen={one.id === chosen.id || undefined}>
              <Choosable
                chosen={one.id === chosen.id}
                onChoose={() => choose({ aircraftId: one.id, batteryId: null })}
              >
                <b className={styles.name}>{one.name}</b>
                <small className={styles.box}>
                  {write('mass', one.spec.takeoffMassKg)} ·{' '}
                  {Number((one.spec.advertisedFlightTimeS / 60).toFixed(1))} min at{' '}
                  {write('speed', one.spec.advertisedSpeedMps, 1)}
                  {one.retiredOn && ' · retired'}
                </small>
              </Choosable>
              {one.id === chosen.id && (
                <div className={styles.actions}>
                  <LinkButton onClick={onOpenSheet}>
                    <IconFileDescription size={15} aria-hidden /> Spec sheet
                  </LinkButton>
                  <LinkButton onClick={copyIt}>
                    <IconCopy size={15} aria-hidden /> Copy
                  </LinkButton>
                  <LinkButton onClick={retire}>
                    {one.retiredOn ? (
                      <IconPlane size={15} aria-hidden />
                    ) : (
                      <IconPlaneOff size={15} aria-hidden />
                    )}{' '}
                    {one.retiredOn ? 'Fly again' : 'Retire'}
                  </LinkButton>
                  <LinkButton onClick={removeIt}>
                    <IconTrash size={15} aria-hidden /> Remove
                  </LinkButton>
                </div>
              )}
            </li>
          ))}
        </ul>
      </AsideSection>
      <AddAircraft />
    </>
  );
}

/** A new aircraft begins as its class with typical figures, marked as such, and one pack of that class. */
function AddAircraft() {
  const { aircraft, fresh, doAll } = useRecords();
  const { write } = useWriter();
  const choose = usePreferences((state) => state.choose);
  const [name, setName] = useState<string>(classTemplates[1]?.name ?? '');
  const template = classTemplates.find((one) => one.name === name);
  const addIt = () => {
    if (!template) return;
    const own = `Aircraft ${aircraft.length + 1}`;
    const made = fresh('aircraft', aircraftOfClass(template, own));
    const first = { aircraftId: made.id, label: `${own} 1`, pack: template.pack, keeping: defaultKeeping };
    doAll(
      [making('aircraft', made), making('batteries', fresh('batteries', first))],
      `adding ${own}`,
      comesOrGoes,
    );
    choose({ aircraftId: made.id, batteryId: null });
  };
  return (
    <AsideSection title="Add an aircraft">
      <ChoiceField
        label="Class"
        value={name}
        options={classTemplates.map((one) => ({ value: one.name, label: classInWords(one, write) }))}
        onChange={setName}
      />
      <Note>It starts with figures typical of its class. Write what your own box says over them.</Note>
      <Button onClick={addIt}>Add an aircraft</Button>
    </AsideSection>
  );
}
