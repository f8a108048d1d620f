import { describe, expect, it } from '@jest/globals';
import { doneWords } from './planWords.ts';

// Thursday 5 March 2026; days of the week by the calendar, London an hour ahead from 29 March on.
const clock = { nowMs: Date.parse('2026-03-05T18:45:00Z'), zone: 'Europe/London' };
const done = (iso: string): string => doneWords(Date.parse(iso), clock);

describe('when a plan has a machine done', () => {
  it('is an hour in the days that are sure, and a day after that', () => {
    expect(done('2026-03-05T21:40:00Z')).toBe('today 21:40');
    expect(done('2026-03-07T09:30:00Z')).toBe('Sat 7 Mar 09:30');
    expect(done('2026-06-08T06:27:00Z')).toBe('Mon 8 Jun');
    // Half past midnight in London.
    expect(done('2026-06-08T23:30:00Z')).toBe('Tue 9 Jun');
  });
});
