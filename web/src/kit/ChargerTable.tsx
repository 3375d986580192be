import {
  type AircraftRecord,
  type Charger,
  type ChargerRecord,
  chargerRanges,
  chargingRound,
  chargingWays,
  type DayAtPlace,
  fitsCharger,
  labelEnergyWh,
  minutesAndSeconds,
  nameProblem,
  packAtTheHour,
  powerSources,
  takeoffCharge,
  timedMean,
} from '@acorn-tally/core';
import { Anchor, Button, Table } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { Link } from 'react-router';
import { ChoiceField } from '../fields/ChoiceField';
import { MomentField } from '../fields/MomentField';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { Headline } from '../parts/Headline';
import { IconButton } from '../parts/IconButton';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { ScrollTable } from '../parts/ScrollTable';
import { useRemoval } from '../parts/useRemoval';
import { useRecords } from '../records/records';
import { likeliest } from '../state/belief';
import { type Clock, useClock } from '../state/clock';
import { useFlownBatteriesOf } from '../state/current';
import styles from './ChargerTable.module.css';
import table from './KitTable.module.css';

interface Props {
  readonly chosen: AircraftRecord;
  readonly conditions: DayAtPlace;
}

const defaultCharger: Charger = { atOnce: 1, emptyToFullS: 54 * 60, power: 'mains' };

/** The chargers, and how long each would take with all packs of the chosen aircraft. */
export function ChargerTable({ chosen, conditions }: Props) {
  const { chargers, add } = useRecords();
  const batteries = useFlownBatteriesOf(chosen.id);
  const packs = batteries
    .map((battery) => ({
      label: battery.label,
      aircraftId: battery.aircraftId,
      energyWh: labelEnergyWh(battery.pack),
      charge: takeoffCharge(packAtTheHour(battery, conditions), likeliest(chosen.id)),
    }))
    .filter(({ charge }) => charge < fullEnough);
  const addIt = () => {
    const name = chargers.length === 0 ? 'My charger' : `Charger ${chargers.length + 1}`;
    add('chargers', { name, charger: defaultCharger }, `adding ${name}`);
  };
  return (
    <section className={styles.chargers} aria-label="Chargers">
      <Headline
        second
        title="Chargers"
        end={
          <Button variant="default" onClick={addIt}>
            Add a charger
          </Button>
        }
      >
        constant current to 80 %, then it tapers: the last fifth takes over a third of the time
      </Headline>
      {chargers.length === 0 ? (
        <Note>No charger yet. Its label says how many minutes empty to full take.</Note>
      ) : (
        <ScrollTable label="Table of chargers">
          <Table className={table.table}>
            <Table.Thead>
              <Table.Tr>
                <Table.Th scope="col">Charger, and what fits it</Table.Th>
                <Table.Th scope="col">Packs at once</Table.Th>
                <Table.Th scope="col">Empty to full, with a pack of</Table.Th>
                <Table.Th scope="col">Timed</Table.Th>
                <Table.Th scope="col">Power, and to each pack</Table.Th>
                <Table.Th scope="col">Until</Table.Th>
                <Table.Th scope="col">25 → 100 %</Table.Th>
                <Table.Th scope="col">{chosen.name} packs</Table.Th>
                <Table.Th scope="col">
                  <span data-unseen>Remove</span>
                </Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {chargers.map((record) => (
                <ChargerRow key={record.id} record={record} packs={packs} from={conditions.at} />
              ))}
            </Table.Tbody>
          </Table>
        </ScrollTable>
      )}
    </section>
  );
}

/** Topping up above this is not a charge. */
const fullEnough = 0.97;

interface RowProps {
  readonly record: ChargerRecord;
  readonly packs: readonly {
    readonly label: string;
    readonly charge: number;
    readonly energyWh: number;
    readonly aircraftId: string;
  }[];
  readonly from: string;
}

