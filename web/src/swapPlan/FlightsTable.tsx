import { type FlightOfPlan, minutesAndSeconds, type ShootRecord, type SwapPlan } from '@acorn-tally/core';
import {
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  type UniqueIdentifier,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { ActionIcon, Table, UnstyledButton } from '@mantine/core';
import { IconChevronDown, IconChevronRight, IconPinFilled } from '@tabler/icons-react';
import { Fragment } from 'react';
import { percent, turnBackPercent } from '../fields/percent';
import { ScrollTable } from '../parts/ScrollTable';
import { FlightDetail } from './FlightDetail';
import styles from './FlightsTable.module.css';
import { shotsOf } from './flightShots';
import type { Names } from './Lanes';
import { chanceInWords, isFromSeveral, waitInWords } from './planWords';

interface Props {
  readonly plan: SwapPlan;
  readonly shoot: ShootRecord;
  readonly names: Names;
  readonly openNumber: number | null;
  readonly onOpen: (number: number | null) => void;
  /** A shot is to be flown in a flight from now on. */
  readonly onMove: (shotId: string, flight: FlightOfPlan) => void;
}

/** The plan to read from in the field: each flight's times, and what is left over. A shot is dragged to the flight it is to be in. */
export function FlightsTable({ plan, shoot, names, openNumber, onOpen, onMove }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor),
  );
  const dropped = ({ active, over }: DragEndEvent) => {
    const [shotId, from] = String(active.id).split(' · ');
    const to = plan.flights.find(({ number }) => String(number) === String(over?.id));
    if (to && shotId && String(to.number) !== from) onMove(shotId, to);
  };
  // What is dragged is named by its shot, and where it is by its flight, for who hears the screen.
  const shotOf = ({ id }: { readonly id: UniqueIdentifier }) => names.shot(String(id).split(' · ')[0] ?? '');
  const said = (verb: string) => (event: Pick<DragEndEvent, 'active' | 'over'>) =>
    event.over
      ? `${shotOf(event.active)} ${verb} flight ${event.over.id}.`
      : `${shotOf(event.active)} is over no flight.`;
  const announcements = {
    onDragStart: ({ active }: Pick<DragEndEvent, 'active'>) =>
      `Picked up ${shotOf(active)}. Move it to another flight.`,
    onDragOver: said('is over'),
    onDragEnd: said('is to be flown in'),
    onDragCancel: ({ active }: Pick<DragEndEvent, 'active'>) => `${shotOf(active)} stays where it was.`,
  };
  return (
    <DndContext sensors={sensors} onDragEnd={dropped} accessibility={{ announcements }}>
      <ScrollTable label="The flights" minWidth={720}>
        <Table className={styles.table}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th scope="col">take-off</Table.Th>
              <Table.Th scope="col">battery</Table.Th>
              <Table.Th scope="col">shots</Table.Th>
              <Table.Th scope="col" data-figure>
                turn back by
              </Table.Th>
              <Table.Th scope="col" data-figure>
                at
              </Table.Th>
              <Table.Th scope="col" data-figure>
                down
              </Table.Th>
              <Table.Th scope="col" data-figure>
                lands with <small>(9 in 10 above)</small>
              </Table.Th>
              <Table.Th scope="col" data-figure>
                spare
              </Table.Th>
              <Table.Th scope="col" data-figure>
                must turn back early
              </Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {plan.flights.map((flight) => {
              const isOpen = flight.number === openNumber;
              return (
                <Fragment key={flight.number}>
                  <FlightRow
                    flight={flight}
                    from={isFromSeveral(plan) ? names.place(flight.launchPlaceId) : null}
                    shoot={shoot}
                    names={names}
                    isOpen={isOpen}
                    onToggle={() => onOpen(isOpen ? null : flight.number)}
                  />
                  {isOpen && (
                    <Table.Tr className={styles.detail}>
                      <Table.Td colSpan={9}>
                        <FlightDetail flight={flight} shoot={shoot} names={names} />
                      </Table.Td>
                    </Table.Tr>
                  )}
                </Fragment>
              );
            })}
          </Table.Tbody>
        </Table>
      </ScrollTable>
    </DndContext>
  );
}

interface RowProps {
  readonly flight: FlightOfPlan;
  /** The launch place, where there are several. */
  readonly from: string | null;
  readonly shoot: ShootRecord;
  readonly names: Names;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
}

function FlightRow({ flight, from, shoot, names, isOpen, onToggle }: RowProps) {
  const { setNodeRef, isOver } = useDroppable({ id: String(flight.number) });
  const time = (at: string) => names.clock.format(at, 'HH:mm');
  const lock = shoot.locks?.find(({ flightNumber }) => flightNumber === flight.number);
  return (
    <Table.Tr ref={setNodeRef} data-over={isOver || undefined} className={styles.flight}>
      <Table.Th scope="row">
        <span className={styles.takeoff}>
          <ActionIcon
            aria-label={`Flight ${flight.number}`}
            aria-expanded={isOpen}
            onClick={onToggle}
            className={styles.opener}
          >
            {isOpen ? <IconChevronDown size={16} aria-hidden /> : <IconChevronRight size={16} aria-hidden />}
          </ActionIcon>
          {time(flight.takeoffAt)}
        </span>
      </Table.Th>
      <Table.Td>
        {names.battery(flight.batteryId)}
        {lock && <IconPinFilled size={13} aria-label="kept to this flight" />}
        {from && <small> from {from}</small>}
      </Table.Td>
      <Table.Td>
        <span className={styles.shots}>
          {shotsOf(flight).map((shotId) => (
            <ShotChip key={shotId} shotId={shotId} flightNumber={flight.number} names={names} shoot={shoot} />
          ))}
        </span>
        {flight.wait && <small>{waitInWords(flight, flight.wait, names)}</small>}
      </Table.Td>
      <Table.Td data-figure className={styles.turn}>
        {flight.turnBackCharge === null ? '–' : turnBackPercent(flight.turnBackCharge)}
      </Table.Td>
      <Table.Td data-figure>{time(flight.turnBackAt)}</Table.Td>
      <Table.Td data-figure>{time(flight.touchdownAt)}</Table.Td>
      <Table.Td data-figure>
        {percent(flight.touchdownCharge.p50)} <small>({percent(flight.touchdownCharge.p10)})</small>
      </Table.Td>
      <Table.Td data-figure>{minutesAndSeconds(flight.spareS)} min</Table.Td>
      <Table.Td data-figure>{chanceInWords(flight.chanceEarly)}</Table.Td>
    </Table.Tr>
  );
}

interface ChipProps {
  readonly shotId: string;
  readonly flightNumber: number;
  readonly names: Names;
  readonly shoot: ShootRecord;
}

function ShotChip({ shotId, flightNumber, names, shoot }: ChipProps) {
  const { setNodeRef, attributes, listeners, transform } = useDraggable({
    id: `${shotId} · ${flightNumber}`,
  });
  const isPinned = shoot.shots.find(({ id }) => id === shotId)?.pin != null;
  return (
    <UnstyledButton
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      className={styles.chip}
      aria-roledescription="shot that can be dragged to another flight"
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
    >
      {names.number(shotId)} {names.shot(shotId)}
      {isPinned && <IconPinFilled size={12} aria-label="pinned" />}
    </UnstyledButton>
  );
}
