/** One wrong field, as the server tells it. */
export interface FieldProblem {
  readonly path: string;
  readonly message: string;
}

/** An answer that is not the one hoped for; the message is fit to be shown. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: readonly FieldProblem[] = [],
    /** The record as the server has it, where a write was stale. */
    readonly current: unknown = null,
    /** A record of that id was removed, and can be brought back. */
    readonly isRemoved = false,
  ) {
    super(message);
  }
}

/** With a key the server does it once, however often it is asked. */
export async function call<T>(method: string, path: string, body?: unknown, key?: string): Promise<T> {
  const { response, text } = await send(method, path, body, key);
  const answer = readAnswer(text, response);
  if (response.ok) return answer as T;
  const problem = answer as {
    title?: string;
    detail?: string;
    errors?: FieldProblem[];
    current?: unknown;
    removed?: boolean;
  } | null;
  throw new ApiError(
    response.status,
    problem?.detail ?? problem?.title ?? 'The server could not do that.',
    problem?.errors,
    problem?.current,
    problem?.removed,
  );
}

/** What stands between us and the server may answer in its place, and not in JSON. */
function readAnswer(text: string, { ok }: Response): unknown {
  try {
    return text === '' ? null : JSON.parse(text);
  } catch {
    if (!ok) return null;
    throw new ApiError(0, 'The answer of the server cannot be read.');
  }
}

/** What a browser will still send for a page that is being closed (Fetch standard: 64 KiB in all). */
const sentAtClosing = 60_000;

async function send(
  method: string,
  path: string,
  body: unknown,
  key: string | undefined,
): Promise<{ readonly response: Response; readonly text: string }> {
  const text = body === undefined ? null : JSON.stringify(body);
  try {
    const response = await fetch(`/api/v1${path}`, {
      method,
      headers: {
        ...(text !== null && { 'content-type': 'application/json' }),
        ...(key !== undefined && { 'idempotency-key': key }),
      },
      body: text,
      keepalive: text !== null && text.length < sentAtClosing,
    });
    return { response, text: await response.text() };
  } catch {
    throw new ApiError(0, 'The server does not answer. Is Acorn Tally still running?');
  }
}
