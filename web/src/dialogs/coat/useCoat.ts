import { useState } from 'react';
import {
  coatTakes,
  coatVerdict,
  judgeGates,
  limitsOf,
  wetFilmUm,
  type Face,
  type Tool,
} from '@calvetta/core';
import type { FactView, PartDetail } from '@calvetta/contract';
import { useSheets, useShelf } from '../../api/queries.ts';
import { maybe, number, quantity, words } from '../../forms/read.ts';
import { useDraft, type Bound } from '../../forms/useDraft.ts';
import { usePrefs } from '../../state/prefs.ts';
import { useHandsTrouble } from '../../words/handsTrouble.ts';
import type { SubmitBody } from '../submit.ts';
import type { Laid } from './HowLaid.tsx';
import {
  coatBody,
  conditionsOf,
  cupsFor,
  evidenceOf,
  laidOf,
  usualAgain,
  shownFilm,
  usualCup,
  usualUse,
} from './coatDraft.ts';

interface Asked {
  readonly part: PartDetail;
  readonly face: Face | null;
  readonly isNow: boolean;
  readonly correct: FactView | undefined;
  readonly submit: SubmitBody;
}
const millilitres = maybe(number('mL', 0, 20_000));

const readersFor = (filmUnit: 'um' | 'mil') => ({
  film: quantity({ field: 'Film', dimension: 'film', bareUnit: filmUnit, min: 1, max: 2000 }),
  used: millilitres,
  batch: maybe(words),
  thinner: maybe(number('%', 0, 100)),
  reason: maybe(words),
});

/** A coat being logged: filled in from the route, the last coat, the cup that stands there and the air; judged as it stands. */
export function useCoat({ part, face, isNow, correct, submit }: Asked) {
  const sheets = useSheets();
  const shelf = useShelf();
  const { film: filmUnit } = usePrefs((s) => s.units);
  const known = correct?.kind === 'coated' ? correct.body : null;
  const [sheetId, setSheet] = useState(known?.sheetId ?? part.card.next?.sheetId ?? '');
  const last = usualAgain(part, sheetId);
  const [tool, setTool] = useState<Tool>(known?.tool ?? last.tool ?? 'gun');
  // A correction keeps the cup it was logged with, or none: the one that stands there now is another.
  const [mixId, setMixId] = useState<string | null>(correct ? (known?.mixId ?? '') : null);
  const { laid: lastLaid, setLaid: keepLaid } = usePrefs();
  const [laid, setLaid] = useState<Laid>(known ? laidOf(known) : {});
  const [isUsedTyped, setUsedTyped] = useState(known?.usedMl !== undefined);
  const draft = useDraft(readersFor(filmUnit), {
    film: shownFilm(known?.dftUm ?? part.card.next?.dftUm ?? null, filmUnit),
    used: known?.usedMl?.toString() ?? '',
    batch: known?.batch ?? last.batch,
    thinner: known?.thinnerPct?.toString() ?? '',
    reason: known?.reason ?? '',
  });
  const sheet = sheets.data?.sheets.find((s) => s.sheetId === sheetId);
  const mixes = cupsFor(shelf.data?.mixes ?? [], sheetId, known?.mixId);
  const chosenMixId = mixId ?? usualCup(mixes, part)?.mixId ?? '';
  const setSheetId = (id: string): void => {
    setSheet(id);
    draft.set({ batch: usualAgain(part, id).batch });
  };
  const mix = mixes.find((m) => m.mixId === chosenMixId);
  const dryUm = draft.peek('film');
  const thinPct = mix?.thinPct ?? draft.peek('thinner') ?? 0;
  const wet = sheet && dryUm !== null ? wetFilmUm(dryUm, sheet.vsPct, thinPct) : null;
  const faces = face === null ? part.faces.length : 1;
  const usual = mix && sheet ? usualUse(part.card, sheet, mix, faces, tool) : '';
  const typed = draft.bind('used');
  const used: Bound = {
    ...typed,
    value: isUsedTyped ? typed.value : usual,
    onChange: (text) => {
      setUsedTyped(true);
      typed.onChange(text);
    },
  };
  const view = part.faces.find((f) => f.face === (face ?? part.card.face)) ?? part.faces[0]!;
  const gates = sheet ? judgeGates(conditionsOf(part), limitsOf(sheet)) : null;
  const top = sheets.data?.sheets.find((s) => s.sheetId === view.topSheetId) ?? null;
  const isNew = isNow && !correct;
  const hands = useHandsTrouble(sheet ? coatTakes(sheet, tool) : []);
  const verdict =
    sheet && isNew ? coatVerdict({ ...view, top }, sheet, mix ?? null, part.nowMs, dryUm) : null;
  const log = (why: string): void => {
    const v = draft.read();
    const usedMl = millilitres(used.value);
    if (!v || !usedMl.ok) return;
    const typedIn = { batch: v.batch, thinnerPct: v.thinner, dftUm: v.film, usedMl: usedMl.value };
    if (Object.keys(laid).length > 0) keepLaid(laid);
    const all = { ...typedIn, sheetId, tool, mix, chosenMixId, laid };
    submit(coatBody({ ...all, reason: why.trim() }, part, view.face, correct), evidenceOf(part, view, gates));
  };
  return {
    sheetId,
    setSheetId,
    sheet,
    tool,
    setTool,
    mixes,
    mix,
    chosenMixId,
    setMixId,
    used,
    laid,
    setLaid,
    lastLaid,
    draft,
    gates,
    log,
    /** What the comb should show for that dry film, thinner in it; null without one. */
    wetUm: wet?.ok ? wet.value : null,
    // The predicted second gate needs the page's own act; measured ones are judged here for whichever product is chosen.
    isMarginal: gates !== null && (gates.status !== 'pass' || view.act.code === 'coat-if-accepted'),
    // A gate has its own line and its chips; everything else is said before the touch, not after it.
    refusal: verdict && !['held', 'marginal'].includes(verdict.why) ? verdict : isNew ? hands : null,
  };
}
