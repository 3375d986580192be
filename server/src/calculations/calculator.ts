import type { JobAnswer, JobName, JobRequest } from './jobs';

/** Where calculations are done. */
export abstract class Calculator {
  /** `signal` ends what nobody waits for any more. */
  abstract run<Name extends JobName>(
    name: Name,
    request: JobRequest<Name>,
    signal?: AbortSignal,
  ): Promise<JobAnswer<Name>>;
}
