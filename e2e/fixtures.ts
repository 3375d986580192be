import { type ChildProcess, spawn } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, type Page } from '@playwright/test';

const newFolder = () => mkdtempSync(join(tmpdir(), 'acorn-tally-e2e-'));

/** A running application of its own, with fresh data; it can be stopped and started again on the same data. */
export class RunningApp {
  private server: ChildProcess | null = null;
  url = '';

  /** On data of its own; `dataFolder` becomes its to remove. */
  constructor(readonly dataFolder = newFolder()) {}

  start(...options: string[]): Promise<void> {
    return this.startOn('0', ...options);
  }

  async startOn(port: string, ...options: string[]): Promise<void> {
    const server = spawn(process.execPath, ['server/dist/main.js', ...options], {
      env: { ...process.env, PORT: port, ACORN_TALLY_DATA: this.dataFolder },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.server = server;
    this.url = await new Promise((resolve, reject) => {
      let said = '';
      server.stdout.on('data', (chunk: Buffer) => {
        said += chunk.toString();
        const address = /http:\/\/[\d.]+:\d+/.exec(said);
        if (address) resolve(address[0]);
      });
      server.once('exit', (code) => reject(new Error(`The server ended with ${code}: ${said}`)));
    });
  }

  signal(signal: NodeJS.Signals): void {
    this.server?.kill(signal);
  }

  /** Stops as Ctrl-C does; returns the exit code. */
  async stop(): Promise<number | null> {
    const { server } = this;
    this.server = null;
    if (!server || server.exitCode !== null || server.signalCode !== null) return server?.exitCode ?? null;
    const ended = new Promise<number | null>((resolve) => server.once('exit', resolve));
    server.kill('SIGINT');
    return ended;
  }

  async remove(): Promise<void> {
    await this.stop();
    rmSync(this.dataFolder, { recursive: true, force: true });
  }
}

/** `app` holds the example, `emptyApp` nothing. */
export const test = base.extend<{ app: RunningApp; emptyApp: RunningApp }, { exampleFolder: string }>({
  /** The example is computed once by each worker; each test gets a copy. */
  exampleFolder: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads the fixtures' names from the pattern
    async ({}, use) => {
      const app = new RunningApp();
      await app.start('--demo');
      await app.stop();
      await use(app.dataFolder);
      await app.remove();
    },
    { scope: 'worker' },
  ],
  /** An address is reached when its view has its headline: from then on keys are heard. */
  page: async ({ page }, use) => {
    const goto = page.goto.bind(page);
    page.goto = async (...request) => {
      const response = await goto(...request);
      await page.getByRole('heading', { level: 1 }).waitFor();
      return response;
    };
    const reload = page.reload.bind(page);
    page.reload = async (...request) => {
      const response = await reload(...request);
      await page.getByRole('heading', { level: 1 }).waitFor();
      return response;
    };
    await use(page);
  },
  app: async ({ exampleFolder }, use) => {
    const folder = newFolder();
    cpSync(exampleFolder, folder, { recursive: true });
    const app = new RunningApp(folder);
    await app.start('--demo');
    await use(app);
    await app.remove();
  },
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads the fixtures' names from the pattern
  emptyApp: async ({}, use) => {
    const app = new RunningApp();
    await app.start();
    await use(app);
    await app.remove();
  },
});

export { expect } from '@playwright/test';

/** Minutes to plan on of a battery's row, in seconds, once they are known. */
export async function minutesToSpend(page: Page, label: string): Promise<number> {
  const row = page.getByRole('list', { name: 'Batteries' }).getByRole('listitem').filter({ hasText: label });
  const text = await row.locator('.BatteryRow_minutes[aria-busy="false"] > b').innerText();
  const [minutes = 0, seconds = 0] = text.split(':').map(Number);
  return minutes * 60 + seconds;
}

export async function saved(page: Page): Promise<void> {
  await page.getByText('saving …').waitFor({ state: 'hidden' });
}

/** Picks one of a list, by its words. */
export async function pick(page: Page, label: string | RegExp, option: string): Promise<void> {
  await page.getByRole('combobox', { name: label }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

export async function chooseLook(page: Page, look: string): Promise<void> {
  await page.getByRole('button', { name: /^Look: |^More$/ }).click();
  await page.getByRole('menuitemradio', { name: new RegExp(`^${look}`, 'i') }).click();
}

/** Takes the day's strip to a minute since midnight, on ten minutes. */
export async function toHour(page: Page, minute: number): Promise<void> {
  // A drawer slides in: only then the strip stands where it will be.
  await page.waitForTimeout(350);
  const strip = page.locator('.DayStrip_strip');
  await strip.scrollIntoViewIfNeeded();
  const box = await strip.boundingBox();
  if (!box) throw new Error('The strip is not on the screen.');
  await page.mouse.click(box.x + 1 + ((box.width - 2) * minute) / 1440, box.y + box.height / 2);
}
