import { Dropped, Pool } from './pool';

/** Work that ends when told to. */
function work() {
  let end = () => {};
  const ended = new Promise<void>((resolve) => {
    end = resolve;
  });
  return { end, run: async () => ended };
}
const wanted = () => new AbortController();

test('no more workers than it may have, each one piece at a time, in order', async () => {
  let started = 0;
  const pool = new Pool(2, () => ++started);
  const pieces = Array.from({ length: 4 }, work);
  const begun: number[] = [];
  const all = pieces.map((piece, i) =>
    pool.do(() => {
      begun.push(i);
      return piece.run();
    }, wanted().signal),
  );
  expect(begun).toEqual([0, 1]);
  pieces[1]?.end();
  await all[1];
  await new Promise((resolve) => setTimeout(resolve));
  expect(begun).toEqual([0, 1, 2]);
  for (const piece of pieces) piece.end();
  await Promise.all(all);
  expect(begun).toEqual([0, 1, 2, 3]);
  expect(started).toBe(2);
});

test('what is no longer wanted is dropped while it waits; what was begun ends unheard, and the next goes on', async () => {
  const pool = new Pool(1, () => 'worker');
  const [first, later] = [work(), work()];
  const old = wanted();
  const begun = pool.do(first.run, old.signal);
  const neverRun = jest.fn(later.run);
  const waiting = pool.do(neverRun, old.signal);
  const newer = pool.do(async () => 'new', wanted().signal);
  old.abort();
  await expect(begun).rejects.toThrow(Dropped);
  await expect(waiting).rejects.toThrow(Dropped);
  first.end();
  expect(await newer).toBe('new');
  expect(neverRun).not.toHaveBeenCalled();
});

test('a failure reaches who waits for it and does not block the pool; wanted by nobody, it is not begun', async () => {
  const pool = new Pool(1, () => 'worker');
  await expect(pool.do(() => Promise.reject(new Error('broken')), wanted().signal)).rejects.toThrow('broken');
  expect(await pool.do(async () => 1, wanted().signal)).toBe(1);
  const old = wanted();
  old.abort();
  await expect(pool.do(async () => 2, old.signal)).rejects.toThrow(Dropped);
});
