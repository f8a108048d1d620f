import { describe, expect, it } from '@jest/globals';
import { FACT_BODIES } from '@calvetta/contract/schemas';
import { FACT_WORDS } from '@calvetta/contract/words';
import type { PartDetail } from '@calvetta/contract';
import { FORMS, LOG_KINDS } from './factForms.ts';
import { firstValues } from './factValues.ts';

/** A value of each kind of field that the server must take. */
const SAMPLE = {
  place: 'booth',
  number: 60,
  temperature: 60,
  text: 'weld at the horn',
  line: 'Quay Blasting',
  money: 1250,
  day: '2026-12-24',
} as const;

/** As much of a part as its likely answers are made from: one that stands phosphated, one with a wet film. */
const part = (card: object): PartDetail =>
  ({
    card: { suspect: null, cure: null, bare: null, face: 'A', placeId: 'booth', ...card },
  }) as unknown as PartDetail;

describe('what a form begins with', () => {
  it.each(LOG_KINDS)('%s: an answer that can be given, whatever state the part is in', (kind) => {
    for (const p of [null, part({ bare: { prep: 'phosphated' } }), part({ cure: 'wet' })]) {
      const first = firstValues(kind, p);
      for (const f of FORMS[kind]?.fields ?? [])
        if (f.type === 'choice') expect(f.options).toContain(first[f.name]);
    }
  });
});

describe('what a person may log', () => {
  it('every kind in the menu has words and a form, a coat its own', () => {
    for (const k of LOG_KINDS) {
      expect(FACT_WORDS[k].length).toBeGreaterThan(2);
      if (k !== 'coated') expect([k, FORMS[k] !== undefined]).toEqual([k, true]);
    }
  });
  it.each(Object.entries(FORMS))(
    'the form of %s fills a body that the server takes, with every choice and every button',
    (kind, form) => {
      const schema = FACT_BODIES[kind as keyof typeof FACT_BODIES];
      const choices = form.fields.flatMap((f) => (f.type === 'choice' ? [f] : []));
      const base = Object.fromEntries(
        form.fields.map((f) => [f.name, f.type === 'choice' ? f.options[0] : SAMPLE[f.type]]),
      );
      for (const button of form.finish) {
        expect([kind, schema.validate({ ...base, ...button.body }).error?.message]).toEqual([
          kind,
          undefined,
        ]);
        for (const c of choices)
          for (const o of c.options)
            expect([
              kind,
              o,
              schema.validate({ ...base, ...button.body, [c.name]: o }).error?.message,
            ]).toEqual([kind, o, undefined]);
      }
    },
  );
  it('work that can hurt says so before it is logged', () => {
    for (const k of ['degreased', 'stripped', 'pretreated'] as const)
      expect(FORMS[k]?.caution?.length ?? 0).toBeGreaterThan(20);
  });
});
