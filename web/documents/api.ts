import { noteServed } from '../offline/build';
import { noteReach } from '../offline/reach';
import { compareClocks } from '../ui/clock';
import { noteSignedOut } from './signedOut';

/** An error the server explained, as problem details; `status` 0: it did not answer. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fields: readonly { field: string; message: string }[] = [],
    readonly current: unknown = null,
  ) {
    super(message);
    this.name = 'ApiError';
  }
}

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** One call to the API. Fails with an ApiError whose message can be shown as it is. */
export async function request<T>(
  method: Method,
  path: string,
  body?: unknown,
  keepalive = false,
): Promise<T> {
  let response: Response;
  const sent = Date.now();
  // What writes says that it is JSON, even where there is nothing to say: another page's form cannot.
  const json = method === 'POST' || method === 'PUT' ? JSON.stringify(body ?? {}) : undefined;
  try {
    response = await fetch(path, {
      method,
      keepalive,
      ...(json === undefined ? {} : { body: json, headers: { 'content-type': 'application/json' } }),
    });
  } catch {
    noteReach(false);
    throw new ApiError(0, 'The server does not answer. Is it running?');
  }
  noteReach(true);
  noteServed(response.headers.get('x-tally-build'));
  const serverNow = Number(response.headers.get('x-tally-now') ?? NaN);
  compareClocks(serverNow, (sent + Date.now()) / 2);
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return answer as T;
  const refusal = explained(response.status, answer);
  // Whoever only has to sign in again loses nothing: it waits on the device, as it does without a network.
  if (refusal.status === 401 && !signInPaths.test(path)) {
    noteSignedOut(true);
    throw new ApiError(0, 'Nobody is signed in on this device.');
  }
  throw refusal;
}
const signInPaths = /^\/api\/(sign-in|passkey-sign-in|recover)$/;

/** What the server said of a refusal. */
function explained(status: number, answer: unknown): ApiError {
  const problem = (answer ?? {}) as {
    detail?: string;
    errors?: { field: string; message: string }[];
    current?: unknown;
  };
  return new ApiError(
    status,
    problem.detail ?? 'The server gave an answer that cannot be read.',
    problem.errors ?? [],
    problem.current ?? null,
  );
}

/** Reads what the server has; where it does not answer, what is carried on this device. */
export async function get<T>(path: string): Promise<T> {
  try {
    return await request<T>('GET', path);
  } catch (error) {
    if (!(error instanceof ApiError) || error.status !== 0) throw error;
    const { carriedAnswer } = await import('../offline/carried');
    const carried = await carriedAnswer(path);
    if (carried === undefined) throw error;
    return carried as T;
  }
}

/** A file that the server makes of what is sent. */
export async function requestFile(path: string, body: unknown): Promise<Blob> {
  const response = await fetch(path, {
    method: 'POST',
    body: JSON.stringify(body),
    headers: { 'content-type': 'application/json' },
  }).catch(() => {
    throw new ApiError(0, 'The server does not answer. Is it running?');
  });
  if (response.ok) return response.blob();
  throw explained(response.status, await response.json().catch(() => null));
}
