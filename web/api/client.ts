// Speaks to the API: same-origin cookies, the CSRF token, and problem details turned into one kind of error.
import type { components } from '~/api/schema';

export type Schemas = components['schemas'];
export type ProblemDetails = Schemas['Problem'];

/** What the server said was wrong, in its own words. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly details: ProblemDetails,
  ) {
    super(details.detail);
  }

  /** Something that went wrong on the page itself. */
  static unforeseen(): Problem {
    return new Problem(0, {
      type: 'urn:larkspur:problem:page',
      title: 'Something broke here',
      status: 0,
      detail: 'Something broke on this page. What you entered is still here; try again.',
      errors: [],
    });
  }

  /** Message for one field of a form, if the server named it. */
  at(place: string): string | undefined {
    return this.details.errors.find((error) => error.place === place)?.message;
  }

  /** The whole of it in one or two sentences. */
  get words(): string {
    const first = this.details.errors[0];
    const expected = first?.expected ? ` Expected ${first.expected}.` : '';
    return `${this.details.detail}${expected}`;
  }
}

function token(): string {
  const match = document.cookie.match(/(?:^|; )XSRF-TOKEN=([^;]+)/);
  return match?.[1] === undefined ? '' : decodeURIComponent(match[1]);
}

async function fetchToken(): Promise<void> {
  await fetch('/sanctum/csrf-cookie', { credentials: 'same-origin' });
}

async function problemOf(response: Response): Promise<Problem> {
  const body: unknown = await response.json().catch(() => null);
  if (body !== null && typeof body === 'object' && 'detail' in body) {
    return new Problem(response.status, body as ProblemDetails);
  }
  return new Problem(response.status, {
    type: 'urn:larkspur:problem:unreachable',
    title: 'No answer',
    status: response.status,
    detail: 'The server gave no clear answer. Nothing was lost; try again.',
    errors: [],
  });
}

/** One request; resolves with the decoded body, rejects with a Problem. */
export async function call<T>(
  method: string,
  path: string,
  body?: unknown,
  signal?: AbortSignal,
): Promise<T> {
  // With the token at hand nothing is awaited before the request: it leaves before the page draws what asked for it.
  // The cookies lie in another process: they are read once.
  let csrf = token();
  if (method !== 'GET' && csrf === '') {
    await fetchToken();
    csrf = token();
  }
  const form = body instanceof FormData;
  const headers: Record<string, string> = { Accept: 'application/json', 'X-XSRF-TOKEN': csrf };
  if (body !== undefined && !form) {
    headers['Content-Type'] = 'application/json';
  }
  let response: Response;
  try {
    response = await fetch(`/api/v1${path}`, {
      method,
      headers,
      body: body === undefined ? null : form ? body : JSON.stringify(body),
      credentials: 'same-origin',
      signal: signal ?? null,
    });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') {
      throw error;
    }
    throw new Problem(0, {
      type: 'urn:larkspur:problem:offline',
      title: 'No connection',
      status: 0,
      detail: 'Larkspur can’t be reached right now. Nothing was lost; try again.',
      errors: [],
    });
  }
  if (!response.ok) {
    throw await problemOf(response);
  }
  try {
    const text = await response.text();
    return (text === '' ? null : JSON.parse(text)) as T;
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') {
      throw error;
    }
    // The connection was cut in the middle of the answer.
    throw await problemOf(new Response('', { status: 599 }));
  }
}

/** Sends a file with its progress, 0 to 1; fetch can't tell how much has gone. */
export async function upload<T>(
  path: string,
  form: FormData,
  onProgress: (share: number) => void,
): Promise<T> {
  if (token() === '') {
    await fetchToken();
  }
  return new Promise<T>((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', `/api/v1${path}`);
    request.setRequestHeader('Accept', 'application/json');
    request.setRequestHeader('X-XSRF-TOKEN', token());
    request.upload.onprogress = (event) => onProgress(event.total > 0 ? event.loaded / event.total : 0);
    request.onload = () => {
      if (request.status >= 200 && request.status < 300) {
        resolve(JSON.parse(request.responseText) as T);
      } else {
        problemOf(new Response(request.responseText, { status: request.status })).then(reject);
      }
    };
    request.onerror = () => problemOf(new Response('', { status: 599 })).then(reject);
    request.send(form);
  });
}
