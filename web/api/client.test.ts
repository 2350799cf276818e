import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { call, Problem } from './client';

type Sent = { address: string; options: RequestInit };

let sent: Sent[];

function answer(...responses: Response[]) {
  vi.stubGlobal('fetch', (address: string, options: RequestInit) => {
    sent.push({ address, options });
    return Promise.resolve(responses.shift() ?? new Response('null'));
  });
}

beforeEach(() => {
  sent = [];
  // biome-ignore lint/suspicious/noDocumentCookie: the token that a served page would have
  document.cookie = 'XSRF-TOKEN=se%3Dcret';
});
afterEach(() => vi.unstubAllGlobals());

describe('speaking to the API', () => {
  it('sends JSON with the token of the page', async () => {
    answer(new Response('{"id":4}'));
    expect(await call('POST', '/shots', { title: 'Mill' })).toEqual({ id: 4 });
    expect(sent[0]?.address).toBe('/api/v1/shots');
    expect(sent[0]?.options.headers).toMatchObject({ 'X-XSRF-TOKEN': 'se=cret' });
    expect(sent[0]?.options.body).toBe('{"title":"Mill"}');
  });

  it('fetches a token first where there is none', async () => {
    // biome-ignore lint/suspicious/noDocumentCookie: as above
    document.cookie = 'XSRF-TOKEN=; expires=Thu, 01 Jan 1970 00:00:00 GMT';
    answer(new Response(null, { status: 204 }), new Response('{}'));
    await call('POST', '/shots', {});
    expect(sent.map((item) => item.address)).toEqual(['/sanctum/csrf-cookie', '/api/v1/shots']);
  });

  it('says so where the connection is cut in the middle of an answer', async () => {
    answer(new Response('{"id":'));
    await expect(call('GET', '/shots/4')).rejects.toBeInstanceOf(Problem);
    answer(new Response('', { status: 202 }));
    expect(await call('POST', '/password', {})).toBeNull();
  });

  it('turns problem details into words with what was expected', async () => {
    const details = {
      type: 'urn:larkspur:problem:refused',
      title: 'No',
      status: 422,
      detail: '0 is out of range.',
      errors: [{ place: 'radius_m', message: '0 is out of range.', expected: '2 to 500 m' }],
    };
    answer(new Response(JSON.stringify(details), { status: 422 }));
    const error = await call('GET', '/x').catch((caught: unknown) => caught);
    expect(error).toBeInstanceOf(Problem);
    expect((error as Problem).words).toBe('0 is out of range. Expected 2 to 500 m.');
    expect((error as Problem).at('radius_m')).toBe('0 is out of range.');
    expect((error as Problem).at('pace_mps')).toBeUndefined();
  });

  it.each([
    ['a page of a broken server', () => new Response('<html>', { status: 502 })],
    ['an empty answer', () => new Response('', { status: 500 })],
  ])('keeps its calm before %s', async (_, response) => {
    answer(response());
    const error = await call('GET', '/x').catch((caught: unknown) => caught);
    expect((error as Problem).words).toContain('Nothing was lost');
  });
});
