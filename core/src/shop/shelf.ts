import { endOfDay } from '../base/zone.ts';
import { plannedFor, type PlannedCoat } from '../bench/face.ts';
import { originMs } from '../facts/envelope.ts';
import { ofKind, standingFacts } from '../facts/part.ts';
import { mixClock, type MixClock } from '../cure/potLife.ts';
import { usualTool } from '../work/minutes.ts';
import { coatPaint, filmMl } from '../work/paint.ts';
import { applicatorOf } from '../work/transfer.ts';
import { recipeOf } from '../mix/recipe.ts';
import { thinnerStartPct } from '../mix/thinner.ts';
import { surfaceTrack } from '../part/thermal/track.ts';
import type { ProductSheet } from '../products/sheet.ts';
import type { SheetTraits } from '../products/traits.ts';
import { traitsOf } from '../products/traitsByBinder.ts';
import { mixedGroups, type LaidFinish, type MixedGroup } from '../shelf/laid.ts';
import { certificatesOf, vouchedUntil } from '../shelf/certificates.ts';
import { ledgerOf, type CoatUse, type Ledger, type MixState } from '../shelf/ledger.ts';
import {
  groupChecks,
  stockLines,
  type CoatNeed,
  type GroupCheck,
  type ProductMix,
  type StockLine,
} from '../shelf/needs.ts';
import { standingStock } from '../facts/stock.ts';
import {
  expiryOf,
  firstOut,
  hardenerTrouble,
  isUsable,
  type HardenerTrouble,
  type TinNow,
} from '../shelf/tins.ts';
import type { DerivedPart } from './part.ts';
import { profileUmOf } from './profile.ts';
import { newestSheet } from '../products/newest.ts';
import { partsInUse, type Snapshot } from './snapshot.ts';
import type { TinRow } from './state.ts';

/** A mix with its clock and what it is of. */
export interface MixNow {
  readonly state: MixState;
  readonly sheet: ProductSheet;
  readonly clock: MixClock;
}
/** What happened to stock, up to a snapshot's moment: all that a coat or a cup asks about. */
interface StockNow {
  readonly ledger: Ledger;
  readonly tins: readonly (TinNow & { readonly row: TinRow; readonly turn: number | null })[];
}
/** The shelf at a snapshot's moment, derived from facts alone, with what every part still asks of it. */
interface ShelfNow extends StockNow {
  readonly needs: readonly CoatNeed[];
  readonly lines: readonly StockLine[];
  readonly groups: readonly GroupCheck[];
  readonly hardeners: readonly HardenerTrouble[];
  readonly mixedGroups: readonly MixedGroup[];
}

/** Air taken for a need's thinner when nothing is measured: a heated booth. */
const USUAL_AIR_C = 18;
/** Worked out once a snapshot, and only where it is asked for: the needs of every part are none of a cup's business. */
function oncePer<V>(workOut: (snapshot: Snapshot) => V): (snapshot: Snapshot) => V {
  const known = new WeakMap<Snapshot, { readonly value: V }>();
  return (snapshot) => {
    let found = known.get(snapshot);
    if (!found) known.set(snapshot, (found = { value: workOut(snapshot) }));
    return found.value;
  };
}

export const stockNow = oncePer((snapshot: Snapshot): StockNow => {
  const { shop, nowMs } = snapshot;
  const ledger = ledgerOf(shop.tins, standingStock(shop.stock), coatUses(snapshot));
  const tins = shop.tins.map((row): TinNow & { row: TinRow } => {
    const state = ledger.tins.get(row.tinId);
    const openedMs = state?.openedMs ?? null;
    return {
      tin: row,
      row,
      levelMl: state?.levelMl ?? 0,
      openedMs,
      expiry: expiryOf(row, openedMs, productTraits(snapshot, row.productId), vouchedMs(snapshot, row)),
      asksWeighing: state?.asksWeighing ?? false,
      isBinned: state?.isBinned ?? false,
    };
  });
  return { ledger, tins: withTurns(tins, nowMs) };
});

export const shelfNow = oncePer((snapshot: Snapshot): ShelfNow => {
  const { shop, nowMs } = snapshot;
  const { ledger, tins } = stockNow(snapshot);
  const needs = partsInUse(snapshot).flatMap((p) => needsOf(snapshot, p));
  const mixOf = (productId: string): ProductMix => productMix(productTraits(snapshot, productId));
  const products = [...new Set(shop.tins.map((t) => t.productId))];
  return {
    ledger,
    tins,
    needs,
    lines: stockLines(needs, tins, mixOf, nowMs),
    groups: groupChecks(needs, tins, mixOf, nowMs),
    mixedGroups: mixedGroups([...snapshot.parts.values()].flatMap((p) => finishesOn(snapshot, p, ledger))),
    hardeners: products.flatMap((id) => hardenerTrouble(tins, id, mixOf(id).bPerA, nowMs) ?? []),
  };
});

