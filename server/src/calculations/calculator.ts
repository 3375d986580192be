import { type Answered, type Asked, type JobName, jobs } from './jobs';

/** Where calculations are done. */
export abstract class Calculator {
  /** `signal` ends what nobody waits for any more. */
  abstract run<Name extends JobName>(
    name: Name,
    asked: Asked<Name>,
    signal?: AbortSignal,
  ): Promise<Answered<Name>>;
  abstract close(): Promise<void>;
}

/** In the thread that asks: for tests, and for what fills the example. */
export class InThisThread extends Calculator {
  async run<Name extends JobName>(name: Name, asked: Asked<Name>): Promise<Answered<Name>> {
    return jobs[name](asked as never) as Answered<Name>;
  }

  async close(): Promise<void> {}
}
