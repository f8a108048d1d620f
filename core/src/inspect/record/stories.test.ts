import { describe, expect, it } from '@jest/globals';
import { MINUTE_MS } from '../../base/time.ts';
import type { Fact } from '../../facts/part.ts';
import { steady } from '../../test/build.ts';
import type { CardResult } from '../cards.ts';
import type { EvidenceCode } from '../faults/ids.ts';
import { weigh } from '../faults/weigh.ts';
import { cannotBe, evidenceWith, recordSays, weighable, type Answered } from './evidence.ts';
import {
  EPOXY,
  finish,
  read,
  twoCoats,
  overEpoxy,
  thick,
  recordOf,
  type Recorded,
  type Story,
} from './test/build.ts';
import { FILM_STORIES } from './test/filmStories.ts';
import { METAL_STORIES } from './test/metalStories.ts';

const STORIES = [...FILM_STORIES, ...METAL_STORIES];

function told(s: Story) {
  const record = recordOf(s.record ?? {});
  const answers = Object.entries(s.answers ?? {}).map(([code, says]) => ({ code, says }) as Answered);
  const list = evidenceWith(recordSays(record), answers);
  const w = weigh({
    faults: [s.fault],
    evidence: weighable(list),
    cannotBe: cannotBe(record),
    seenAfter: s.seenAfter ?? null,
  });
  return { record, list, w };
}

describe('fault stories', () => {
  it('there are sixty and more', () => expect(STORIES.length).toBeGreaterThanOrEqual(60));
  it.each(STORIES.map((s) => [s.says, s] as const))('%s', (_, s) => {
    const { w } = told(s);
    expect(w.causes.slice(0, 2).map((c) => c.causeId)).toContain(s.cause);
  });
  it('nine in ten come first', () => {
    const first = STORIES.filter((s) => told(s).w.causes[0]!.causeId === s.cause);
    expect(first.length / STORIES.length).toBeGreaterThanOrEqual(0.9);
  });
});

