// Speaks to the API: paths, bodies and answers typed by its own description (schema.ts), same-origin cookies, the CSRF token, and problem
// details turned into one kind of error.
import createClient from 'openapi-fetch';
import type { components, paths } from '~/api/schema';

export type Schemas = components['schemas'];
export type Paths = paths;
export type ProblemDetails = Schemas['Problem'];

const BASE = '/api/v1';

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

  /** Whether the server was not reached at all. */
  get isOffline(): boolean {
    return this.details.type === 'urn:larkspur:problem:offline';
  }

  static offline(): Problem {
    return new Problem(0, {
      type: 'urn:larkspur:problem:offline',
      title: 'No connection',
      status: 0,
      detail: 'Larkspur can’t be reached right now. Nothing was lost; try again.',
      errors: [],
    });
  }

  /** An answer that is none: a broken server, or a connection that was cut in the middle of it. */
  static unclear(status: number): Problem {
    return new Problem(status, {
      type: 'urn:larkspur:problem:unreachable',
      title: 'No answer',
      status,
      detail: 'The server gave no clear answer. Nothing was lost; try again.',
      errors: [],
    });
  }

  /** From an answer that is not a success. */
  static in(status: number, text: string): Problem {
    try {
      const body: unknown = JSON.parse(text);
      if (body !== null && typeof body === 'object' && 'detail' in body)
        return new Problem(status, body as ProblemDetails);
    } catch {
      // No problem details: told below.
    }
    return Problem.unclear(status);
  }

  /** Message for one field of a form, if the server named it. */
  at(place: string): string | undefined {
    return this.details.errors.find((error) => error.place === place)?.message;
  }

  /** The whole of it in one or two sentences. */
  get words(): string {
    const first = this.details.errors[0];
    const expected = first?.expected ? ` Expected ${first.expected}.` : '';
    // Where the fault is not theirs: the number by which it is found.
    const number = this.status >= 500 && this.details.request ? ` (No. ${this.details.request})` : '';
    return `${this.details.detail}${expected}${number}`;
  }
}

function token(): string {
  const match = document.cookie.match(/(?:^|; )XSRF-TOKEN=([^;]+)/);
  return match?.[1] === undefined ? '' : decodeURIComponent(match[1]);
}

async function fetchToken(): Promise<void> {
  await fetch('/sanctum/csrf-cookie', { credentials: 'same-origin' });
}

const given = (error: unknown) => error instanceof DOMException && error.name === 'AbortError';

/** Sends a request; what does not come back, or is no success, is a Problem. */
async function send(request: Request): Promise<Response> {
  // With the token at hand nothing is awaited before the request: it leaves before the page draws what asked for it.
  // The cookies lie in another process: they are read once.
  let csrf = token();
  if (request.method !== 'GET' && csrf === '') {
    await fetchToken();
    csrf = token();
  }
  request.headers.set('Accept', 'application/json');
  request.headers.set('X-XSRF-TOKEN', csrf);
  let response: Response;
  try {
    response = await fetch(request);
  } catch (error) {
    throw given(error) ? error : Problem.offline();
  }
  if (response.ok) return response;
  throw Problem.in(response.status, await response.text().catch(() => ''));
}

/** The API's paths as they are described: a wrong path, parameter or body does not compile. */
export const api = createClient<paths>({ baseUrl: `${location.origin}${BASE}`, fetch: send });

/** What a request is answered with; rejects with a Problem. */
export async function answered<T>(request: Promise<{ data?: T }>): Promise<Exclude<T, undefined>> {
  try {
    return ((await request).data ?? null) as Exclude<T, undefined>;
  } catch (error) {
    // An answer that can't be read was cut in the middle.
    throw error instanceof Problem || given(error) ? error : Problem.unclear(599);
  }
}

/** Paths that a file can be sent to. */
type Uploads = {
  [P in keyof paths]: paths[P] extends {
    post: { requestBody: { content: { 'multipart/form-data': unknown } } };
  }
    ? P
    : never;
}[keyof paths];

type Uploaded<P extends Uploads> = paths[P] extends { post: { responses: infer R } }
  ? { [S in keyof R]: S extends 200 | 201 | 202 ? Json<R[S]> : never }[keyof R]
  : never;

type Json<R> = R extends { content: { 'application/json': infer J } } ? J : never;

/** Sends a file with its progress, 0 to 1; fetch can't tell how much has gone. */
export async function upload<P extends Uploads>(
  path: P,
  form: FormData,
  onProgress: (share: number) => void,
  within: Record<string, string | number> = {},
): Promise<Uploaded<P>> {
  if (token() === '') {
    await fetchToken();
  }
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', `${BASE}${path.replace(/\{(\w+)\}/g, (_, name) => String(within[name]))}`);
    request.setRequestHeader('Accept', 'application/json');
    request.setRequestHeader('X-XSRF-TOKEN', token());
    request.upload.onprogress = (event) => onProgress(event.total > 0 ? event.loaded / event.total : 0);
    request.onload = () => {
      if (request.status >= 200 && request.status < 300) {
        resolve(JSON.parse(request.responseText) as Uploaded<P>);
      } else {
        reject(Problem.in(request.status, request.responseText));
      }
    };
    request.onerror = () => reject(Problem.unclear(599));
    request.send(form);
  });
}
