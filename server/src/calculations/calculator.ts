import type { Answered, Asked, JobName } from './jobs';

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
