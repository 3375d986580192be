import { availableParallelism } from 'node:os';
import Piscina from 'piscina';
import { busy } from '../http/problem';
import { Calculator } from './calculator';
import type { Answered, Asked, JobName } from './jobs';

/** The heaviest that is allowed takes some six seconds: so many wait as are done in half a minute, who comes then is asked to come again. */
const mostWaiting = 6;
/** What takes so long has lost its way, and its thread goes with it. */
const longestMs = 30_000;
const retryAfterS = 10;

/** In threads beside the one that answers: however much is reckoned, records and health are answered meanwhile. */
export class InPool extends Calculator {
  private readonly pool: Piscina;
  private isClosing = false;

  constructor(worker: URL) {
    super();
    this.pool = new Piscina({
      filename: worker.href,
      minThreads: 1,
      maxThreads: Math.max(1, availableParallelism() - 1),
      idleTimeout: 60_000,
      maxQueue: mostWaiting,
    });
  }

  async run<Name extends JobName>(
    name: Name,
    asked: Asked<Name>,
    signal?: AbortSignal,
  ): Promise<Answered<Name>> {
    if (this.pool.queueSize >= mostWaiting)
      throw busy('Others are waiting for their answers already.', retryAfterS);
    const late = AbortSignal.timeout(longestMs * (this.pool.queueSize + 1));
    try {
      return await this.pool.run(
        { name, asked },
        { signal: signal ? AbortSignal.any([signal, late]) : late },
      );
    } catch (error) {
      if (this.isClosing) throw busy('The server is being stopped.', retryAfterS);
      if (late.aborted) throw busy('This took longer than anything may.', retryAfterS);
      throw error;
    }
  }

  async close(): Promise<void> {
    this.isClosing = true;
    await this.pool.destroy();
  }
}
