import { originMs } from '../facts/envelope.ts';
import { ofKind, standingFacts, type StripMethod } from '../facts/part.ts';
import { causesOf } from '../inspect/faults/table.ts';
import { FAULTS, type FaultId } from '../inspect/faults/ids.ts';
import { findingsOf } from '../inspect/findings.ts';
import type { AnyFault } from '../inspect/kinds.ts';
import { trialOf } from '../inspect/trial.ts';
import type { Substrate } from '../part/substrate.ts';
import { partsInUse, type Snapshot } from './snapshot.ts';

/** How a product has held here, on a metal after a preparation: trials, and faults that were closed with a cause. */
export interface Learned {
  readonly productId: string;
  readonly substrate: Substrate;
  /** The last strip before; null: none on record. */
  readonly prep: StripMethod | null;
  readonly held: number;
  readonly failed: number;
}
/** Faults that say a coat did not hold. */
const LET_GO: readonly AnyFault[] = ['off-metal', 'between-coats', 'lifting', 'zinc-flakes'];

/** What the shop has learned of its products. It informs a choice and never moves the weights of causes. Pure. */
export function learnedHere(snapshot: Snapshot): Learned[] {
  const out = new Map<string, { held: number; failed: number } & Omit<Learned, 'held' | 'failed'>>();
  const count = (of: Omit<Learned, 'held' | 'failed'>, what: 'held' | 'failed'): void => {
    const key = `${of.productId}|${of.substrate}|${of.prep}`;
    const row = out.get(key) ?? { ...of, held: 0, failed: 0 };
    row[what] += 1;
    out.set(key, row);
  };
  for (const part of partsInUse(snapshot)) {
    if (!part.facts.some((f) => f.kind === 'adhesion-tried' || f.kind === 'finding-closed')) continue;
    const standing = standingFacts(part.facts);
    const strips = ofKind(standing, 'stripped');
    const about = (sheetId: string, atMs: number): Omit<Learned, 'held' | 'failed'> | null => {
      const sheet = snapshot.shop.sheets.get(sheetId);
      const prep = strips.findLast((s) => originMs(s) <= atMs)?.body.method ?? null;
      return sheet ? { productId: sheet.productId, substrate: part.row.substrate, prep } : null;
    };
    for (const trial of ofKind(standing, 'adhesion-tried')) {
      const of = about(trial.body.sheetId, originMs(trial));
      const verdict = trialOf(trial.body);
      if (of && verdict === 'sound') count(of, 'held');
      if (of && verdict === 'refuse') count(of, 'failed');
    }
    const coats = ofKind(standing, 'coated');
    for (const { fact, closed } of findingsOf(standing)) {
      const { fault, coatFactId } = fact.body;
      if (closed?.body.causeId === undefined || fault === undefined || !LET_GO.includes(fault)) continue;
      const coat = coats.find((c) => c.factId === coatFactId);
      const of = coat && about(coat.body.sheetId, originMs(coat));
      if (of) count(of, 'failed');
    }
  }
  return [...out.values()];
}

/** What is known here of a product on a metal, whatever the preparation; null: nothing. `isWarning`: it failed twice and never held. */
export function learnedOf(
  learned: readonly Learned[],
  productId: string,
  substrate: Substrate,
): { readonly held: number; readonly failed: number; readonly isWarning: boolean } | null {
  const own = learned.filter((l) => l.productId === productId && l.substrate === substrate);
  const held = own.reduce((s, l) => s + l.held, 0);
  const failed = own.reduce((s, l) => s + l.failed, 0);
  return held + failed === 0 ? null : { held, failed, isWarning: failed >= 2 && held === 0 };
}

/** A fault that was closed with its cause, of a product: what to mind when it is laid again. */
export interface Lesson {
  readonly productId: string;
  readonly fault: FaultId;
  readonly causeId: string;
  readonly times: number;
  readonly lastMs: number;
}

/** What has gone wrong here with each product, and why; what came oftest first, then last. Pure. */
export function lessonsHere(snapshot: Snapshot): Lesson[] {
  const out = new Map<string, Lesson>();
  for (const part of partsInUse(snapshot)) {
    if (!part.facts.some((f) => f.kind === 'finding-closed')) continue;
    const standing = standingFacts(part.facts);
    const coats = ofKind(standing, 'coated');
    for (const { fact, closed } of findingsOf(standing)) {
      const [fault, causeId] = closed?.body.causeId?.split(':') ?? [];
      const coat = coats.find((c) => c.factId === fact.body.coatFactId);
      const sheet = coat && snapshot.shop.sheets.get(coat.body.sheetId);
      if (!sheet || causeId === undefined || !isWeighed(fault)) continue;
      if (!causesOf(fault).some((c) => c.causeId === causeId)) continue;
      const key = `${sheet.productId}|${fault}|${causeId}`;
      const before = out.get(key);
      out.set(key, {
        productId: sheet.productId,
        fault,
        causeId,
        times: (before?.times ?? 0) + 1,
        lastMs: Math.max(before?.lastMs ?? -Infinity, originMs(closed!)),
      });
    }
  }
  return [...out.values()].sort((a, b) => b.times - a.times || b.lastMs - a.lastMs);
}
const isWeighed = (fault: string | undefined): fault is FaultId =>
  fault !== undefined && (FAULTS as readonly string[]).includes(fault);
