import { expect, it } from '@jest/globals';
import { act, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { ScreenGuard } from '../shell/ScreenGuard.tsx';
import { chunk } from './chunk.tsx';

const View = ({ word }: { readonly word: string }) => <p>come: {word}</p>;
const settled = (): Promise<void> => act(() => Promise.resolve());

it('shows what waits, then what has come; the next time it is there at once', async () => {
  let asked = 0;
  const Late = chunk(() => Promise.resolve((asked++, { default: View })), <p>Opening…</p>);
  const first = render(<Late word="tank" />);
  expect(screen.getByText('Opening…')).toBeDefined();
  await settled();
  expect(screen.getByText('come: tank')).toBeDefined();
  first.unmount();
  render(<Late word="frame" />);
  expect(screen.getByText('come: frame')).toBeDefined();
  expect(asked).toBe(1);
});

it('asked for beforehand it needs no waiting', async () => {
  const Late = chunk(() => Promise.resolve({ default: View }), <p>Opening…</p>);
  Late.preload();
  await settled();
  render(<Late word="tank" />);
  expect(screen.queryByText('Opening…')).toBeNull();
});

it('a file that failed to come goes to the guard, and is asked for again when somebody tries again', async () => {
  let isAway = true;
  const Late = chunk<{ readonly word: string }>(() =>
    isAway ? Promise.reject(new Error('no answer')) : Promise.resolve({ default: View }),
  );
  // React says every caught error on the console.
  const loud = console.error;
  console.error = () => undefined;
  try {
    const Page = () => {
      const [n] = useState('tank');
      return (
        <ScreenGuard>
          <Late word={n} />
        </ScreenGuard>
      );
    };
    render(<Page />);
    await settled();
    expect(screen.getByRole('alert').textContent).toContain('This screen did not come');
    expect(screen.getByRole('button', { name: 'Load the page anew' })).toBeDefined();
  } finally {
    console.error = loud;
  }
  isAway = false;
  act(() => screen.getByRole('button', { name: 'Try again' }).click());
  await settled();
  expect(screen.getByText('come: tank')).toBeDefined();
});
