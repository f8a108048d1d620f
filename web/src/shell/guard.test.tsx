import { describe, expect, it, jest } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import { RAIL, SCREENS } from '../screens.ts';
import { ScreenGuard } from './ScreenGuard.tsx';

describe('screens', () => {
  it('each has an address of its own, each rail letter is used once, and the rail leads to plain addresses', () => {
    expect(new Set(SCREENS.map((s) => s.path)).size).toBe(SCREENS.length);
    expect(new Set(RAIL.map((r) => r.key)).size).toBe(RAIL.length);
    expect(RAIL.map((r) => r.to)).toEqual([
      '/',
      '/machines',
      '/plan',
      '/mix',
      '/shelf',
      '/inspect',
      '/aftercare',
      '/ledger',
      '/air',
      '/reference',
      '/settings',
    ]);
  });
  it('one that breaks says so and can be tried again; what stands beside it stays', () => {
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    let isBroken = true;
    const Fragile = () => {
      if (isBroken) throw new Error('no such figure');
      return <p>all well</p>;
    };
    render(
      <>
        <p>the rail</p>
        <ScreenGuard>
          <Fragile />
        </ScreenGuard>
      </>,
    );
    expect(screen.getByRole('alert').textContent).toContain('no such figure');
    expect(screen.getByText('the rail')).toBeTruthy();
    isBroken = false;
    fireEvent.click(screen.getByText('Try again'));
    expect(screen.getByText('all well')).toBeTruthy();
    quiet.mockRestore();
  });
});
