/** One wrong field, as the server tells it. */
export interface FieldError {
  readonly path: string;
  readonly message: string;
}

/** An answer that is not the one hoped for; the message is fit to be shown. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: readonly FieldError[] = [],
    readonly current: unknown = null,
  ) {
    super(message);
  }
}

export async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
  const response = await send(method, path, body);
  const text = await response.text();
  const answer: unknown = text === '' ? null : JSON.parse(text);
  if (response.ok) return answer as T;
  const problem = answer as {
    title?: string;
    detail?: string;
    errors?: FieldError[];
    current?: unknown;
  } | null;
  throw new ApiError(
    response.status,
    problem?.detail ?? problem?.title ?? 'The server could not do that.',
    problem?.errors,
    problem?.current,
  );
}

/** What a browser will still send for a page that is being closed (Fetch standard: 64 KiB in all). */
const sentAtClosing = 60_000;

async function send(method: string, path: string, body: unknown): Promise<Response> {
  const text = body === undefined ? null : JSON.stringify(body);
  try {
    return await fetch(`/api/v1${path}`, {
      method,
      headers: text === null ? {} : { 'content-type': 'application/json' },
      body: text,
      keepalive: text !== null && text.length < sentAtClosing,
    });
  } catch {
    throw new ApiError(0, 'The server does not answer. Is Acorn Tally still running?');
  }
}
