import {
  DamagedRecord,
  DatabaseUnavailable,
  IdTaken,
  InUse,
  KeyUsedAgain,
  NeedsFirst,
  NoSuchRecord,
  NothingThere,
  StaleWrite,
  type StoreError,
} from '../database/errors';
import { invalid, type Problem, problem } from './problem';

/** What the store could not do, as an answer. */
export function problemOfStore(error: StoreError): Problem | null {
  const detail = error.message;
  const answer = (slug: string, title: string, status: number, more: object = {}) =>
    problem(slug, title, status, { detail, ...more }).problem;
  if (error instanceof NoSuchRecord) return answer('missing', `There is no such ${error.noun}.`, 404);
  if (error instanceof StaleWrite)
    return answer('stale', `This ${error.noun} was changed meanwhile.`, 409, { current: error.current });
  if (error instanceof IdTaken)
    return answer('id-taken', `This ${error.noun} is there already.`, 409, {
      current: error.current,
      ...(error.isRemoved && { removed: true }),
    });
  if (error instanceof InUse)
    return answer('in-use', `This ${error.noun} is used elsewhere.`, 409, { users: error.users });
  if (error instanceof NothingThere)
    return invalid(error.ids.map((id) => ({ path: error.field, message: detail, received: id }))).problem;
  if (error instanceof NeedsFirst)
    return answer('needs-first', `This ${error.noun} cannot come back yet.`, 409);
  if (error instanceof KeyUsedAgain) return answer('key-used', 'The key was used before.', 422);
  if (error instanceof DamagedRecord)
    return answer('damaged', `This ${error.noun} cannot be read.`, 422, { complaints: error.complaints });
  if (error instanceof DatabaseUnavailable)
    return answer('database', 'Nothing can be kept or read just now.', 503, { retryAfterS: 30 });
  return null;
}
