import { afterEach, beforeEach, expect, it } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, waitFor } from '@testing-library/react';
import { record, useOutbox } from '../record/outbox.ts';
import { readingWrite } from '../record/write.ts';
import { useLive } from './queries.ts';

const before = { fetch: globalThis.fetch, EventSource: globalThis.EventSource };
/** A line that never says anything: what sends here is the device's own word. */
class Silent {
  onmessage = null;
  onopen = null;
  close(): void {}
}
const net = { isThere: false, posted: [] as string[] };

beforeEach(() => {
  Object.assign(net, { isThere: false, posted: [] });
  Object.assign(globalThis, {
    EventSource: Silent,
    fetch: (path: string, init?: RequestInit) => {
      if (!net.isThere) return Promise.reject(new TypeError('Failed to fetch'));
      if (init?.method === 'POST') net.posted.push(path);
      return Promise.resolve({
        ok: true,
        status: 201,
        headers: new Headers(),
        json: () => Promise.resolve({}),
      });
    },
  });
});
afterEach(() => {
  cleanup();
  Object.assign(globalThis, before);
});

function Page() {
  useLive();
  return null;
}

it('what waits on the device goes out when the device says that the network is back, and not only at the next round', async () => {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Page />
    </QueryClientProvider>,
  );
  const write = readingWrite('shed', { at: '2026-03-05T18:00:00Z', airC: 12, rhPct: 60 });
  expect(await record(write)).toEqual({ kind: 'waits' });
  net.isThere = true;
  expect(net.posted).toEqual([]);
  dispatchEvent(new Event('online'));
  // A round is every five seconds; the default patience here is one.
  await waitFor(() => expect(net.posted).toEqual(['/api/places/shed/readings']));
  await waitFor(() => expect(useOutbox.getState().waiting).toEqual([]));
});
