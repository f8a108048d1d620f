import type { Fact, FactKind } from '../facts/part.ts';
import { CATALOGUE_SHEETS } from '../products/catalogue/index.ts';
import type { RouteStep } from '../route/route.ts';
import { describe, expect, it } from '@jest/globals';
import { newestSheet } from '../products/newest.ts';
import { coatsBeforeRoute, plannedCoats, routeOf, routeSetOf } from './route.ts';

const H = 3_600_000;
const sheets = new Map(CATALOGUE_SHEETS.map((s) => [s.sheetId, s]));
let n = 0;
const fact = (kind: FactKind, hour: number, body: object): Fact =>
  ({
    factId: `f${++n}`,
    kind,
    partId: 'p',
    face: null,
    happenedAtMs: hour * H,
    endedAtMs: null,
    recordedAtMs: hour * H,
    personId: 'a',
    deviceId: 'd',
    supersedes: null,
    body,
  }) as Fact;
const step = (kind: RouteStep['kind'], familyId: string | undefined, coats: number): RouteStep => ({
  stepId: `${kind}-${familyId ?? ''}`,
  kind,
  ...(familyId === undefined ? {} : { familyId }),
  coats,
  dftUm: null,
  hours: 1,
  waitHours: 0,
  cautions: [],
});
const set = (hour: number, ...steps: RouteStep[]): Fact =>
  fact('route-set', hour, { routeId: 'r', origin: 'advised', steps });

describe('the chosen route as the Bench reads it', () => {
  it('none chosen: the typed one holds', () => {
    expect(routeSetOf([])).toBeNull();
    expect(routeOf([fact('noted', 1, { text: 'x' })], sheets)).toBeNull();
    expect(coatsBeforeRoute([], sheets)).toEqual([]);
  });
  it('the last one chosen counts, each coat with its family’s newest sheet', () => {
    const steps = routeOf(
      [
        set(1, step('prime', 'zp-alkyd', 1)),
        set(2, step('degrease', undefined, 0), step('prime', 'epoxy-mastic', 2)),
      ],
      sheets,
    )!;
    expect(steps.map((s) => [s.seq, s.kind, s.sheetId, s.coats])).toEqual([
      [1, 'degrease', null, 0],
      [2, 'prime', 'epoxy-mastic.1', 2],
    ]);
    const newer = { ...sheets.get('epoxy-mastic.1')!, sheetId: 'epoxy-mastic.7', revision: 7 };
    expect(newestSheet([...sheets.values(), newer], 'epoxy-mastic')!.revision).toBe(7);
    expect(newestSheet(sheets.values(), 'nobody-knows')).toBeNull();
  });
  it('every coat is planned by itself, with the sheet’s film where the step gives none', () => {
    const planned = plannedCoats(
      routeOf([set(1, step('prime', 'epoxy-mastic', 2), step('topcoat', 'gloss-2k', 1))], sheets)!,
      sheets,
    );
    expect(planned.map((c) => [c.sheet.productId, c.coatNo, c.ofCoats, c.dftUm])).toEqual([
      ['epoxy-mastic', 1, 2, 100],
      ['epoxy-mastic', 2, 2, 100],
      ['gloss-2k', 1, 1, 45],
    ]);
  });
  it('coats that were on stay under a route chosen later; those stripped since do not', () => {
    const primer = fact('coated', 2, { sheetId: 'epoxy-primer.1', dftUm: 61 });
    expect(
      coatsBeforeRoute(
        [fact('stripped', 1, { method: 'blast' }), primer, set(3, step('topcoat', 'gloss-2k', 2))],
        sheets,
      ),
    ).toMatchObject([{ dftUm: 61, sheet: { productId: 'epoxy-primer' } }]);
    expect(
      coatsBeforeRoute(
        [primer, fact('stripped', 2.5, { method: 'blast' }), set(3, step('prime', 'epoxy-primer', 1))],
        sheets,
      ),
    ).toEqual([]);
    // A coat laid after the choice belongs to the route itself.
    expect(coatsBeforeRoute([set(1, step('prime', 'epoxy-primer', 1)), primer], sheets)).toEqual([]);
  });
});
