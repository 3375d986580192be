import { dayAtPlace } from '../core/src/records/day';
import type { Content, KeptRecord, Kind } from '../core/src/records/kinds';
import { planRequestFor } from '../core/src/requests/planRequest';
import type { PlanRequest } from '../core/src/swapPlan/request/request';
import { loadHollinFell } from '../server/src/demo/hollinFell';

/** The shoot of the example as the application asks for its plan: by the hour, with one charger. */
export async function exampleShoot(): Promise<PlanRequest> {
  const records = await exampleRecords();
  const only = <Value>(list: readonly Value[]): Value => list[0] as Value;
  const [place, shoot] = [only(records.of('places')), only(records.of('shoots'))];
  return planRequestFor({
    shoot,
    aircraft: records.of('aircraft').filter(({ id }) => id === shoot.aircraftId),
    batteries: records.of('batteries'),
    chargers: records.of('chargers'),
    conditions: dayAtPlace(only(records.of('days')), place),
    launchPlaces: place.launchPlaces ?? [],
  });
}

/** What the example writes, kept in lists instead of a database. */
class ExampleRecords {
  private readonly lists = new Map<Kind, object[]>();

  of<K extends Kind>(kind: K): KeptRecord<K>[] {
    return (this.lists.get(kind) ?? []) as KeptRecord<K>[];
  }

  insert<K extends Kind>(kind: K, content: Content<K>) {
    const list = this.lists.get(kind) ?? [];
    const record = { ...content, id: `${kind}-${list.length + 1}` };
    this.lists.set(kind, [...list, record]);
    return record;
  }
}

async function exampleRecords(): Promise<ExampleRecords> {
  const records = new ExampleRecords();
  const at = (work: (there: null) => unknown) => work(null);
  const stores = {
    of: <K extends Kind>(kind: K) => ({
      isEmpty: async () => true,
      insert: async (_: null, content: Content<K>) => records.insert(kind, content),
    }),
    database: { read: at, write: at },
  };
  await loadHollinFell(stores as unknown as Parameters<typeof loadHollinFell>[0]);
  return records;
}
