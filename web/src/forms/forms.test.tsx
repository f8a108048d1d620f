import { act, cleanup, fireEvent, render, renderHook, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from '@jest/globals';
import { Refused } from '../api/client.ts';
import { AnyOf, OneOf } from '../ui/Toggle.tsx';
import { NumberField } from './fields.tsx';
import { maybe, number, price, quantity, words } from './read.ts';
import { packSizeField } from './readMl.ts';
import { useDraft } from './useDraft.ts';
import { useSave } from './useSave.ts';

afterEach(cleanup);

describe('what is typed', () => {
  it('money in hundredths, with a point or a comma', () => {
    expect(price(100)('24.50')).toEqual({ ok: true, value: 2450 });
    expect(price(100)('24,5')).toEqual({ ok: true, value: 2450 });
    expect(price(100)('-1').ok).toBe(false);
    expect(price(100)('dear').ok).toBe(false);
  });
  it('a number names its range and its unit', () => {
    expect(number('%', 0, 100)('12,5')).toEqual({ ok: true, value: 12.5 });
    expect(number('%', 0, 100)('130')).toEqual({ ok: false, problem: '130 % is outside 0 to 100 %.' });
    expect(number('g', 0, 10)('5 kg').ok).toBe(false);
  });
  it('empty is not known only where that may be', () => {
    expect(maybe(words)('  ')).toEqual({ ok: true, value: null });
    expect(words('  ').ok).toBe(false);
  });
  it('a quart is the legal imperial one, and a bare 4 is asked about', () => {
    const size = quantity(packSizeField('imperial'), 1000);
    const quart = size('1 qt');
    // 1 imperial quart is 1.1365225 L by definition (Weights and Measures Act 1985).
    expect(quart.ok && quart.value).toBeCloseTo(1136.5225, 4);
    expect(size('4')).toMatchObject({ ok: false });
  });
});

const READERS = { size: number('mL', 1, 10), note: maybe(words) };
const draftHook = () => renderHook(() => useDraft(READERS, { size: '', note: '' }));

describe('a form being filled in', () => {
  it('says what is missing only when asked for its values, and stops saying it when the field is touched', () => {
    const { result } = draftHook();
    expect(result.current.bind('size').problem).toBeNull();
    act(() => expect(result.current.read()).toBeNull());
    expect(result.current.bind('size').problem).toContain('Write a number of mL');
    act(() => result.current.bind('size').onChange('2'));
    expect(result.current.bind('size').problem).toBeNull();
    expect(result.current.values).toEqual({ size: 2, note: null });
  });
  it('begins again empty, without a word', () => {
    const { result } = draftHook();
    act(() => result.current.set({ size: '99' }));
    act(() => expect(result.current.read()).toBeNull());
    act(() => result.current.clear());
    expect(result.current.texts.size).toBe('');
    expect(result.current.bind('size').problem).toBeNull();
  });
});

const refusal = new Refused(422, {
  code: 'invalid-input',
  remedy: 'Mend the fields named.',
  details: { problems: [{ field: 'body.ml', code: 'number.max', got: 9, accepts: 'at most 5' }] },
});

describe('storing a form', () => {
  it('a second touch while the first runs stores nothing twice', async () => {
    const { result } = renderHook(useSave);
    let ran = 0;
    let finish: () => void = () => undefined;
    const work = (): Promise<void> => {
      ran += 1;
      return new Promise((r) => (finish = r));
    };
    act(() => result.current.run(work));
    act(() => result.current.run(work));
    expect(ran).toBe(1);
    expect(result.current.isBusy).toBe(true);
    act(finish);
    await waitFor(() => expect(result.current.isBusy).toBe(false));
  });
  it('a refusal stands at its field, and nothing is called done', async () => {
    const { result } = renderHook(useSave);
    let isDone = false;
    act(() =>
      result.current.run(
        () => Promise.reject(refusal),
        () => (isDone = true),
      ),
    );
    await waitFor(() => expect(result.current.trouble).toBe('Mend the fields named.'));
    expect(result.current.problemAt('body.ml')).toBe('9 will not do: at most 5');
    expect(isDone).toBe(false);
  });
  it('any other failure says that nothing typed is lost', async () => {
    const { result } = renderHook(useSave);
    act(() => result.current.run(() => Promise.reject(new TypeError('odd'))));
    await waitFor(() => expect(result.current.trouble).toContain('still here'));
    expect(result.current.refused).toBeNull();
  });
});

describe('what a screen reader is told', () => {
  it('the label is the name, the hint describes, and a problem takes its place', () => {
    const bound = { value: '', problem: null, onChange: () => undefined };
    const { rerender } = render(<NumberField label="Price" hint="such as 24.50" bound={bound} />);
    const input = screen.getByLabelText('Price');
    const note = (): string =>
      document.getElementById(input.getAttribute('aria-describedby') ?? '')?.textContent ?? '';
    expect(note()).toBe('such as 24.50');
    expect(input.getAttribute('aria-invalid')).toBe('false');
    rerender(<NumberField label="Price" hint="such as 24.50" bound={{ ...bound, problem: 'too dear' }} />);
    expect(note()).toBe('too dear');
    expect(input.getAttribute('aria-invalid')).toBe('true');
  });
  it('one of a few stays chosen when it is touched again', () => {
    const given: string[] = [];
    const options = [
      { value: 'a', text: 'gun' },
      { value: 'b', text: 'brush' },
    ];
    render(<OneOf label="Tool" value="a" options={options} onChange={(v) => given.push(v)} />);
    fireEvent.click(screen.getByRole('radio', { name: 'gun' }));
    expect(given).toEqual([]);
    fireEvent.click(screen.getByRole('radio', { name: 'brush' }));
    expect(given).toEqual(['b']);
  });
  it('any of a few: each goes on and off by itself', () => {
    const given: (readonly string[])[] = [];
    const options = [
      { value: 'a', text: 'booth' },
      { value: 'b', text: 'oven' },
    ];
    render(<AnyOf label="The shop has" value={['a']} options={options} onChange={(v) => given.push(v)} />);
    fireEvent.click(screen.getByText('oven'));
    fireEvent.click(screen.getByText('booth'));
    expect(given).toEqual([['a', 'b'], []]);
  });
});
