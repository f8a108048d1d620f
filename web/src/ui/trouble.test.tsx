import { afterEach, expect, it } from '@jest/globals';
import { act, render, screen } from '@testing-library/react';
import { getMachines } from '../api/client.ts';
import { useWorkingOut } from '../state/workingOut.ts';
import { Waiting } from './Trouble.tsx';

const real = globalThis.fetch;
afterEach(() => void (globalThis.fetch = real));

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
