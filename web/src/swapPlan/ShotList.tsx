import {
  styles as flyingStyles,
  minutesAndSeconds,
  nameProblem,
  type ShootRecord,
  type Shot,
  type Style,
  shotRanges,
} from '@acorn-tally/core';
import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ActionIcon, UnstyledButton } from '@mantine/core';
import { IconArrowDown, IconArrowUp, IconGripVertical, IconTrash } from '@tabler/icons-react';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { Chosen } from '../parts/Desk';
import { IconButton } from '../parts/IconButton';
import { LinkButton } from '../parts/LinkButton';
import { comesOrGoes, type How } from '../records/history';
import { useRecords } from '../records/records';
import { useChosen } from '../state/chosen';
import { useWriter } from '../state/units';
import styles from './ShotList.module.css';

/** The shots in the pilot's order: dragged, moved by keys or buttons, opened to be changed. */
export function ShotList({ shoot }: { readonly shoot: ShootRecord }) {
  const edit = useRecords((state) => state.edit);
  const { shotId: openId, choose } = useChosen();
  const setOpenId = (shotId: string | null) => choose({ shotId });
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const { shots } = shoot;
  const setShots = (next: (now: readonly Shot[]) => readonly Shot[], label: string, how: How = {}) =>
    edit('shoots', shoot.id, (now) => ({ shots: next(now.shots) }), label, how);
  const move = (from: number, to: number) => {
    if (to >= 0 && to < shots.length)
      setShots((now) => arrayMove([...now], from, to), 'order of the shots', { apart: true });
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const place = (id: unknown) => shots.findIndex((shot) => shot.id === id);
    move(place(active.id), place(over.id));
  };
  const addShot = () => {
    const shot = newShot(shots);
    setShots((now) => [...now, shot], 'adding a shot', { apart: true });
    setOpenId(shot.id);
  };
  return (
    <Chosen title="Shots, in your order">
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={dropped}
        accessibility={{ announcements: saidWhileMoving(shots) }}
      >
        <SortableContext items={shots.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          <ol className={styles.shots}>
            {shots.map((shot, index) => (
              <ShotItem
                key={shot.id}
                shot={shot}
                number={index + 1}
                open={shot.id === openId}
                onToggle={() => setOpenId(shot.id === openId ? null : shot.id)}
                onChange={(part, what) =>
                  setShots(
                    (now) => now.map((other) => (other.id === shot.id ? { ...other, ...part } : other)),
                    `${what} of shot ${index + 1}`,
                  )
                }
                onMove={(step) => move(index, index + step)}
                onRemove={() =>
                  setShots(
                    (now) => now.filter((other) => other.id !== shot.id),
                    `removing ${shot.name}`,
                    comesOrGoes,
                  )
                }
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <LinkButton onClick={addShot}>Add a shot</LinkButton>
    </Chosen>
  );
}

/** What a screen reader hears while a shot is moved. */
function saidWhileMoving(shots: readonly Shot[]): Announcements {
  const name = (id: unknown) => shots.find((shot) => shot.id === id)?.name ?? 'The shot';
  const place = (id: unknown) => shots.findIndex((shot) => shot.id === id) + 1;
  return {
    onDragStart: ({ active }) => `${name(active.id)} lifted.`,
    onDragOver: ({ active, over }) =>
      over ? `${name(active.id)} would be number ${place(over.id)}.` : undefined,
    onDragEnd: ({ active, over }) =>
      over ? `${name(active.id)} is number ${place(over.id)} now.` : undefined,
    onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
  };
}

function newShot(shots: readonly Shot[]): Shot {
  const last = shots[shots.length - 1];
  return {
    id: crypto.randomUUID(),
    name: `Shot ${shots.length + 1}`,
    durationS: 240,
    style: 'slow',
    distanceM: last?.distanceM ?? 100,
    bearingDeg: last?.bearingDeg ?? 0,
    heightM: last?.heightM ?? 30,
  };
}

interface ItemProps {
  readonly shot: Shot;
  readonly number: number;
  readonly open: boolean;
  readonly onToggle: () => void;
  readonly onChange: (part: Partial<Shot>, what: string) => void;
  readonly onMove: (step: -1 | 1) => void;
  readonly onRemove: () => void;
}

function ShotItem({ shot, number, open, onToggle, onChange, onMove, onRemove }: ItemProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition } = useSortable({
    id: shot.id,
  });
  const { write } = useWriter();
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={styles.shot}
    >
      <div className={styles.line}>
        <ActionIcon
          className={styles.grip}
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${shot.name}`}
        >
          <IconGripVertical size={16} aria-hidden />
        </ActionIcon>
        <UnstyledButton className={styles.open} aria-expanded={open} onClick={onToggle}>
          <span>
            <b>
              {number} {shot.name}
            </b>
            <small>
              {shot.style} {write('distance', shot.distanceM)} out, {write('distance', shot.heightM)} up
            </small>
          </span>
          <b>{minutesAndSeconds(shot.durationS)}</b>
        </UnstyledButton>
      </div>
      {open && (
        <div className={styles.fields}>
          <TextField
            label="Name"
            value={shot.name}
            problem={(text) => nameProblem('Name of the shot', text)}
            onChange={(name) => onChange({ name }, 'name')}
          />
          <QuantityField
            quantity={shotRanges.durationS}
            value={shot.durationS}
            onChange={(durationS) => onChange({ durationS }, 'minutes')}
          />
          <ChoiceField<Style>
            label="Style"
            value={shot.style}
            options={flyingStyles.map((value) => ({ value, label: value }))}
            onChange={(style) => onChange({ style }, 'style')}
          />
          <QuantityField
            quantity={shotRanges.distanceM}
            value={shot.distanceM}
            onChange={(distanceM) => onChange({ distanceM }, 'distance')}
          />
          <QuantityField
            quantity={shotRanges.bearingDeg}
            value={shot.bearingDeg}
            onChange={(bearingDeg) => onChange({ bearingDeg }, 'bearing')}
          />
          <QuantityField
            quantity={shotRanges.heightM}
            value={shot.heightM}
            onChange={(heightM) => onChange({ heightM }, 'height')}
          />
          <div className={styles.actions}>
            <IconButton icon={IconArrowUp} label={`Move ${shot.name} up`} onClick={() => onMove(-1)} />
            <IconButton icon={IconArrowDown} label={`Move ${shot.name} down`} onClick={() => onMove(1)} />
            <IconButton icon={IconTrash} label={`Remove ${shot.name}`} onClick={onRemove} />
          </div>
        </div>
      )}
    </li>
  );
}
