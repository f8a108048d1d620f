import { DAY_MS } from '../../base/time.ts';
import { PART_FACTS, standingFacts, type Fact, type FactKind } from '../../facts/part.ts';
import { batchKey } from '../../ledger/batch.ts';
import { MARK_OF, MARKS, type Mark } from '../../ledger/marks.ts';
import type { DerivedPart } from '../part.ts';
import type { Snapshot } from '../snapshot.ts';

/** What of the record is asked for; each left out asks for all. */
export interface RiverAsked {
  readonly fromMs?: number;
  readonly toMs?: number;
  readonly machineId?: string;
  readonly partId?: string;
  readonly personId?: string;
  readonly productId?: string;
  readonly batch?: string;
  readonly mark?: Mark;
  /** Words that the part, the kind, the product or anything written must hold, all of them. */
  readonly words?: string;
}
/** Entries of one mark in one stretch of a lane. */
export interface RiverBin {
  /** Which stretch, counted from the start. */
  readonly at: number;
  readonly mark: Mark;
  readonly n: number;
  /** Of coats: the colour of the product laid most. */
  readonly colour: string | null;
}
export interface RiverLane {
  readonly machineId: string;
  readonly name: string;
  readonly n: number;
  readonly bins: readonly RiverBin[];
}
export interface RiverEntry {
  readonly factId: string;
  readonly kind: FactKind;
  readonly mark: Mark;
  readonly partId: string;
  readonly partName: string;
  readonly machineName: string;
  readonly personName: string | null;
  readonly atMs: number;
  /** When it was written down, where that was more than a day after. */
  readonly lateMs: number | null;
  /** It was corrected or taken back since. */
  readonly isStanding: boolean;
  readonly isCorrection: boolean;
  readonly productName: string | null;
  readonly batch: string | null;
  readonly placeName: string | null;
  /** Kind and product of the step that it names. */
  readonly step: { readonly kind: string; readonly productName: string | null } | null;
  readonly fact: Fact;
}
export interface RiverView {
  readonly nowMs: number;
  readonly zone: string;
  readonly fromMs: number;
  readonly toMs: number;
  /** Length of a stretch, ms. */
  readonly stretchMs: number;
  readonly lanes: readonly RiverLane[];
  /** How many there are, and the newest of them. */
  readonly total: number;
  readonly entries: readonly RiverEntry[];
}

const MOST_ENTRIES = 200;
/** Stretches a lane is cut into: as many as a screen shows apart. */
const STRETCHES = 120;
const WRITTEN_LATE_MS = DAY_MS;

interface Known {
  readonly part: DerivedPart;
  readonly machineName: string;
  readonly fact: Fact;
  readonly isStanding: boolean;
}

/** The record of the whole shop as a river: lanes by machine, marks by kind, and the newest entries. Pure. */
export function riverOf(snapshot: Snapshot, asked: RiverAsked = {}): RiverView {
  const { shop, nowMs } = snapshot;
  const machineName = new Map(shop.machines.map((m) => [m.machineId, m.name]));
  const matches = matcher(snapshot, asked);
  const found = [...snapshot.parts.values()].flatMap((part): Known[] => {
    if (asked.machineId !== undefined && part.row.machineId !== asked.machineId) return [];
    if (asked.partId !== undefined && part.row.partId !== asked.partId) return [];
    const stands = new Set(standingFacts(part.facts).map((f) => f.factId));
    return part.facts
      .map((fact) => ({
        part,
        fact,
        machineName: machineName.get(part.row.machineId) ?? '',
        isStanding: stands.has(fact.factId),
      }))
      .filter(matches);
  });
  found.sort(
    (a, b) => b.fact.happenedAtMs - a.fact.happenedAtMs || b.fact.recordedAtMs - a.fact.recordedAtMs,
  );
  const toMs = asked.toMs ?? nowMs;
  const fromMs =
    asked.fromMs ?? found.reduce((least, k) => Math.min(least, k.fact.happenedAtMs), toMs - DAY_MS);
  const stretchMs = Math.max(1, (toMs - fromMs) / STRETCHES);
  return {
    nowMs,
    zone: shop.workshop.zone,
    fromMs,
    toMs,
    stretchMs,
    lanes: shop.machines.flatMap((m): RiverLane[] => {
      const own = found.filter((k) => k.part.row.machineId === m.machineId);
      if (own.length === 0) return [];
      const bins = binsOf(snapshot, own, fromMs, stretchMs);
      return [{ machineId: m.machineId, name: m.name, n: own.length, bins }];
    }),
    total: found.length,
    entries: found.slice(0, MOST_ENTRIES).map((k) => entryOf(snapshot, k)),
  };
}

