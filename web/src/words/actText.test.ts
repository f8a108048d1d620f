import { describe, expect, it } from '@jest/globals';
import type { NextAct } from '@calvetta/core';
import type { PartCard } from '@calvetta/contract';
import { actView } from './actText.ts';

const NOW = Date.parse('2026-11-25T20:00:00Z');
const H = 3_600_000;
const ZONE = 'Europe/London';
const units = {
  kelvin: (k: number | null) => (k === null ? '—' : `+${k.toFixed(1)} K`),
  temp: (c: number | null) => (c === null ? '—' : `${c.toFixed(1)} °C`),
};
const card = (act: NextAct, over: Partial<PartCard> = {}): PartCard =>
  ({
    act,
    next: { name: 'Gloss', sheetId: 'g.1', stepId: 's', dftUm: 45, coatNo: 1, ofCoats: 2 },
    gate: null,
    bare: { prep: 'blasted' },
    ...over,
  }) as PartCard;
const text = (act: NextAct, over: Partial<PartCard> = {}): string =>
  actView(card(act, over), NOW, ZONE, units).text;

describe('the next act in words', () => {
  it('start by, with what is left: 23:20 is 3 h 20 from 20:00', () =>
    expect(
      text({ code: 'coat', startByMs: NOW + 3 * H + 20 * 60_000, shutsMs: NOW + 4 * H, prep: 'none' }),
    ).toBe('Gloss 1 of 2 by 23:20, 3 h 20 left'));
  it('too late is said, never a negative time', () =>
    expect(text({ code: 'coat', startByMs: NOW - 60_000, shutsMs: NOW + H, prep: 'none' })).toContain(
      'too late to finish in time at worst',
    ));
  it('past midnight names the day', () =>
    expect(text({ code: 'coat', startByMs: NOW + 6 * H, shutsMs: NOW + 7 * H, prep: 'scuff' })).toBe(
      'scuff, wipe, then Gloss 1 of 2 by Thu 02:00, 6 h left',
    ));
  it('held: the figure, what is asked, and the predicted fit', () =>
    expect(
      text(
        { code: 'hold', nextFit: { fromMs: NOW + 14 * H, toMs: NOW + 20 * H }, startByMs: null },
        {
          gate: {
            status: 'fail',
            deciding: { kind: 'dew-margin', status: 'fail', value: 0.9, limit: 3, uncertainty: 1, unit: 'K' },
          } as PartCard['gate'],
        },
      ),
    ).toBe('+0.9 K of 3.0 K above dew · fit Thu 10:00–Thu 16:00'));
  it('no fit air in the forecast says what would help', () =>
    expect(text({ code: 'hold', nextFit: null, startByMs: null })).toContain('heat or move it'));
  it('no fresh reading is unknown, and unknown is no pass; its button asks why', () => {
    const view = actView(card({ code: 'read-air' }), NOW, ZONE, units);
    expect(view.text).toBe('no fresh reading: unknown is not a pass');
    expect(view.logs).toBeNull();
  });
  it.each([
    [{ code: 'reblast' } as const, 'stripped'],
    [{ code: 'rephosphate' } as const, 'pretreated'],
    [{ code: 'abrade-again' } as const, 'abraded'],
    [{ code: 'prepare' } as const, 'stripped'],
  ])('%j opens the dialog that logs it', (act, logs) => {
    expect(actView(card(act), NOW, ZONE, units).logs).toBe(logs);
  });
  it('a clock change does not move a moment: 01:30 GMT after BST ends is 01:30', () => {
    const after = Date.parse('2026-10-25T01:30:00Z');
    const view = actView(
      card({ code: 'coat', startByMs: after, shutsMs: after + H, prep: 'none' }),
      after - 2 * H,
      ZONE,
      units,
    );
    expect(view.text).toBe('Gloss 1 of 2 by 01:30, 2 h left');
  });
});
