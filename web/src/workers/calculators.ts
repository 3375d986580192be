import { type Remote, wrap } from 'comlink';
import type { Calculator } from './calculator';
import { Pool, type Work } from './pool';

/** One core stays free for the screen. */
const size = Math.max(1, Math.min(4, (navigator.hardwareConcurrency ?? 2) - 1));

/** A worker that is begun when it is first needed, and anew where its file could not be fetched: what was asked then is told so. */
class Started {
  private running: { readonly remote: Remote<Calculator>; readonly broken: Promise<never> } | null = null;

  run<Result>(work: Work<Remote<Calculator>, Result>): Promise<Result> {
    this.running ??= this.begin();
    const { remote, broken } = this.running;
    return Promise.race([work(remote), broken]);
  }

  private begin() {
    const worker = new Worker(new URL('./calculator.ts', import.meta.url), { type: 'module' });
    const broken = new Promise<never>((_, reject) => {
      worker.onerror = () => {
        this.running = null;
        reject(new Error('The calculator could not be fetched.'));
      };
    });
    // Whoever asks hears of it.
    broken.catch(() => undefined);
    return { remote: wrap<Calculator>(worker), broken };
  }
}

const pool = new Pool(size, () => new Started());

/** Our workers. */
export const calculators = {
  size,
  do: <Result>(work: Work<Remote<Calculator>, Result>, wanted: AbortSignal): Promise<Result> =>
    pool.do((worker) => worker.run(work), wanted),
};