function ChargerRow({ record, packs: all, from }: RowProps) {
  const edit = useRecords((state) => state.edit);
  const remove = useRemoval();
  const clock = useClock();
  const { name, charger } = record;
  const change = (part: Partial<Charger>, what: string) =>
    edit('chargers', record.id, (now) => ({ charger: { ...now.charger, ...part } }), `${what} of ${name}`);
  const packs = all.filter(({ aircraftId }) => fitsCharger(charger, aircraftId));
  const fleet = useRecords((state) => state.aircraft);
  const energyWh = packs[0]?.energyWh ?? all[0]?.energyWh ?? charger.timedWh ?? defaultWh;
  const [landed] = chargingRound(charger, [{ label: '', charge: 0.25, energyWh }]);
  const fits =
    charger.aircraftIds?.length === 1
      ? (charger.aircraftIds[0] as string)
      : charger.aircraftIds
        ? 'some'
        : 'all';
  return (
    <Table.Tr>
      <Table.Td data-column="charger">
        <TextField
          bare
          label={`Name of ${name}`}
          value={name}
          problem={(text) => nameProblem('Name', text)}
          onChange={(next) => edit('chargers', record.id, { name: next }, `name of ${name}`)}
        />
        <ChoiceField
          bare
          label={`Packs that fit ${name}`}
          value={fits}
          options={[
            { value: 'all', label: 'all packs' },
            ...fleet.map(({ id, name: own }) => ({ value: id, label: own })),
            ...(fits === 'some' ? [{ value: 'some', label: 'several' }] : []),
          ]}
          onChange={(id) => change({ aircraftIds: id === 'all' ? null : [id] }, 'what fits it')}
        />
      </Table.Td>
      <Table.Td>
        <QuantityField
          bare
          label={`Packs at once on ${name}`}
          quantity={chargerRanges.atOnce}
          value={charger.atOnce}
          onChange={(atOnce) => change({ atOnce }, 'packs at once')}
        />
      </Table.Td>
      <Table.Td>
        <QuantityField
          bare
          label={`Empty to full on ${name}`}
          quantity={chargerRanges.emptyToFullS}
          value={charger.emptyToFullS}
          onChange={(emptyToFullS) => change({ emptyToFullS }, 'minutes')}
        />
        <QuantityField
          bare
          label={`Minutes of ${name} are for a pack of`}
          quantity={chargerRanges.timedWh}
          value={charger.timedWh ?? null}
          assumed={null}
          onChange={(timedWh) => change({ timedWh }, 'pack that was timed')}
        />
      </Table.Td>
      <Table.Td data-told data-heading="Timed">
        <Timed
          record={record}
          onTake={(emptyToFullS, timedWh) => change({ emptyToFullS, timedWh }, 'minutes')}
        />
      </Table.Td>
      <Table.Td>
        <ChoiceField
          bare
          label={`Power of ${name}`}
          value={charger.power}
          options={powerSources.map((value) => ({ value, label: value }))}
          onChange={(power) => change({ power }, 'power')}
        />
        <QuantityField
          bare
          label={`Charging power of ${name}`}
          quantity={chargerRanges.powerW}
          value={charger.powerW ?? null}
          assumed={null}
          onChange={(powerW) => change({ powerW }, 'charging power')}
        />
      </Table.Td>
      <Table.Td data-column="until">
        <MomentField
          bare
          withTime
          optional
          label={`Power of ${name} until`}
          value={charger.powerUntil ? clock.field(charger.powerUntil) : ''}
          onChange={(at) => change({ powerUntil: clock.read(at) }, 'end of the power')}
        />
      </Table.Td>
      <Table.Td data-told data-heading="25 → 100 %">
        {minutesAndSeconds(landed?.endsS ?? 0)} min
      </Table.Td>
      <Table.Td data-told data-heading="All packs">
        {allInWords(charger, packs, from, clock)}
      </Table.Td>
      <Table.Td>
        <IconButton
          icon={IconTrash}
          label={`Remove ${name}`}
          onClick={() => remove('chargers', [record.id], name)}
        />
      </Table.Td>
    </Table.Tr>
  );
}

/** Of a pack of the usual size, where none is known. */
const defaultWh = 18;

interface TimedProps {
  readonly record: ChargerRecord;
  readonly onTake: (emptyToFullS: number, timedWh: number | null) => void;
}

/** What the charges timed on it say of its minutes, by hub and by cable, and the way to take that over. */
function Timed({ record: { id, name, charger }, onTake }: TimedProps) {
  const { timedCharges, batteries } = useRecords();
  const remove = useRemoval();
  const own = timedCharges.filter(({ chargerId }) => chargerId === id);
  const byWay = chargingWays.flatMap((way) => {
    const mean = timedMean(own.filter((one) => one.way === way));
    return mean ? [{ way, ...mean }] : [];
  });
  /** Of the packs that were timed so. */
  const meanWh = (way: (typeof chargingWays)[number]) => {
    const energies = own
      .filter((one) => one.way === way)
      .flatMap(({ batteryId }) => batteries.find(({ id: its }) => its === batteryId) ?? [])
      .map(({ pack }) => labelEnergyWh(pack));
    return energies.length === 0
      ? null
      : Math.round(energies.reduce((sum, one) => sum + one, 0) / energies.length);
  };
  if (byWay.length === 0) {
    return (
      <Anchor component={Link} to="/clock" data-alone aria-label={`Time a charge on ${name}`}>
        by the clock
      </Anchor>
    );
  }
  return byWay.map(({ way, emptyToFullS, charges }) => {
    const minutes = Math.round(emptyToFullS / 60);
    const isTaken = minutes === Math.round(charger.emptyToFullS / 60);
    return (
      <div key={way}>
        {minutes} min {way === 'cable' && 'by cable '}({charges === 1 ? 'one charge' : `${charges} charges`}){' '}
        {!isTaken && (
          <LinkButton
            label={`Use ${minutes} min for ${name}`}
            onClick={() => onTake(minutes * 60, meanWh(way))}
          >
            use
          </LinkButton>
        )}{' '}
        <LinkButton
          label={`Discard the charges timed on ${name}${way === 'cable' ? ' by cable' : ''}`}
          onClick={() =>
            remove(
              'timedCharges',
              own.filter((one) => one.way === way).map((one) => one.id),
              `the charges timed on ${name}`,
            )
          }
        >
          discard
        </LinkButton>
      </div>
    );
  });
}

/** "full by 11:05", or how many are full before the power ends. */
function allInWords(charger: Charger, packs: RowProps['packs'], from: string, clock: Clock): string {
  if (packs.length === 0) return 'all full';
  const round = chargingRound(charger, packs);
  const doneS = Math.max(...round.map(({ endsS }) => endsS));
  const untilS = charger.powerUntil
    ? (Date.parse(charger.powerUntil) - Date.parse(from)) / 1000
    : Number.POSITIVE_INFINITY;
  const inTime = round.filter(({ endsS }) => endsS <= untilS).length;
  if (inTime < packs.length) return `only ${inTime} full before the power ends`;
  const end = new Date(Date.parse(from) + doneS * 1000).toISOString();
  const isSameDay = clock.format(end, 'YYYY-MM-DD') === clock.format(from, 'YYYY-MM-DD');
  return `all full by ${clock.format(end, isSameDay ? 'HH:mm' : 'ddd HH:mm')}`;
}
