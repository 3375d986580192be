import { type JobName, jobs } from './jobs';

/** One job in a thread of the pool. */
export default function run({ name, request }: { readonly name: JobName; readonly request: never }): unknown {
  return jobs[name](request);
}
