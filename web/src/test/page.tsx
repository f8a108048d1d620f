import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { usePrefs } from '../state/prefs.ts';

/** For tests only: a part of a page with answers of the server given beforehand, and what it sends written down. */
export interface Sent {
  readonly url: string;
  readonly method: string;
  readonly body: any;
}
export function drawPage(
  children: ReactNode,
  answers: readonly (readonly [readonly unknown[], unknown])[] = [],
): {
  readonly sent: Sent[];
  readonly container: HTMLElement;
  readonly client: QueryClient;
  readonly unmount: () => void;
} {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity, retry: false } } });
  for (const [key, value] of answers) client.setQueryData([...key], value);
  // Somebody holds the device, as after its first entry.
  usePrefs.setState({ personId: 'ines' });
  const sent: Sent[] = [];
  globalThis.fetch = ((url: string, init?: RequestInit) => {
    sent.push({
      url,
      method: init?.method ?? 'GET',
      body: typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : null,
    });
    // What is asked again finds nobody: the answers given beforehand stay.
    const isAsked = init?.method === undefined || init.method === 'GET';
    return Promise.resolve(
      isAsked
        ? { ok: false, status: 503, json: () => Promise.resolve(null) }
        : { ok: true, status: 201, json: () => Promise.resolve({}) },
    );
  }) as unknown as typeof fetch;
  const { container, unmount } = render(
    <QueryClientProvider client={client}>
      <MemoryRouter>{children}</MemoryRouter>
    </QueryClientProvider>,
  );
  return { sent, container, client, unmount };
}
export const SHOP = {
  workshopId: 'w',
  name: 'Works',
  zone: 'UTC',
  volumeSystem: 'imperial',
  people: [{ personId: 'ines', name: 'Ines', version: 1, isAway: false }],
  places: [],
  probes: [],
  gauges: [],
};
