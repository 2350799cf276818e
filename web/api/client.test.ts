import { afterEach, describe, expect, it, vi } from 'vitest';
import { json, serve } from '~/testing/server';
import { answered, api, Problem } from './client';

afterEach(() => vi.unstubAllGlobals());

const aShot = () => answered(api.GET('/shots/{shot}', { params: { path: { shot: 4 } } }));
const forgotten = () => answered(api.POST('/password/forgot', { body: { email: 'ines@skerrow.example' } }));

describe('speaking to the API', () => {
  it('sends JSON with the token of the page', async () => {
    const asked = serve(() => json({ id: 4 }));
    expect(await aShot()).toEqual({ id: 4 });
    await forgotten();
    expect(asked.map((one) => `${one.method} ${one.path}`)).toEqual([
      'GET /shots/4',
      'POST /password/forgot',
    ]);
    expect(asked[1]?.headers.get('X-XSRF-TOKEN')).toBe('se=cret');
    expect(asked[1]?.headers.get('Accept')).toBe('application/json');
    expect(asked[1]?.body).toEqual({ email: 'ines@skerrow.example' });
  });

  it('leaves out of an address what is not asked for', async () => {
    const asked = serve(() => json([]));
    await answered(api.GET('/shots', { params: { query: { operator: undefined, find: 'the stack & co' } } }));
    expect(asked[0]?.path).toBe('/shots?find=the%20stack%20%26%20co');
  });

  it('fetches a token first where there is none', async () => {
    const asked = serve(() => new Response(null, { status: 204 }));
    // biome-ignore lint/suspicious/noDocumentCookie: a page that was served without one
    document.cookie = 'XSRF-TOKEN=; expires=Thu, 01 Jan 1970 00:00:00 GMT';
    await forgotten();
    expect(asked.map((one) => one.path)).toEqual(['/sanctum/csrf-cookie', '/password/forgot']);
  });

  it('says so where the connection is cut in the middle of an answer', async () => {
    serve(() => new Response('{"id":'));
    await expect(aShot()).rejects.toBeInstanceOf(Problem);
    serve(() => new Response('', { status: 202 }));
    expect(await forgotten()).toBeNull();
  });

  it('says that nothing was lost where nobody answers', async () => {
    serve(() => {
      throw new TypeError('no network');
    });
    const error = await aShot().catch((caught: unknown) => caught);
    expect((error as Problem).status).toBe(0);
    expect((error as Problem).words).toContain('Nothing was lost');
  });

  it('passes on that a question was given up', async () => {
    serve(() => {
      throw new DOMException('gone', 'AbortError');
    });
    await expect(aShot()).rejects.not.toBeInstanceOf(Problem);
  });

  it('turns problem details into words with what was expected', async () => {
    serve(() =>
      json(
        {
          type: 'urn:larkspur:problem:refused',
          title: 'No',
          status: 422,
          detail: '0 is out of range.',
          errors: [{ place: 'radius_m', message: '0 is out of range.', expected: '2 to 500 m' }],
        },
        422,
      ),
    );
    const error = await aShot().catch((caught: unknown) => caught);
    expect(error).toBeInstanceOf(Problem);
    expect((error as Problem).words).toBe('0 is out of range. Expected 2 to 500 m.');
    expect((error as Problem).at('radius_m')).toBe('0 is out of range.');
    expect((error as Problem).at('pace_mps')).toBeUndefined();
  });

  it.each([
    ['a page of a broken server', () => new Response('<html>', { status: 502 })],
    ['an empty answer', () => new Response('', { status: 500 })],
  ])('keeps its calm before %s', async (_, response) => {
    serve(response);
    const error = await aShot().catch((caught: unknown) => caught);
    expect((error as Problem).words).toContain('Nothing was lost');
  });
});
