import { afterEach, expect, it } from '@jest/globals';
import { act, cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { getMachines, Refused } from '../api/client.ts';
import { useWorkingOut } from '../state/workingOut.ts';
import { Waiting } from './Trouble.tsx';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
  cleanup();
});

it('a large shop that is being worked out says how far it is, until what was asked for has come', async () => {
  const answers = [
    { ok: false, status: 503, body: { code: 'working-out', details: { done: 1240, of: 4000 }, remedy: '' } },
    { ok: true, status: 200, body: {} },
  ];
  globalThis.fetch = (() => {
    const { ok, status, body } = answers.shift()!;
    return Promise.resolve({ ok, status, json: () => Promise.resolve(body) });
  }) as unknown as typeof fetch;
  render(<Waiting error={null} what="Bench" />);
  expect(screen.getByRole('status').textContent).toBe('Reading the Bench…');
  await act(() => getMachines().catch(() => undefined) as Promise<void>);
  expect(screen.getByRole('status').textContent).toContain('1,240 of 4,000 parts');
  expect(screen.getByRole('progressbar', { name: 'Parts worked out' })).toBeDefined();
  await act(() => getMachines() as Promise<never>);
  expect(screen.getByRole('status').textContent).toBe('Reading the Bench…');
  expect(useWorkingOut.getState().progress).toBeNull();
});

// WCAG 2.4.2 and 1.3.1: a page has a title, and what looks like its heading is one.
it.each([
  ['a whole page', true, 1],
  ['a panel', false, 2],
])('what is not there is said under a heading of its rank: %s', (_, isPage, level) => {
  const gone = new Refused(404, {
    code: 'not-found',
    remedy: 'It may have been put away.',
    details: { what: 'part', id: 'x' },
  });
  document.title = 'before';
  render(
    <MemoryRouter>
      <Waiting isPage={isPage} error={gone} what="part" />
    </MemoryRouter>,
  );
  expect(screen.getByRole('heading', { level }).textContent).toBe('No such part');
  expect(document.title).toBe(isPage ? 'No such part · Calvetta' : 'before');
});
