import { readFileSync, statSync } from 'node:fs';
import { expect, test } from './fixtures';

/** What may cross the wire before minutes stand on the screen, in bytes as compressed at build time. */
const most = { pageJs: 200_000, workerJs: 30_000, css: 40_000, lists: 40_000 } as const;

interface Chunk {
  readonly file: string;
  readonly imports?: readonly string[];
  readonly css?: readonly string[];
}

const built = 'web/dist';
const size = (file: string) => {
  const path = `${built}/${file}`;
  return Math.min(statSync(path).size, statSync(`${path}.br`, { throwIfNoEntry: false })?.size ?? Infinity);
};
const sum = (files: Iterable<string>) => [...files].reduce((total, file) => total + size(file), 0);

test('the first load stays within its budget: the page with Minutes, its styles, and the worker that computes', () => {
  const manifest = JSON.parse(readFileSync(`${built}/.vite/manifest.json`, 'utf8')) as Record<string, Chunk>;
  const needed = new Set<string>();
  const need = (key: string) => {
    if (needed.has(key)) return;
    needed.add(key);
    for (const one of manifest[key]?.imports ?? []) need(one);
  };
  need('index.html');
  need('src/minutes/MinutesView.tsx');
  const chunks = [...needed].map((key) => manifest[key] as Chunk);
  const scripts = new Set(chunks.map(({ file }) => file));
  const styles = new Set(chunks.flatMap(({ css = [] }) => css));
  expect(scripts.size).toBeGreaterThan(2);
  // Charts, dates, panels and the other views come after it.
  const late = /\/(Calendar|Search|FlightChart|setup|KitView|Panels)-/;
  expect([...scripts].filter((file) => late.test(file))).toEqual([]);
  expect(Object.values(manifest).filter(({ file }) => late.test(file)).length).toBeGreaterThan(5);
  expect(sum(scripts)).toBeLessThanOrEqual(most.pageJs);
  expect(sum(styles)).toBeLessThanOrEqual(most.css);
});

test('what the browser fetches before minutes stand is compressed', async ({ app, page }) => {
  const fetched: { readonly url: string; readonly encoding: string | undefined }[] = [];
  page.on('response', (response) =>
    fetched.push({ url: new URL(response.url()).pathname, encoding: response.headers()['content-encoding'] }),
  );
  await page.goto(app.url);
  await expect(page.locator('.BatteryRow_minutes[aria-busy="false"]').first()).toBeVisible();
  const scripts = fetched.filter(({ url }) => url.endsWith('.js'));
  expect(
    fetched.filter(
      ({ url, encoding }) =>
        /^\/assets\/.*\.(js|css)$/.test(url) && encoding !== 'br' && size(url.slice(1)) > 1024,
    ),
  ).toEqual([]);
  const worker = scripts.find(({ url }) => url.includes('calculator'));
  expect(size(worker?.url.slice(1) ?? '')).toBeLessThanOrEqual(most.workerJs);
});

test('files with a hash are kept for good, the page is asked for again and not sent twice, and old names are not the page', async ({
  app,
  request,
}) => {
  const page = await request.get(app.url, { headers: { 'accept-encoding': 'br' } });
  expect(page.headers()['cache-control']).toBe('no-cache');
  const etag = page.headers().etag ?? '';
  expect(etag).not.toBe('');
  expect((await request.get(app.url, { headers: { 'if-none-match': etag } })).status()).toBe(304);
  const script = /assets\/index-[\w-]+\.js/.exec(await page.text())?.[0] ?? '';
  for (const encoding of ['br', 'gzip']) {
    const answer = await request.get(`${app.url}/${script}`, { headers: { 'accept-encoding': encoding } });
    expect(answer.headers()['content-encoding']).toBe(encoding);
    expect(answer.headers()['cache-control']).toBe('public, max-age=31536000, immutable');
    expect(answer.headers()['content-type']).toContain('javascript');
  }
  // A deep address is the page; a file that is gone is not, nor is an unknown path of the API.
  expect((await request.get(`${app.url}/swap-plan`)).headers()['content-type']).toContain('text/html');
  expect((await request.get(`${app.url}/assets/index-of-last-year.js`)).status()).toBe(404);
  const unknown = await request.get(`${app.url}/api/v1/no-such-thing`);
  expect([unknown.status(), unknown.headers()['content-type']]).toEqual([
    404,
    expect.stringContaining('json'),
  ]);
});

test('a list of test flights tells what each taught without the estimate, which comes with the flight', async ({
  app,
  request,
}) => {
  const answer = await request.get(`${app.url}/api/v1/test-flights`);
  const text = await answer.text();
  const { items, told } = JSON.parse(text);
  expect(items).toHaveLength(9);
  expect(text.length).toBeLessThan(most.lists);
  for (const { id, estimate } of items) {
    expect(estimate).toBeUndefined();
    expect(told[id].comparison.boxFraction).toBeGreaterThan(0.3);
    const frozen = await (await request.get(`${app.url}/api/v1/test-flights/${id}/estimate`)).json();
    expect(frozen.answer.curve.length).toBeGreaterThan(10);
  }
});
