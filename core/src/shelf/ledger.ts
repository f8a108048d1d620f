import type { StockFact, StockFactOf } from '../facts/stock.ts';
import { CONTENTS, type Content, type Tin } from './tins.ts';

/** A standing coat that says which mix it came from and how much of it went through the tool. */
export interface CoatUse {
  readonly factId: string;
  readonly partId: string;
  readonly atMs: number;
  readonly mixId: string;
  readonly usedMl: number;
  /** Mixed, unthinned paint its film holds, mL: measured where it was, else as logged; null when the area is not known. */
  readonly filmMl: number | null;
  readonly isMeasured: boolean;
}

/** Where the litres of one content went, mL. `overspray` is the residual: what left the tool and is not on a part; all thinner ends there. */
export interface Account {
  readonly boughtMl: number;
  readonly inTinsMl: number;
  readonly mixedMl: number;
  readonly onPartsMl: number;
  readonly wasteMl: number;
  readonly oversprayMl: number;
  /** Stock-take differences and pours beyond what a tin held; below zero when paint was found. */
  readonly unexplainedMl: number;
}

/** What cannot be true together: shown, never balanced away. */
export type StockConflict =
  | {
      readonly code: 'film-above-pour';
      readonly factId: string;
      readonly partId: string;
      readonly filmMl: number;
      readonly pouredMl: number;
    }
  | { readonly code: 'used-more-than-mixed'; readonly mixId: string; readonly overMl: number }
  | { readonly code: 'poured-more-than-held'; readonly tinId: string; readonly overMl: number }
  | { readonly code: 'no-such-tin' | 'no-such-mix'; readonly factId: string };

export interface TinState {
  readonly tinId: string;
  readonly levelMl: number;
  readonly openedMs: number | null;
  readonly asksWeighing: boolean;
  readonly isBinned: boolean;
  readonly lastMs: number;
}
export interface MixState {
  readonly fact: StockFactOf<'mixed'>;
  /** All of it and what is still in the cup, mL, thinner included. */
  readonly totalMl: number;
  readonly leftMl: number;
  readonly uses: readonly { readonly factId: string; readonly partId: string | null; readonly ml: number }[];
}
export interface Ledger {
  readonly tins: ReadonlyMap<string, TinState>;
  readonly mixes: ReadonlyMap<string, MixState>;
  readonly accounts: Readonly<Record<Content, Account>>;
  readonly conflicts: readonly StockConflict[];
  /** Coats whose part has no area: all that was poured counts as on the part, and it is said. */
  readonly unsplit: readonly string[];
}

type Mutable<T> = { -readonly [K in keyof T]: T[K] };
const EMPTY: Account = {
  boughtMl: 0,
  inTinsMl: 0,
  mixedMl: 0,
  onPartsMl: 0,
  wasteMl: 0,
  oversprayMl: 0,
  unexplainedMl: 0,
};
/** Below a millionth of a millilitre a difference is rounding. */
const DUST_ML = 1e-6;

/** The volumes of a mix's contents, mL. */
const sharesOf = (m: StockFactOf<'mixed'>['body']): Readonly<Record<Content, number>> => ({
  paint: m.aMl,
  hardener: m.bMl,
  thinner: m.thinnerMl,
});

interface OpenMix {
  readonly fact: StockFactOf<'mixed'>;
  readonly totalMl: number;
  leftMl: number;
  readonly uses: { factId: string; partId: string | null; ml: number }[];
}

/** Replays standing facts and coats in order into tins, cups and accounts. Nothing is ever lost: bought = in tins + mixed + on parts + waste + overspray + unexplained. */
class Replay {
  readonly tins = new Map<string, Mutable<TinState>>();
  readonly mixes = new Map<string, OpenMix>();
  readonly accounts: Record<Content, Mutable<Account>> = {
    paint: { ...EMPTY },
    hardener: { ...EMPTY },
    thinner: { ...EMPTY },
  };
  readonly conflicts: StockConflict[] = [];
  readonly unsplit: string[] = [];
  private readonly known: ReadonlyMap<string, Tin>;
  constructor(known: ReadonlyMap<string, Tin>) {
    this.known = known;
  }

