import { availableParallelism } from 'node:os';
import type { OnModuleDestroy } from '@nestjs/common';
import Piscina from 'piscina';
import { Calculator } from './calculator';
import { CalculatorBusy } from './errors';
import type { JobAnswer, JobName, JobRequest } from './jobs';

/** An estimate with more draws takes seconds too. */
const maxShortDraws = 1024;
const longJobs: ReadonlySet<JobName> = new Set(['calibrations', 'swapPlans']);

/** What takes seconds has threads and a queue of its own, so that what takes a blink never waits behind it. */
function isLong(name: JobName, request: object): boolean {
  return longJobs.has(name) || ('draws' in request && Number(request.draws) > maxShortDraws);
}

/** So many wait at most; who comes then is request to come again. */
const maxWaiting = 6;
/** The work of a plan or a fit is bounded by counts; what takes so much longer than that has lost its way, and its thread goes with it. */
const maxMs = { short: 20_000, long: 120_000 } as const;
const retryAfterS = 10;

/** In threads beside the one that answers: however much is computed, records and health are answered meanwhile. */
export class ThreadPool extends Calculator implements OnModuleDestroy {
  private readonly pools: Readonly<Record<keyof typeof maxMs, Piscina>>;
  private isClosing = false;

  constructor(workerFile: string) {
    super();
    const pool = (minThreads: number) =>
      new Piscina({
        filename: workerFile,
        minThreads,
        maxThreads: Math.max(1, availableParallelism() - 1),
        idleTimeout: 60_000,
        maxQueue: maxWaiting,
      });
    // What takes seconds does not mind that its thread begins with it.
    this.pools = { short: pool(1), long: pool(0) };
  }

  async run<Name extends JobName>(
    name: Name,
    request: JobRequest<Name>,
    signal?: AbortSignal,
  ): Promise<JobAnswer<Name>> {
    const kind = isLong(name, request) ? 'long' : 'short';
    const pool = this.pools[kind];
    if (pool.queueSize >= maxWaiting)
      throw new CalculatorBusy('Others are waiting for their answers already.', retryAfterS);
    const late = AbortSignal.timeout(maxMs[kind] * (pool.queueSize + 1));
    try {
      return await pool.run({ name, request }, { signal: signal ? AbortSignal.any([signal, late]) : late });
    } catch (error) {
      if (this.isClosing) throw new CalculatorBusy('The server is being stopped.', retryAfterS);
      if (late.aborted) throw new CalculatorBusy('This took longer than anything may.', retryAfterS);
      throw error;
    }
  }

  /** Before the connections are closed, so that who still waits is told. */
  async onModuleDestroy(): Promise<void> {
    this.isClosing = true;
    await Promise.all([this.pools.short.destroy(), this.pools.long.destroy()]);
  }
}
