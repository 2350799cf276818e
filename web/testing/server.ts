// A server for unit tests: what the page asks it is kept, and answered as the test says.
import { vi } from 'vitest';

export type Asked = { method: string; path: string; body: unknown; headers: Headers };

/** @param reply what is answered; an error thrown is a server that can't be reached */
export function serve(reply: (asked: Asked) => Response | Promise<Response>): Asked[] {
  const asked: Asked[] = [];
  // biome-ignore lint/suspicious/noDocumentCookie: the token that a served page would have
  document.cookie = 'XSRF-TOKEN=se%3Dcret';
  vi.stubGlobal('fetch', async (request: Request | string) => {
    const one =
      typeof request === 'string'
        ? { method: 'GET', path: request, body: null, headers: new Headers() }
        : {
            method: request.method,
            path: request.url.replace(`${location.origin}/api/v1`, ''),
            headers: request.headers,
            body: await request.text().then((text) => (text === '' ? null : JSON.parse(text))),
          };
    asked.push(one);
    return reply(one);
  });
  return asked;
}

export const json = (body: unknown, status = 200) =>
  new Response(status === 204 ? null : JSON.stringify(body), { status });

/** A refusal as the server writes it. */
export const refusal = (detail: string, status = 422, place = '') =>
  json(
    {
      type: 'urn:larkspur:problem:refused',
      title: 'No',
      status,
      detail,
      errors: place === '' ? [] : [{ place, message: detail, expected: '' }],
    },
    status,
  );