/** The end of the last day a tin's batch is vouched for; null: no paper says so. */
export function vouchedMs({ shop }: Snapshot, tin: TinRow): number | null {
  const until = vouchedUntil(certificatesOf(tin, shop.tins, shop.stock));
  return until === null ? null : endOfDay(shop.workshop.zone, until);
}

export function productTraits(snapshot: Snapshot, productId: string): SheetTraits {
  const sheet = newestSheet(snapshot.shop.sheets.values(), productId);
  return traitsOf(sheet ?? { binder: 'epoxy-2k', role: 'primer' });
}

/** Ratio and usual thinner of a product; a ratio its sheet has wrong counts as none. */
export function productMix(traits: SheetTraits): ProductMix {
  const thin = thinnerStartPct(traits.thinMaxPct.gun, USUAL_AIR_C);
  const thinPct = thin.ok ? thin.value : 0;
  const recipe = recipeOf(traits, thinPct);
  return { bPerA: recipe.ok ? recipe.value.bPerA : 0, thinPct };
}

/** Which tin of its product, content and colour comes first, second …; null for what is not to be used. */
function withTurns<T extends TinNow>(
  tins: readonly T[],
  nowMs: number,
): (T & { readonly turn: number | null })[] {
  const turns = new Map<string, number>();
  const groups = new Map<string, T[]>();
  for (const t of tins) {
    const key = [t.tin.productId, t.tin.content, t.tin.colour ?? ''].join('\n');
    groups.set(key, [...(groups.get(key) ?? []), t]);
  }
  for (const group of groups.values()) firstOut(group, nowMs).forEach((t, i) => turns.set(t.tin.tinId, i));
  return tins.map((t) => ({ ...t, turn: isUsable(t, nowMs) ? (turns.get(t.tin.tinId) ?? null) : null }));
}

/** Coats that name a mix, with the paint their film holds: as measured where the coat is still on, else as logged. */
const coatUses = (snapshot: Snapshot): CoatUse[] =>
  [...snapshot.parts.values()].flatMap((p) => usesOnce(p, snapshot.shop.sheets));

const usesByPart = new WeakMap<DerivedPart, readonly CoatUse[]>();
/** A part's own, kept with it: a write to one part leaves those of the others as they are. A coat's sheet never changes. */
function usesOnce(p: DerivedPart, sheets: Snapshot['shop']['sheets']): readonly CoatUse[] {
  let uses = usesByPart.get(p);
  if (!uses) usesByPart.set(p, (uses = usesOf(p, sheets)));
  return uses;
}

function usesOf(p: DerivedPart, sheets: Snapshot['shop']['sheets']): CoatUse[] {
  const measured = new Map(
    p.state.faces.flatMap((f) => f.coats.map((c) => [`${c.factId} ${f.face}`, c.measuredUm] as const)),
  );
  return ofKind(standingFacts(p.facts), 'coated').flatMap((f): CoatUse[] => {
    const { mixId, usedMl, sheetId, dftUm } = f.body;
    const sheet = sheets.get(sheetId);
    if (mixId === undefined || usedMl === undefined || !sheet) return [];
    const faces = p.state.faces.map((x) => x.face).filter((x) => f.face === null || x === f.face);
    const faceM2 = p.row.areaM2 === null ? null : p.row.areaM2 / p.row.faceCount;
    const films = faces.map((x) => measured.get(`${f.factId} ${x}`) ?? null);
    const isMeasured = films.every((x) => x !== null);
    const ml = films.reduce<number>((s, x) => s + filmMl(faceM2 ?? 0, x ?? dftUm, sheet.vsPct), 0);
    return [
      {
        factId: f.factId,
        partId: f.partId,
        atMs: originMs(f),
        mixId,
        usedMl,
        filmMl: faceM2 === null ? null : ml,
        isMeasured: isMeasured && faceM2 !== null,
      },
    ];
  });
}

/** A mix by its id, with its clock; null when there is none, or none of a sheet that is here. */
export function mixById(snapshot: Snapshot, mixId: string): MixNow | null {
  const state = stockNow(snapshot).ledger.mixes.get(mixId);
  return state ? mixNow(snapshot, state) : null;
}

