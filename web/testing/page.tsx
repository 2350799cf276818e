// Draws a component as a station would: signed in, with a router and a query cache, and pictures of a known size.
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { SessionProvider } from '~/shell/session';
import { aUser } from './records';

/** jsdom lays nothing out: every element is as large as this. */
export function giveSize(width: number, height: number): void {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  );
  Object.defineProperty(HTMLElement.prototype, 'clientWidth', { value: width, configurable: true });
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', { value: height, configurable: true });
}

export function draw(children: ReactNode, user: Partial<Schemas['User']> = {}) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return render(
    <QueryClientProvider client={client}>
      <SessionProvider user={aUser(user)}>
        <MemoryRouter>{children}</MemoryRouter>
      </SessionProvider>
    </QueryClientProvider>,
  );
}

type Reply = { status?: number; body: unknown };

/** Answers the API in the given way; what was asked is kept. */
export function answer(replies: Record<string, Reply>): { method: string; path: string; body: unknown }[] {
  const asked: { method: string; path: string; body: unknown }[] = [];
  // biome-ignore lint/suspicious/noDocumentCookie: the token that a served page would have
  document.cookie = 'XSRF-TOKEN=token';
  vi.stubGlobal('fetch', async (path: string, options: { method?: string; body?: string | null } = {}) => {
    const method = options.method ?? 'GET';
    asked.push({ method, path, body: options.body == null ? null : JSON.parse(options.body) });
    const reply = replies[`${method} ${path.replace('/api/v1', '')}`];
    if (reply === undefined) throw new Error(`Nobody answers ${method} ${path}`);
    return new Response(JSON.stringify(reply.body), { status: reply.status ?? 200 });
  });
  return asked;
}
