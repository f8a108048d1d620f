import { MINUTE_MS } from '../base/time.ts';
import { isInMotion } from '../bench/order.ts';
import { faceAreaM2 } from '../work/area.ts';
import { layMinutes, usualTool } from '../work/minutes.ts';
import { chooseLeftover, type LeftoverItem } from '../mix/leftover.ts';
import type { DerivedPart } from './part.ts';
import { coatNeedMl, colourFor, thinPctOf, type MixNow } from './shelf.ts';
import { partsInUse, type Snapshot } from './snapshot.ts';

export type LeftoverWhy =
  | 'other-colour'
  | 'no-colour'
  | 'air'
  | 'not-open'
  | 'no-area'
  | 'too-much'
  | 'shuts-first';
/** A waiting part that a leftover could go on. */
export interface LeftoverView {
  readonly partId: string;
  readonly partName: string;
  readonly machineName: string;
  readonly face: 'A' | 'B';
  readonly needMl: number;
  readonly minutes: number;
  readonly shutMs: number | null;
  readonly sheetId: string;
  readonly dftUm: number;
  readonly isChosen: boolean;
}
export interface LeftoverResponse {
  readonly mixId: string;
  readonly leftMl: number;
  readonly minutesLeft: number | null;
  readonly usedMl: number;
  readonly minutes: number;
  readonly parts: readonly LeftoverView[];
  /** Why the others of this product do not take it. */
  readonly passed: readonly { readonly partName: string; readonly why: LeftoverWhy }[];
}

/** Without a pot life a one-pack in the cup is worth an evening. */
const EVENING_MIN = 240;

type Judged =
  | { readonly kind: 'takes'; readonly view: Omit<LeftoverView, 'isChosen'> }
  | { readonly kind: 'passed'; readonly why: LeftoverWhy }
  | { readonly kind: 'other' };

/** What else a cup can paint now: same product and colour, open window, gates that pass, an area that fits, and time to lay it. */
export function leftoverFor(snapshot: Snapshot, mix: MixNow): LeftoverResponse {
  const { nowMs } = snapshot;
  const { state, clock } = mix;
  const fromMs = Math.max(nowMs, clock.usable.worstMs ?? nowMs);
  const goneMs = clock.gone === null ? fromMs + EVENING_MIN * MINUTE_MS : clock.gone.worstMs;
  const minutesLeft = goneMs === null ? null : Math.max(0, (goneMs - fromMs) / MINUTE_MS);
  const takes: Omit<LeftoverView, 'isChosen'>[] = [];
  const passed: { partName: string; why: LeftoverWhy }[] = [];
  for (const part of partsInUse(snapshot)) {
    const judged = judgePart(snapshot, mix, part);
    if (judged.kind === 'takes') takes.push(judged.view);
    else if (judged.kind === 'passed') passed.push({ partName: part.row.name, why: judged.why });
  }
  const items = takes.map((t): LeftoverItem => ({
    id: t.partId,
    needMl: t.needMl,
    minutes: t.minutes,
    shutMs: t.shutMs,
  }));
  const choice = chooseLeftover(items, state.leftMl, minutesLeft ?? 0);
  const chosen = new Set(choice.ids);
  return {
    mixId: state.fact.body.mixId,
    leftMl: state.leftMl,
    minutesLeft,
    usedMl: choice.usedMl,
    minutes: choice.minutes,
    parts: takes
      .map((t) => ({ ...t, isChosen: chosen.has(t.partId) }))
      .sort(
        (a, b) => Number(b.isChosen) - Number(a.isChosen) || (a.shutMs ?? Infinity) - (b.shutMs ?? Infinity),
      ),
    passed,
  };
}

function judgePart(snapshot: Snapshot, mix: MixNow, part: DerivedPart): Judged {
  const { lead } = part.state;
  const { next } = lead;
  const { sheet, state } = mix;
  if (next?.sheet.productId !== sheet.productId || !isInMotion(part.state.headline)) return { kind: 'other' };
  const no = (why: LeftoverWhy): Judged => ({ kind: 'passed', why });
  const colour = colourFor(next.sheet, part.row.colourGroup);
  const mixed = state.fact.body.colour;
  if (mixed !== null && next.sheet.role === 'finish' && colour !== mixed)
    return no(colour === null ? 'no-colour' : 'other-colour');
  const { code } = lead.act;
  if (code === 'hold' || code === 'read-air' || code === 'coat-if-accepted') return no('air');
  if (lead.act.code !== 'coat') return no('not-open');
  const need = coatNeedMl(part, next, lead.coats.length === 0, thinPctOf(state));
  if (need === null) return no('no-area');
  if (Math.ceil(need.sprayedMl) > Math.floor(state.leftMl)) return no('too-much');
  if (lead.act.startByMs !== null && lead.act.startByMs < snapshot.nowMs) return no('shuts-first');
  const minutes = layMinutes(
    next.sheet,
    usualTool(next.sheet),
    faceAreaM2(part.row.areaM2, part.row.faceCount),
  );
  return {
    kind: 'takes',
    view: {
      partId: part.row.partId,
      partName: part.row.name,
      machineName: snapshot.shop.machines.find((m) => m.machineId === part.row.machineId)?.name ?? '',
      face: lead.face,
      needMl: need.sprayedMl,
      minutes,
      shutMs: lead.lostAtMs,
      sheetId: next.sheet.sheetId,
      dftUm: next.dftUm,
    },
  };
}
