import type { CoatWindow, DossierCoat, DossierPart } from '@calvetta/core';
import { ACCEPTANCE_WORDS, dayWords } from '@calvetta/contract/words';
import type { Paper } from './paper.ts';
import type { Sayer } from './sayer.ts';

/** How the surface and air of a coat are known. */
const SOURCE_WORDS = {
  surface: 'measured on it',
  lag: 'from the air measured there',
  forecast: 'by forecast',
  usual: 'as usual there',
  assumed: 'assumed',
} as const;
const VERDICT_WORDS = { accepted: 'accepted', refused: 'not accepted', unknown: 'cannot be said' } as const;

/** The film that is on: in cut, coat by coat, and as it was read. */
export function filmOn(paper: Paper, p: DossierPart, say: Sayer): void {
  paper.heading('Film', 'sub');
  if (p.coats.length === 0) {
    paper.line('No coat is on record.');
    return;
  }
  const face = p.coats[0]!.face;
  const layers = p.detail.card.layers;
  paper.section(
    layers.filter((l) => !l.isPlanned).map((l) => ({ name: l.name, um: l.dftUm, colour: l.colour })),
  );
  if (p.detail.card.faceCount > 1) paper.line(`Drawn: face ${face}.`, { isQuiet: true, size: 'small' });
  paper.table(
    [
      {
        head: 'Coat',
        share: 1.2,
        cell: (c: DossierCoat) => `${p.detail.card.faceCount > 1 ? `${c.face} ` : ''}${c.no}`,
      },
      { head: 'Product, sheet', share: 4.4, cell: (c) => `${c.productName} (${c.sheetId})` },
      { head: 'Batch', share: 2.6, cell: batchText },
      { head: 'Film', share: 2.6, cell: (c) => filmText(c, say) },
      {
        head: 'Finished',
        share: 3,
        cell: (c) => `${say.when(c.atMs)}${c.personName === null ? '' : `, ${c.personName}`}`,
      },
      { head: 'Metal, air, above dew', share: 4.6, cell: (c) => airText(c, say) },
    ],
    p.coats,
  );
  windowsOf(paper, p, say);
  if (p.films.length > 0)
    paper.table(
      [
        { head: 'Read', share: 3, cell: (f: DossierPart['films'][number]) => say.when(f.atMs) },
        { head: 'By', share: 2.6, cell: (f) => (f.by === 'comb' ? 'wet comb' : gaugeText(f, say)) },
        { head: 'Mean', share: 1.6, isRight: true, cell: (f) => say.film(f.meanUm) },
        {
          head: 'Least, most',
          share: 2.6,
          isRight: true,
          cell: (f) => `${say.film(f.leastUm)}, ${say.film(f.mostUm)}`,
        },
        { head: 'For', share: 1.6, isRight: true, cell: (f) => say.film(f.nominalUm) },
        {
          head: 'Verdict',
          share: 4,
          cell: (f) =>
            f.verdict === null
              ? 'a prediction'
              : `${VERDICT_WORDS[f.verdict]} by ${ACCEPTANCE_WORDS[f.rule as keyof typeof ACCEPTANCE_WORDS]}`,
        },
      ],
      p.films,
    );
}

/** How many readings, with what, and whether that could be relied on. */
function gaugeText({ n, gauge }: DossierPart['films'][number], say: Sayer): string {
  if (gauge === null) return `gauge, ${n}`;
  const when = gauge.checkMs === null ? '' : ` ${say.when(gauge.checkMs)}`;
  const trust = { checked: `checked${when}`, doubt: `IN DOUBT, failed${when}`, unchecked: 'never checked' };
  return `${gauge.name}, ${n}; ${trust[gauge.state]}`;
}

const batchText = (c: DossierCoat): string =>
  [
    c.colour,
    c.batch ?? 'not noted',
    c.hardenerBatch === null ? null : `hardener ${c.hardenerBatch}`,
    ...c.certificates.map(
      (k) =>
        `certificate ${k.certificate}${k.goodUntil === null ? '' : `, vouched for until ${dayWords(k.goodUntil)}`}`,
    ),
    c.thinPct === null || c.thinPct === 0 ? null : `thinned ${c.thinPct.toFixed(0)} %`,
    c.mixAgeMin === null ? null : `mix ${c.mixAgeMin.toFixed(0)} min old`,
  ]
    .filter((x) => x !== null)
    .join(', ');
const filmText = (c: DossierCoat, say: Sayer): string =>
  c.measuredUm === null
    ? `${say.film(c.loggedUm)} as logged`
    : `${say.film(c.measuredUm)} measured${c.thinnestUm === null ? '' : `, thinnest ${say.film(c.thinnestUm)}`}`;
function airText({ air }: DossierCoat, say: Sayer): string {
  if (air === null) return 'not known';
  const dew = air.dewMarginK === null ? 'dew not known' : `${air.dewMarginK.toFixed(1)} K above dew`;
  const rh = air.rhPct === null ? '' : `, ${air.rhPct.toFixed(0)} %`;
  return `${say.temp(air.surfaceC)}, air ${say.temp(air.airC)}${rh}, ${dew} (${SOURCE_WORDS[air.source]})`;
}

const KEPT_WORDS: Readonly<Record<CoatWindow['kept'], string>> = {
  inside: 'inside its window',
  early: 'before it opened',
  between: 'between two windows',
  late: 'after it had shut',
  forbidden: 'the sheet forbids this follower',
  unknown: 'the sheet gives no window',
};
/** Each coat's window for the one over it, by the temperature the part really had. */
function windowsOf(paper: Paper, p: DossierPart, say: Sayer): void {
  if (p.windows.length === 0) return;
  paper.line('Windows: hatched too early, clear open, black shut; the wedge is when the next coat went on.', {
    isQuiet: true,
    size: 'small',
  });
  paper.windows(
    p.windows.map((w) => ({
      ...w,
      label: `${p.detail.card.faceCount > 1 ? `${w.face} ` : ''}${w.no} to ${w.no + 1}`,
      said: `${say.when(w.nextMs)}, ${KEPT_WORDS[w.kept]}`,
    })),
  );
}