  private tin(tinId: string, factId: string): { state: Mutable<TinState>; account: Mutable<Account> } | null {
    const tin = this.known.get(tinId);
    if (!tin) {
      this.conflicts.push({ code: 'no-such-tin', factId });
      return null;
    }
    let state = this.tins.get(tinId);
    if (!state) {
      state = { tinId, levelMl: 0, openedMs: null, asksWeighing: false, isBinned: false, lastMs: 0 };
      this.tins.set(tinId, state);
    }
    return { state, account: this.accounts[tin.content] };
  }

  /** Takes from a tin; what it did not hold was there all the same, so it goes to the unexplained and the tin is to be weighed. */
  private draw(tinId: string, ml: number, factId: string, atMs: number): boolean {
    const t = this.tin(tinId, factId);
    if (!t) return false;
    const over = Math.max(0, ml - t.state.levelMl);
    t.state.levelMl = Math.max(0, t.state.levelMl - ml);
    t.state.openedMs ??= atMs;
    t.state.lastMs = atMs;
    if (over > DUST_ML) {
      t.state.asksWeighing = true;
      this.conflicts.push({ code: 'poured-more-than-held', tinId, overMl: over });
    }
    t.account.unexplainedMl -= over;
    return true;
  }

  stock(f: StockFact): void {
    switch (f.kind) {
      case 'tin-received': {
        const t = this.tin(f.body.tinId, f.factId);
        if (!t) return;
        t.state.levelMl += f.body.ml;
        t.account.boughtMl += f.body.ml;
        return;
      }
      case 'tin-opened': {
        const t = this.tin(f.body.tinId, f.factId);
        if (t) t.state.openedMs ??= f.happenedAtMs;
        return;
      }
      case 'tin-weighed': {
        const t = this.tin(f.body.tinId, f.factId);
        if (!t) return;
        t.account.unexplainedMl += t.state.levelMl - f.body.ml;
        t.state.levelMl = f.body.ml;
        t.state.asksWeighing = false;
        t.state.lastMs = f.happenedAtMs;
        return;
      }
      case 'tin-binned': {
        const t = this.tin(f.body.tinId, f.factId);
        if (!t) return;
        t.account.wasteMl += t.state.levelMl;
        t.state.levelMl = 0;
        t.state.isBinned = true;
        return;
      }
      case 'mixed':
        this.mix(f);
        return;
      case 'wasted':
        this.waste(f);
        return;
      case 'stock-voided':
        return;
    }
  }

  private mix(f: StockFactOf<'mixed'>): void {
    const { aTinId, bTinId, thinnerTinId } = f.body;
    const shares = sharesOf(f.body);
    const tins = { paint: aTinId, hardener: bTinId, thinner: thinnerTinId };
    let totalMl = 0;
    for (const content of CONTENTS) {
      const ml = shares[content];
      const tinId = tins[content];
      if (ml === 0) continue;
      totalMl += ml;
      // Poured from something not on the shelf: it came in and went out in one, and nobody can say from where.
      if (tinId === null || !this.draw(tinId, ml, f.factId, f.happenedAtMs))
        this.accounts[content].unexplainedMl -= ml;
    }
    this.mixes.set(f.body.mixId, { fact: f, totalMl, leftMl: totalMl, uses: [] });
  }