/** The mix's own clock, on the air of the place it stands in. */
export function mixNow(snapshot: Snapshot, state: MixState): MixNow | null {
  const { body, happenedAtMs } = state.fact;
  const sheet = snapshot.shop.sheets.get(body.sheetId);
  if (!sheet) return null;
  const place = body.placeId ?? snapshot.shop.places[0]?.placeId ?? '';
  const track = surfaceTrack({
    air: snapshot.air.get(place)?.track ?? [],
    tauS: null,
    own: [],
    fromMs: happenedAtMs,
    toMs: snapshot.horizonMs,
  });
  return { state, sheet, clock: mixClock(sheet, happenedAtMs, track) };
}

/** The colour a coat of a part takes: only finish coats have one. */
export const colourFor = (sheet: ProductSheet, colourGroup: string | null): string | null =>
  sheet.role === 'finish' ? colourGroup : null;

/** Mixed paint for a coat on one face, mL; null when its area is not known. */
export function coatNeedMl(
  part: DerivedPart,
  coat: PlannedCoat,
  isFirst: boolean,
  thinPct: number,
): { readonly mixedMl: number; readonly sprayedMl: number } | null {
  const need = coatPaint({
    areaM2: part.row.areaM2,
    faces: part.row.faceCount,
    sheet: coat.sheet,
    dftUm: coat.dftUm,
    by: applicatorOf(usualTool(coat.sheet)),
    shape: 'flat',
    profileUm: isFirst ? profileUmOf(part.facts, part.row.substrate) : 0,
    thinPct,
  });
  return need?.ok ? { mixedMl: need.value.mixedL * 1000, sprayedMl: need.value.sprayedL * 1000 } : null;
}

/** What a part's coats still to come ask for. A part without an area asks for nothing: the machine's list says how many. */
function needsOf(snapshot: Snapshot, part: DerivedPart): CoatNeed[] {
  const { colourGroup } = part.row;
  return part.state.faces.flatMap((face) =>
    plannedFor(part.planned, face.face)
      .slice(face.coats.length)
      .flatMap((coat, i): CoatNeed[] => {
        const need = coatNeedMl(part, coat, face.coats.length + i === 0, 0);
        return need === null
          ? []
          : [
              {
                partId: part.row.partId,
                productId: coat.sheet.productId,
                colour: colourFor(coat.sheet, colourGroup),
                colourGroup,
                mixedMl: need.mixedMl,
              },
            ];
      }),
  );
}

/** Finish coats on a part of a colour group, with their batch: by the mix where one is named, else as logged. */
function finishesOn(snapshot: Snapshot, part: DerivedPart, ledger: Ledger): LaidFinish[] {
  const { colourGroup, partId } = part.row;
  if (colourGroup === null) return [];
  const bodies = new Map(ofKind(part.facts, 'coated').map((f) => [f.factId, f.body]));
  return part.state.faces.flatMap((face) =>
    face.coats
      .filter((c) => c.sheet.role === 'finish')
      .map((c) => {
        const mixId = bodies.get(c.factId)?.mixId;
        const tinId = mixId === undefined ? undefined : ledger.mixes.get(mixId)?.fact.body.aTinId;
        const batch = snapshot.shop.tins.find((t) => t.tinId === tinId)?.batch ?? c.batch;
        return { partId, colourGroup, productId: c.sheet.productId, batch };
      }),
  );
}

/** Money of a mix by the prices on its tins, cents a millilitre of mixed paint; null when a price is missing. */
export function mixCentsPerMl(snapshot: Snapshot, state: MixState): number | null {
  const { body } = state.fact;
  const priceOf = (tinId: string | null): number | null => {
    const tin = snapshot.shop.tins.find((t) => t.tinId === tinId);
    return tin?.priceCents == null ? null : tin.priceCents / tin.sizeMl;
  };
  const parts = [
    [body.aTinId, body.aMl],
    [body.bTinId, body.bMl],
    [body.thinnerTinId, body.thinnerMl],
  ] as const;
  let cents = 0;
  for (const [tinId, ml] of parts) {
    if (ml === 0) continue;
    const price = priceOf(tinId);
    if (price === null) return null;
    cents += price * ml;
  }
  return cents / state.totalMl;
}

/** Amounts of thinner a mix was made with, % of its A + B. */
export const thinPctOf = (s: MixState): number =>
  (100 * s.fact.body.thinnerMl) / (s.fact.body.aMl + s.fact.body.bMl);
