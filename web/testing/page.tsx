// Draws a component as a station would: signed in, with a router and a query cache, and pictures of a known size.
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { SessionProvider } from '~/shell/session';
import { aUser } from './records';
import { type Asked, json, serve } from './server';

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
        <RouterProvider router={createMemoryRouter([{ path: '*', element: children }])} />
      </SessionProvider>
    </QueryClientProvider>,
  );
}

type Reply = { status?: number; body: unknown };

/** Answers the API in the given way ("GET /shots", whatever its query, unless one with it is given); keeps what was asked. */
export function answer(replies: Record<string, Reply>): Asked[] {
  return serve(({ method, path }) => {
    const reply = replies[`${method} ${path}`] ?? replies[`${method} ${path.split('?')[0]}`];
    if (reply === undefined) throw new Error(`Nobody answers ${method} ${path}`);
    return json(reply.body, reply.status);
  });
}