  /** Takes from a cup, no more than it holds; returns what came out of each content. */
  private take(
    mixId: string,
    ml: number,
    factId: string,
    partId: string | null,
  ): Record<Content, number> | null {
    const mix = this.mixes.get(mixId);
    if (!mix) {
      this.conflicts.push({ code: 'no-such-mix', factId });
      return null;
    }
    const taken = Math.min(ml, mix.leftMl);
    if (ml - mix.leftMl > DUST_ML)
      this.conflicts.push({ code: 'used-more-than-mixed', mixId, overMl: ml - mix.leftMl });
    mix.leftMl -= taken;
    mix.uses.push({ factId, partId, ml: taken });
    const shares = sharesOf(mix.fact.body);
    const part = mix.totalMl === 0 ? 0 : taken / mix.totalMl;
    return { paint: shares.paint * part, hardener: shares.hardener * part, thinner: shares.thinner * part };
  }

  private waste(f: StockFactOf<'wasted'>): void {
    const { mixId, tinId, ml } = f.body;
    if (mixId !== undefined) {
      const out = this.take(mixId, ml, f.factId, null);
      if (out) for (const c of CONTENTS) this.accounts[c].wasteMl += out[c];
    } else if (tinId !== undefined && this.draw(tinId, ml, f.factId, f.happenedAtMs))
      this.accounts[this.known.get(tinId)!.content].wasteMl += ml;
  }

  coat(use: CoatUse): void {
    const out = this.take(use.mixId, use.usedMl, use.factId, use.partId);
    if (!out) return;
    const solidMl = out.paint + out.hardener;
    const filmMl = use.filmMl ?? solidMl;
    if (use.filmMl === null) this.unsplit.push(use.factId);
    if (use.isMeasured && filmMl - solidMl > DUST_ML)
      this.conflicts.push({
        code: 'film-above-pour',
        factId: use.factId,
        partId: use.partId,
        filmMl,
        pouredMl: solidMl,
      });
    const onPart = solidMl === 0 ? 0 : Math.min(1, filmMl / solidMl);
    for (const c of ['paint', 'hardener'] as const) {
      this.accounts[c].onPartsMl += out[c] * onPart;
      this.accounts[c].oversprayMl += out[c] * (1 - onPart);
    }
    this.accounts.thinner.oversprayMl += out.thinner;
  }

  close(): Ledger {
    for (const [tinId, t] of this.tins) this.accounts[this.known.get(tinId)!.content].inTinsMl += t.levelMl;
    for (const m of this.mixes.values()) {
      const shares = sharesOf(m.fact.body);
      for (const c of CONTENTS)
        this.accounts[c].mixedMl += m.totalMl === 0 ? 0 : (shares[c] * m.leftMl) / m.totalMl;
    }
    return {
      tins: this.tins,
      mixes: this.mixes,
      accounts: this.accounts,
      conflicts: this.conflicts,
      unsplit: this.unsplit,
    };
  }
}

/**
 * The ledger of a shelf from its standing facts and the standing coats that name a mix. Pure; the order in which facts are
 * given does not matter, they are replayed by when they happened. Per content bought = in tins + mixed + on parts + waste +
 * overspray + unexplained, to rounding.
 */
export function ledgerOf(
  tins: readonly Tin[],
  standing: readonly StockFact[],
  coats: readonly CoatUse[],
): Ledger {
  const replay = new Replay(new Map(tins.map((t) => [t.tinId, t])));
  const uses = [...coats].sort((a, b) => a.atMs - b.atMs || (a.factId < b.factId ? -1 : 1));
  let next = 0;
  // A coat at the very moment of its mix comes after it.
  for (const f of standing) {
    while (next < uses.length && uses[next]!.atMs < f.happenedAtMs) replay.coat(uses[next++]!);
    replay.stock(f);
  }
  while (next < uses.length) replay.coat(uses[next++]!);
  return replay.close();
}

/** What an account does not explain, mL: zero to rounding in any ledger. */
export const imbalanceMl = (a: Account): number =>
  a.boughtMl - (a.inTinsMl + a.mixedMl + a.onPartsMl + a.wasteMl + a.oversprayMl + a.unexplainedMl);
