import type { ErrorBody } from '@calvetta/contract';
import { describe, expect, it } from '@jest/globals';
import { Refused } from '../api/client.ts';
import { parseQuantity } from '@calvetta/core';
import { failureWords } from '../forms/failureWords.ts';
import { problemAt, refusalWords } from '../record/refusal.ts';

const air = {
  field: 'Air',
  dimension: 'temperature',
  bareUnit: 'C',
  otherUnit: 'F',
  min: -40,
  max: 50,
  plausibleMin: -25,
  plausibleMax: 45,
} as const;
const words = (text: string): string => {
  const r = parseQuantity(text, air);
  return r.ok ? '' : failureWords(r.error);
};

describe('why a typed value will not do', () => {
  it('asks which unit a bare 62 is in', () => {
    expect(words('62')).toContain('62');
    expect(words('62')).toMatch(/°?F/);
  });
  it('names the range for −300', () => expect(words('-300')).toMatch(/-40|−40/));
  it('shows what can be read for text', () => expect(words('warm')).toMatch(/12|such as|72 F/));
});

describe('why the server refused', () => {
  const refusal = (details: Record<string, unknown>, code: ErrorBody['code'] = 'coat-refused') =>
    new Refused(422, { code, details, remedy: 'Give a time that has passed.' } as ErrorBody);
  it('a lift band is named, with the next act', () =>
    expect(refusalWords(refusal({ why: 'lift', act: { code: 'wait-out-lift' } }))).toBe(
      'Refused: it stands in its lift band: the new coat would lift the one below. Next act: wait. If it was done all the same, say why and it is recorded so.',
    ));
  it('a gate that is no clear pass asks for the reason', () =>
    expect(refusalWords(refusal({ why: 'held' }))).toContain('not a clear pass'));
  it('any other refusal gives its remedy', () =>
    expect(refusalWords(refusal({}, 'in-the-future'))).toBe('Give a time that has passed.'));
  it('finds the problem of one field', () => {
    const e = refusal(
      { problems: [{ field: 'body.dftUm', code: 'number.max', got: 5000, accepts: 'at most 2000' }] },
      'invalid-input',
    );
    expect(problemAt(e, 'body.dftUm')).toBe('5000 will not do: at most 2000');
    expect(problemAt(e, 'body.sheetId')).toBeNull();
  });
});
