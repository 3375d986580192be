import {
  type AircraftRecord,
  type Charger,
  type ChargerRecord,
  type ConditionsRecord,
  chargerRanges,
  chargingRound,
  minutesAndSeconds,
  nameProblem,
  powerSources,
  takeoffCharge,
} from '@acorn-tally/core';
import { IconTrash } from '@tabler/icons-react';
import { useBusy } from '../app/useBusy';
import { Wide } from '../app/Wide';
import { ChoiceField } from '../fields/ChoiceField';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import { packAtTheHour } from '../state/atTheHour';
import { likeliest } from '../state/belief';
import { type Clock, useClock } from '../state/clock';
import { useFlownBatteriesOf } from '../state/current';
import { useRecords } from '../state/records';

interface Props {
  readonly chosen: AircraftRecord;
  readonly conditions: ConditionsRecord;
}

const usualCharger: Charger = { atOnce: 1, emptyToFullS: 54 * 60, power: 'mains' };

/** The chargers, and how long each would take with all packs of the chosen aircraft. */
export function ChargerTable({ chosen, conditions }: Props) {
  const { chargers, add } = useRecords();
  const { busy, run } = useBusy();
  const batteries = useFlownBatteriesOf(chosen.id);
  const packs = batteries
    .map((battery) => ({
      label: battery.label,
      charge: takeoffCharge(packAtTheHour(battery, conditions), likeliest(chosen.id)),
    }))
    .filter(({ charge }) => charge < fullEnough);
  const addIt = () =>
    run(async () => {
      const name = chargers.length === 0 ? 'My charger' : `Charger ${chargers.length + 1}`;
      await add('chargers', { name, charger: usualCharger }, `adding ${name}`);
    });
  return (
    <section className="chargers" aria-label="Chargers">
      <div className="headline">
        <h2 className="section-title">Chargers</h2>
        <p>constant current to 80 %, then it tapers: the last fifth takes over a third of the time</p>
        <button type="button" className="button-quiet push" onClick={addIt} disabled={busy}>
          Add a charger
        </button>
      </div>
      {chargers.length === 0 ? (
        <p className="panel-note">No charger yet. Its label says how many minutes empty to full take.</p>
      ) : (
        <Wide label="Table of chargers">
          <table className="kit-table">
            <thead>
              <tr>
                <th scope="col">Charger</th>
                <th scope="col">Packs at once</th>
                <th scope="col">Empty to full</th>
                <th scope="col">From</th>
                <th scope="col">Until</th>
                <th scope="col">25 → 100 %</th>
                <th scope="col">
                  {packs.length === 0
                    ? `All of ${chosen.name}`
                    : `${packs.length} of ${chosen.name} not full`}
                </th>
                <th scope="col">
                  <span className="unseen">Remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {chargers.map((record) => (
                <ChargerRow key={record.id} record={record} packs={packs} from={conditions.at} />
              ))}
            </tbody>
          </table>
        </Wide>
      )}
    </section>
  );
}

/** Topping up above this is not a charge. */
const fullEnough = 0.97;

interface RowProps {
  readonly record: ChargerRecord;
  readonly packs: readonly { readonly label: string; readonly charge: number }[];
  readonly from: string;
}

function ChargerRow({ record, packs, from }: RowProps) {
  const { edit, remove } = useRecords();
  const { busy, run } = useBusy();
  const clock = useClock();
  const { name, charger } = record;
  const change = (part: Partial<Charger>, what: string) =>
    edit('chargers', record.id, { charger: { ...charger, ...part } }, `${what} of ${name}`);
  const [landed] = chargingRound(charger, [{ label: '', charge: 0.25 }]);
  return (
    <tr>
      <td>
        <TextField
          bare
          label={`Name of ${name}`}
          value={name}
          problem={(text) => nameProblem('Name', text)}
          onChange={(next) => edit('chargers', record.id, { name: next }, `name of ${name}`)}
        />
      </td>
      <td>
        <QuantityField
          bare
          label={`Packs at once on ${name}`}
          quantity={chargerRanges.atOnce}
          value={charger.atOnce}
          onChange={(atOnce) => change({ atOnce }, 'packs at once')}
        />
      </td>
      <td>
        <QuantityField
          bare
          label={`Empty to full on ${name}`}
          quantity={chargerRanges.emptyToFullS}
          value={charger.emptyToFullS}
          onChange={(emptyToFullS) => change({ emptyToFullS }, 'minutes')}
        />
      </td>
      <td>
        <ChoiceField
          bare
          label={`Power of ${name}`}
          value={charger.power}
          options={powerSources.map((value) => ({ value, label: value }))}
          onChange={(power) => change({ power }, 'power')}
        />
      </td>
      <td>
        <TextField
          bare
          label={`Power of ${name} until`}
          type="datetime-local"
          value={charger.powerUntil ? clock.field(charger.powerUntil) : ''}
          onChange={(at) => change({ powerUntil: clock.read(at) }, 'end of the power')}
        />
      </td>
      <td data-heading="25 → 100 %">{minutesAndSeconds(landed?.endsS ?? 0)} min</td>
      <td data-heading="All packs">{allInWords(charger, packs, from, clock)}</td>
      <td>
        <button
          type="button"
          className="icon-button"
          disabled={busy}
          onClick={() => run(() => remove('chargers', record.id, `removing ${name}`))}
          aria-label={`Remove ${name}`}
        >
          <IconTrash size={16} aria-hidden />
        </button>
      </td>
    </tr>
  );
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
  return `full by ${clock.format(end, isSameDay ? 'HH:mm' : 'ddd HH:mm')}`;
}
