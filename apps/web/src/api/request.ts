import { takeEarly } from '../start/early';

/** The server's one error shape. */
export interface ApiErrorBody {
  readonly error: {
    readonly code: string;
    readonly field: string;
    readonly message: string;
    readonly allowed: string;
  };
}

/** An answer other than success. A server that cannot be reached throws a TypeError instead. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly body: ApiErrorBody,
  ) {
    super(`${body.error.message} Allowed: ${body.error.allowed}.`);
  }
}

/** Says `sign-in` whenever the server answers that nobody has come in from this device. */
export const refusals = new EventTarget();

/** To be told of every answer that was not a success. */
export function noteRefusal(status: unknown): void {
  if (status === 401) refusals.dispatchEvent(new Event('sign-in'));
}

/** How to ask. */
interface Ask {
  readonly method?: 'GET' | 'POST' | 'PATCH' | 'PUT' | 'DELETE';
  readonly body?: unknown;
}

/** Fetches JSON from our own server. */
export async function requestJson<T>(path: string, ask: Ask = {}): Promise<T> {
  const response = await answered(path, ask);
  return (response.status === 204 ? undefined : await response.json()) as T;
}

/** Fetches a file that our own server makes. */
export async function requestFile(path: string, ask: Ask): Promise<Blob> {
  return (await answered(path, ask)).blob();
}

/** What goes along: a file as it is, all else as JSON. */
function sent(body: unknown): RequestInit {
  if (body === undefined) return {};
  if (body instanceof Blob) return { headers: { 'content-type': body.type }, body };
  return { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
}

/** An answer that is a success. */
async function answered(path: string, { method = 'GET', body }: Ask): Promise<Response> {
  const response = await ((method === 'GET' ? takeEarly(path) : undefined) ??
    fetch(path, { method, ...sent(body) }));
  if (response.ok) return response;
  noteRefusal(response.status);
  const answer: unknown = await response.json().catch(() => null);
  throw new ApiError(response.status, isErrorBody(answer) ? answer : plainError(response.status));
}

/** Whether an answer is in the server's error shape. */
export function isErrorBody(answer: unknown): answer is ApiErrorBody {
  return typeof answer === 'object' && answer !== null && 'error' in answer;
}

function plainError(status: number): ApiErrorBody {
  return {
    error: { code: 'no-answer', field: '', message: `The server answered ${status}.`, allowed: 'try again' },
  };
}
