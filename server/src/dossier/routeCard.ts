import {
  METRIC,
  recipeOf,
  showFilm,
  traitsOf,
  wetFilmUm,
  type PartDetail,
  type ProductSheet,
  type RouteStepView,
} from '@calvetta/core';
import { ANSWER_WORDS, CAUTION_WORDS, stepName, SUBSTRATE_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { Fonts } from './fonts.ts';
import { Paper } from './paper.ts';

/** A route on one sheet for the bench: each step with a box to tick, what to mix, how wet to lay it, what to mind. */
export function routeCard(
  detail: PartDetail,
  sheetOf: (sheetId: string) => ProductSheet | undefined,
  shopName: string,
): Paper {
  const { card, survey, route } = detail;
  const paper = new Paper(`${card.name}: route card`, new Fonts());
  paper.heading(card.name, 'title');
  paper.line(`${card.assemblyName}, ${card.machineName}`, { isQuiet: true });
  paper.space(4);
  paper.facts([
    ['Metal', SUBSTRATE_WORDS[card.substrate]],
    ['Area', card.areaM2 === null ? 'not known' : `${card.areaM2} m²`],
    ['Mass', detail.massKg === null ? 'not known' : `${detail.massKg} kg`],
    ['Where it lives', survey ? (ANSWER_WORDS[survey.category] ?? survey.category) : 'not surveyed'],
  ]);
  paper.space(6);
  if (route.length === 0) paper.line('No route was set for this part.');
  else
    paper.table(
      [
        { head: '', share: 0.6, cell: (s: RouteStepView) => (isDone(s) ? '[x]' : '[  ]') },
        { head: 'Step', share: 5, cell: (s) => what(s) },
        { head: 'How', share: 6, cell: (s) => how(s, s.sheetId === null ? undefined : sheetOf(s.sheetId)) },
        { head: 'Done on, by', share: 3, cell: () => '' },
      ],
      route,
    );
  const cautions = [...new Set(route.flatMap((s) => s.cautions))].map((c) => CAUTION_WORDS[c] ?? c);
  if (cautions.length > 0) {
    paper.heading('Mind', 'sub');
    for (const c of cautions) paper.line(`· ${c}`);
  }
  paper.space(6);
  paper.line(
    'Local rules and the maker’s sheet come first. Times and windows run in Calvetta, by the temperature the part really has.',
    {
      isQuiet: true,
    },
  );
  paper.end(shopName);
  return paper;
}

const isDone = (s: RouteStepView): boolean =>
  s.sheetId === null ? s.record?.status === 'recorded' : s.coatsDone >= s.coats;
const what = (s: RouteStepView): string =>
  [stepName(s), s.what === null ? null : (WHAT_WORDS[s.what] ?? s.what)].filter((x) => x !== null).join(', ');
const film = (um: number): string => {
  const shown = showFilm(um, METRIC);
  return `${shown.text} ${shown.unit}`;
};

/** Of a coat: how many, how thick dry and wet, how it is mixed. */
function how(s: RouteStepView, sheet: ProductSheet | undefined): string {
  if (s.sheetId === null) return s.hours === null || s.hours === 0 ? '' : `about ${s.hours.toFixed(1)} h`;
  const dftUm = s.dftUm ?? sheet?.dftUm ?? null;
  if (!sheet || dftUm === null) return `${s.coats} coats`;
  const wet = wetFilmUm(dftUm, sheet.vsPct, 0);
  const recipe = recipeOf(traitsOf(sheet), 0);
  return [
    `${s.coats} ${s.coats === 1 ? 'coat' : 'coats'} of ${film(dftUm)} dry`,
    wet.ok ? `${film(wet.value)} wet, unthinned` : null,
    recipe.ok && recipe.value.bPerA > 0
      ? `A to B ${(1 / recipe.value.bPerA).toFixed(1)} : 1 by volume`
      : null,
  ]
    .filter((x) => x !== null)
    .join('; ');
}