describe('what the record says', () => {
  const says = (r: Recorded, code: EvidenceCode) =>
    recordSays(recordOf(r)).find((e) => e.code === code) ?? null;
  it('with the figure it rests on', () => {
    expect(says({ coats: twoCoats(4 / 60) }, 'gap-short')).toMatchObject({
      says: 'yes',
      figure: { value: 4, unit: 'min' },
    });
    expect(says({ coats: twoCoats(4 / 60) }, 'gap-short')?.figure?.limit).toBeCloseTo(10, 3);
    expect(says({ surfaceC: 12 }, 'cold-when-laid')).toMatchObject({
      says: 'yes',
      figure: { value: 12, limit: 15, unit: '°C' },
    });
  });
  it('a grade of thinner off counts half, two count in full', () => {
    const grade = (thinnerGrade: 'medium' | 'slow') =>
      says({ surfaceC: 12, coats: [{ of: finish(), atH: 0, body: { thinnerGrade } }] }, 'thinner-slow');
    expect([grade('medium')?.isWeak, grade('slow')?.isWeak]).toEqual([true, false]);
  });
  it('what was only assumed of the air says nothing', () => {
    const track = steady(3, 2000, 'assumed');
    for (const code of ['cold-when-laid', 'dew', 'air-damp', 'cold-while-curing'] as const)
      expect(says({ track }, code)).toBeNull();
  });
  it('a film that nobody measured is not known to be thin or thick', () => {
    expect(says({}, 'film-thick')).toBeNull();
    expect(says({ before: [thick] }, 'film-thick')).toMatchObject({
      says: 'yes',
      figure: { limit: 60, unit: 'µm' },
    });
    expect(says({ before: [thick] }, 'film-thin')).toMatchObject({ says: 'no' });
  });
  it('that it was not logged does not say that it was not', () => {
    for (const code of ['oil', 'dust', 'not-degreased', 'silicone-near', 'wetted-early'] as const)
      expect(says({}, code)).toBeNull();
  });
  it('a coat keyed after its window is not shut', () => {
    const abraded = { kind: 'abraded', body: { how: 'dry' }, atH: 339 } as const;
    expect(says({ coats: overEpoxy(340) }, 'window-shut')).toMatchObject({ says: 'yes' });
    expect(says({ coats: overEpoxy(340), before: [abraded] }, 'window-shut')).toMatchObject({ says: 'no' });
  });
  it('record and answer that contradict weigh nothing, and are shown', () => {
    const record = recordSays(recordOf({ surfaceC: 12 }));
    const list = evidenceWith(record, [{ code: 'cold-when-laid', says: 'no' }]);
    expect(list.find((e) => e.code === 'cold-when-laid')?.isContradicted).toBe(true);
    expect(weighable(list).has('cold-when-laid')).toBe(false);
  });
  it('short tests speak: bad is so, good is not, unclear says nothing, and the last one counts', () => {
    const salt = (...results: CardResult[]) =>
      says({ cards: results.map((r) => ['salt', r] as const) }, 'salt-found')?.says ?? null;
    expect([salt('bad'), salt('good'), salt('unclear'), salt('bad', 'good')]).toEqual([
      'yes',
      'no',
      null,
      'no',
    ]);
    expect(says({ cards: [['salt', 'good']] }, 'salt-low')).toMatchObject({ says: 'yes' });
    expect(says({ cards: [['white-cloth', 'bad']] }, 'oil')).toMatchObject({ says: 'yes' });
    expect(says({ cards: [['wet-sponge', 'bad']] }, 'pinholes-below')).toMatchObject({ says: 'yes' });
    expect(says({ cards: [['loupe', 'bad']] }, 'pinholes-below')).toMatchObject({ says: 'yes' });
    expect(says({ cards: [['overlap', 'bad']] }, 'overlap-uneven')).toMatchObject({ says: 'yes' });
    expect(says({ cards: [['coin-tap', 'good']] }, 'filler-below')).toMatchObject({ says: 'no' });
    expect(says({ cards: [['warm-for-oil', 'bad']] }, 'oil')).toMatchObject({ says: 'yes' });
    // A closed film under the loupe is no proof that nothing is below, nor that dry metal holds no oil.
    expect(says({ cards: [['loupe', 'good']] }, 'pinholes-below')).toBeNull();
    expect(says({ cards: [['warm-for-oil', 'good']] }, 'oil')).toBeNull();
    expect(says({ cards: [['blotter', 'bad']] }, 'line-wet-or-oily')).toMatchObject({ says: 'yes' });
    expect(
      says({ survey: { coating: 'sound' }, cards: [['solvent-rub', 'bad']] }, 'old-coat-softens'),
    ).toMatchObject({ says: 'yes' });
  });
  it('a fact that has nothing to do with it changes nothing', () => {
    const a = told({ says: '', fault: 'sag', record: { before: [thick] }, cause: '' });
    const b = told({
      says: '',
      fault: 'sag',
      record: { before: [thick, { kind: 'noted', body: { text: 'tea' }, atH: 1 }] },
      cause: '',
    });
    expect(b.w).toEqual(a.w);
  });
  it('a record in which all is well names nothing', () => {
    const record: Recorded = {
      surfaceC: 20,
      rhPct: 45,
      coats: [
        { of: EPOXY, atH: 0 },
        {
          of: finish(),
          atH: 24,
          body: { gunMm: 180, thinnerGrade: 'medium', isStirred: true, isStrained: true },
        },
      ],
      before: [{ kind: 'film-read', body: read(42), atH: 40 }],
      mix: { thinPct: 8, ratioOff: 0.01, measuredBy: 'scale', hardenerAge: 0.1, isPaintPast: false },
    };
    const { w } = told({ says: '', fault: 'sag', record, answers: { 'overlap-uneven': 'no' }, cause: '' });
    expect(w.verdict).toBe('something-else');
  });
  it('minutes between coats are from the end of one to the start of the next', () => {
    const coats = twoCoats(20 / 60);
    const r = recordOf({ coats });
    const second = r.facts.find((f) => f.factId === r.coats[1]!.factId)!;
    const earlier = {
      ...second,
      happenedAtMs: second.happenedAtMs - 15 * MINUTE_MS,
      endedAtMs: second.happenedAtMs,
    };
    const list = recordSays({ ...r, facts: r.facts.map((f) => (f === second ? (earlier as Fact) : f)) });
    expect(list.find((e) => e.code === 'gap-short')?.figure?.value).toBeCloseTo(5, 6);
  });
});
