import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import type { ShopFile, ShopFact } from '@calvetta/contract';

const file = JSON.parse(readFileSync(join(import.meta.dirname, 'scenario', 'shop.json'), 'utf8')) as ShopFile;
const of = <K extends ShopFact['kind']>(partId: string, kind: K) =>
  file.facts.filter((f): f is Extract<ShopFact, { kind: K }> => f.partId === partId && f.kind === kind);
const partIds = [...new Set(file.facts.map((f) => f.partId))];

describe('the demo obeys its own rules', () => {
  it('no coat lies on a surface that nobody prepared', () => {
    for (const partId of partIds) {
      const coats = of(partId, 'coated').map((f) => f.happenedAt);
      const prepared = [...of(partId, 'stripped'), ...of(partId, 'abraded')].map(
        (f) => f.endedAt ?? f.happenedAt,
      );
      const first = coats.sort()[0];
      if (first !== undefined) expect([partId, prepared.some((at) => at <= first)]).toEqual([partId, true]);
    }
  });
  it('no coat is thinner or thicker than its sheet allows in one, without its reason', () => {
    const sheets = new Map(file.sheets.map((s) => [s.sheetId, s]));
    const outside = partIds.flatMap((id) =>
      of(id, 'coated')
        .filter(({ body }) => {
          const { dftMinUm, dftMaxUm } = sheets.get(body.sheetId)!;
          return body.reason === undefined && (body.dftUm < dftMinUm || body.dftUm > dftMaxUm);
        })
        .map((f) => `${id} ${f.body.sheetId} ${f.body.dftUm}`),
    );
    expect(outside).toEqual([]);
  });
  it('every step that is logged is a step of the part’s route, logged once, and not before the route was set', () => {
    for (const partId of partIds) {
      const done = of(partId, 'step-done');
      const route = of(partId, 'route-set').at(-1);
      const ids = route?.body.steps.map((s) => s.stepId) ?? [];
      expect(new Set(done.map((f) => f.body.stepId)).size).toBe(done.length);
      for (const f of done) {
        expect(ids).toContain(f.body.stepId);
        expect(f.happenedAt > route!.happenedAt).toBe(true);
      }
    }
  });
  it('most of what was done is written down, and some of it is not, as in any shop', () => {
    const worked = partIds.filter((id) => of(id, 'coated').length > 0);
    const written = worked.filter((id) => of(id, 'step-done').length > 2);
    expect(written.length / worked.length).toBeGreaterThan(0.8);
    const masked = (id: string): boolean => {
      const mask = of(id, 'route-set')
        .at(-1)!
        .body.steps.find((s) => ['mask', 'degrease'].includes(s.kind));
      return !mask || of(id, 'step-done').some((f) => f.body.stepId === mask.stepId);
    };
    expect(worked.some((id) => !masked(id))).toBe(true);
  });
});