function binsOf(snapshot: Snapshot, own: readonly Known[], fromMs: number, stretchMs: number): RiverBin[] {
  const bins = new Map<string, { at: number; mark: Mark; n: number; colours: Map<string, number> }>();
  for (const { fact } of own) {
    const at = Math.min(STRETCHES - 1, Math.max(0, Math.floor((fact.happenedAtMs - fromMs) / stretchMs)));
    const mark = MARK_OF[fact.kind];
    const key = `${at} ${mark}`;
    let bin = bins.get(key);
    if (!bin) bins.set(key, (bin = { at, mark, n: 0, colours: new Map() }));
    bin.n += 1;
    const colour =
      fact.kind === 'coated' ? snapshot.shop.sheets.get(fact.body.sheetId)?.bandColour : undefined;
    if (colour !== undefined) bin.colours.set(colour, (bin.colours.get(colour) ?? 0) + 1);
  }
  return [...bins.values()]
    .map(({ colours, ...bin }) => ({
      ...bin,
      colour: [...colours].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null,
    }))
    .sort((a, b) => a.at - b.at || MARKS.indexOf(a.mark) - MARKS.indexOf(b.mark));
}

/** The product an entry is about, where it is about one. */
const sheetOf = (snapshot: Snapshot, fact: Fact) =>
  'sheetId' in fact.body ? snapshot.shop.sheets.get(fact.body.sheetId) : undefined;
const batchOf = (fact: Fact): string | null => (fact.kind === 'coated' ? (fact.body.batch ?? null) : null);

function entryOf(snapshot: Snapshot, { part, fact, machineName, isStanding }: Known): RiverEntry {
  const { people } = snapshot.shop;
  return {
    factId: fact.factId,
    kind: fact.kind,
    mark: MARK_OF[fact.kind],
    partId: part.row.partId,
    partName: part.row.name,
    machineName,
    personName: people.find((p) => p.personId === fact.personId)?.name ?? null,
    atMs: fact.happenedAtMs,
    lateMs: fact.recordedAtMs - fact.happenedAtMs > WRITTEN_LATE_MS ? fact.recordedAtMs : null,
    isStanding,
    isCorrection: fact.supersedes !== null,
    productName: sheetOf(snapshot, fact)?.name ?? null,
    batch: batchOf(fact),
    placeName:
      fact.kind === 'moved'
        ? (snapshot.shop.places.find((p) => p.placeId === fact.body.placeId)?.name ?? null)
        : null,
    step: stepOf(snapshot, part, fact),
    fact,
  };
}

/** The step of the part's route that an entry says was done. */
function stepOf(snapshot: Snapshot, part: DerivedPart, fact: Fact): RiverEntry['step'] {
  if (fact.kind !== 'step-done') return null;
  const step = part.steps.find((s) => s.stepId === fact.body.stepId);
  const sheet = step?.sheetId ? snapshot.shop.sheets.get(step.sheetId) : undefined;
  return step ? { kind: step.kind, productName: sheet?.name ?? null } : null;
}

/** Everything that can be read of an entry, for a search by words. */
function textOf(snapshot: Snapshot, { part, fact, machineName }: Known): string {
  const written = Object.values(fact.body as Readonly<Record<string, unknown>>).filter(
    (v) => typeof v === 'string',
  );
  return [
    part.row.name,
    machineName,
    PART_FACTS[fact.kind].words,
    sheetOf(snapshot, fact)?.name ?? '',
    ...(fact.kind === 'surveyed' || fact.kind === 'route-set' ? [] : written),
  ]
    .join(' ')
    .toLowerCase();
}

function matcher(snapshot: Snapshot, a: RiverAsked): (k: Known) => boolean {
  const words = (a.words ?? '')
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '');
  const batch = a.batch === undefined ? null : batchKey(a.batch);
  return (k) => {
    const { fact } = k;
    if (a.fromMs !== undefined && fact.happenedAtMs < a.fromMs) return false;
    if (a.toMs !== undefined && fact.happenedAtMs > a.toMs) return false;
    if (a.personId !== undefined && fact.personId !== a.personId) return false;
    if (a.mark !== undefined && MARK_OF[fact.kind] !== a.mark) return false;
    if (a.productId !== undefined && sheetOf(snapshot, fact)?.productId !== a.productId) return false;
    if (batch !== null && batchKey(batchOf(fact) ?? '') !== batch) return false;
    if (words.length === 0) return true;
    const text = textOf(snapshot, k);
    return words.every((w) => text.includes(w));
  };
}
