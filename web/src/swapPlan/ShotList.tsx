import { fittingName, minutesAndSeconds, type ShootRecord, type Shot } from '@acorn-tally/core';
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
import { ActionIcon, Checkbox, UnstyledButton } from '@mantine/core';
import { IconGripVertical } from '@tabler/icons-react';
import { useState } from 'react';
import { AsideSection } from '../parts/Desk';
import { Fields } from '../parts/Fields';
import { LinkButton } from '../parts/LinkButton';
import { useRecords } from '../records/records';
import { comesOrGoes, type How } from '../records/undoHistory';
import { clockAt } from '../state/clock';
import { useConditionsOf } from '../state/current';
import { usePreferences } from '../state/preferences';
import { useWriter } from '../state/units';
import { counted } from './planWords';
import { SeveralShots } from './SeveralShots';
import { ShotFields, type ShotFieldsProps } from './ShotFields';
import { ShotFiles } from './ShotFiles';
import styles from './ShotList.module.css';
import { wantsInWords } from './shotWords';

/** The shots in the pilot's order: dragged, moved by keys or buttons, opened to be changed. */
export function ShotList({ shoot }: { readonly shoot: ShootRecord }) {
  const edit = useRecords((state) => state.edit);
  const { shotId: openId, choose } = usePreferences();
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
  const copy = (shot: Shot) => {
    const other = {
      ...shot,
      id: crypto.randomUUID(),
      name: fittingName(shot.name, ' again'),
    };
    setShots(
      (now) => now.flatMap((one) => (one.id === shot.id ? [one, other] : [one])),
      `copying ${shot.name}`,
      {
        apart: true,
      },
    );
    setOpenId(other.id);
  };
  const leaveOut = (ids: readonly string[], what: string, out: boolean) => {
    const others = (shoot.leftOutIds ?? []).filter((one) => !ids.includes(one));
    const label = out ? `leaving out ${what}` : `planning ${what} again`;
    edit('shoots', shoot.id, { leftOutIds: out ? [...others, ...ids] : others }, label, { apart: true });
  };
  /** Shots that are changed together; null while they are changed one by one. */
  const [pickedIds, setPicked] = useState<readonly string[] | null>(null);
  const picked = shots.filter(({ id }) => pickedIds?.includes(id));
  const several = counted(picked.length, 'shot', 'shots');
  return (
    <AsideSection title={shoot.order === 'free' ? 'Shots, in any order' : 'Shots, in your order'}>
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
                shoot={shoot}
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
                onCopy={() => copy(shot)}
                onLeaveOut={(out) => leaveOut([shot.id], shot.name, out)}
                picked={pickedIds === null ? null : pickedIds.includes(shot.id)}
                onPick={(is) =>
                  setPicked((now) => [
                    ...(now ?? []).filter((id) => id !== shot.id),
                    ...(is ? [shot.id] : []),
                  ])
                }
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
      {pickedIds && (
        <Fields label={`${several} together`}>
          {picked.length === 0 ? (
            <p>Tick the shots to change together.</p>
          ) : (
            <SeveralShots
              shots={picked}
              shoot={shoot}
              onChange={(part, what) =>
                setShots(
                  (now) => now.map((one) => (pickedIds.includes(one.id) ? { ...one, ...part } : one)),
                  `${what} of ${several}`,
                )
              }
              onLeaveOut={(out) => leaveOut(pickedIds, several, out)}
              onRemove={() => {
                setShots(
                  (now) => now.filter(({ id }) => !pickedIds.includes(id)),
                  `removing ${several}`,
                  comesOrGoes,
                );
                setPicked(null);
              }}
            />
          )}
        </Fields>
      )}
      <div className={styles.adding}>
        {shots.length > 1 && (
          <LinkButton expanded={pickedIds !== null} onClick={() => setPicked(pickedIds ? null : [])}>
            {pickedIds ? 'Done with several' : 'Change several'}
          </LinkButton>
        )}
        <LinkButton onClick={addShot}>Add a shot</LinkButton>
        <ShotFiles shoot={shoot} />
      </div>
    </AsideSection>
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

interface ItemProps extends Omit<ShotFieldsProps, 'isLeftOut'> {
  readonly number: number;
  readonly open: boolean;
  readonly onToggle: () => void;
  /** Whether it is among those that are changed together; null while none are. */
  readonly picked: boolean | null;
  readonly onPick: (picked: boolean) => void;
}

function ShotItem({ shot, shoot, number, open, onToggle, picked, onPick, ...does }: ItemProps) {
  const { onChange, onMove, onRemove, onCopy, onLeaveOut } = does;
  const isLeftOut = shoot.leftOutIds?.includes(shot.id) ?? false;
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition } = useSortable({
    id: shot.id,
  });
  const { write } = useWriter();
  const clock = clockAt(useConditionsOf(shoot));
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={styles.shot}
      data-left-out={isLeftOut || undefined}
    >
      <div className={styles.line}>
        {picked === null ? (
          <ActionIcon
            className={styles.grip}
            ref={setActivatorNodeRef}
            {...attributes}
            {...listeners}
            aria-label={`Move ${shot.name}`}
          >
            <IconGripVertical size={16} aria-hidden />
          </ActionIcon>
        ) : (
          <Checkbox
            className={styles.pick}
            aria-label={`Change ${shot.name} with others`}
            checked={picked}
            onChange={(event) => onPick(event.currentTarget.checked)}
          />
        )}
        <UnstyledButton className={styles.open} aria-expanded={open} onClick={onToggle}>
          <span>
            <b>
              {number} {shot.name}
            </b>
            <small>
              {shot.style} {write('distance', shot.distanceM)} out, {write('distance', shot.heightM)} up
            </small>
            <small className={styles.wants}>
              {isLeftOut ? 'left out' : wantsInWords(shot, shoot, clock)}
            </small>
          </span>
          <b className={styles.lasts}>
            {(shot.takes ?? 1) > 1 && `${shot.takes} × `}
            {minutesAndSeconds(shot.durationS)}
          </b>
        </UnstyledButton>
      </div>
      {open && (
        <ShotFields
          shot={shot}
          shoot={shoot}
          isLeftOut={isLeftOut}
          onChange={onChange}
          onMove={onMove}
          onRemove={onRemove}
          onCopy={onCopy}
          onLeaveOut={onLeaveOut}
        />
      )}
    </li>
  );
}
