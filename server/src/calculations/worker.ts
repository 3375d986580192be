import { type JobName, jobs } from './jobs';

/** One job in a thread of the pool. */
export default function run({ name, asked }: { readonly name: JobName; readonly asked: never }): unknown {
  return jobs[name](asked);
}
