import 'fake-indexeddb/auto';
import { keepSamples, sendSamples } from './samples';

afterEach(() => jest.useRealTimers());

test('samples outlive a wrong clock and a server that fails; they go when the flight was missing on thirty-one days', async () => {
  let status = 503;
  const sent: string[] = [];
  globalThis.fetch = (async (url: string) => {
    sent.push(url);
    return new Response('', { status });
  }) as typeof fetch;
  jest.useFakeTimers({ now: Date.parse('2031-01-01T00:00:00Z'), doNotFake: ['setImmediate', 'setTimeout'] });
  const triesAt = async (day: string) => {
    jest.setSystemTime(Date.parse(`${day}T12:00:00Z`));
    const before = sent.length;
    await sendSamples();
    return sent.length - before;
  };
  await keepSamples('flight-1', new Blob(['time,charge']));
  expect(await triesAt('2026-12-01')).toBe(1);
  expect(await triesAt('2028-12-01')).toBe(1);
  status = 404;
  for (let day = 1; day <= 30; day++)
    expect(await triesAt(`2026-11-${String(day).padStart(2, '0')}`)).toBe(1);
  expect(await triesAt('2026-11-30')).toBe(1);
  expect(await triesAt('2026-12-01')).toBe(1);
  expect(await triesAt('2026-12-02')).toBe(0);
});
