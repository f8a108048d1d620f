import { FAMILIES, OPPOSITES } from './codes.ts';
import { type EvidenceCode } from './ids.ts';
import { causesOf, LATE_PRIORS, type Cause, type Level, type Only } from './table.ts';
import { type FaultId, type SeenAfter } from './ids.ts';

/** What is said of one piece of evidence. Weak: remembered and not logged, or only half so; it counts one level less. */
export interface Told {
  readonly says: 'yes' | 'no';
  readonly isWeak: boolean;
}
export type Evidence = ReadonlyMap<EvidenceCode, Told>;

/** How much likelier a yes makes a cause, by how it speaks of it. */
export const FACTOR: Readonly<Record<Level, number>> = {
  forStrong: 8,
  for: 3,
  against: 1 / 3,
  againstStrong: 1 / 8,
};
/** Of every fault so much is kept for what no table knows. */
export const OTHER_SHARE = 0.05;
const STRONGEST = 9;
const WEAKER: Readonly<Record<Level, Level | null>> = {
  forStrong: 'for',
  for: null,
  against: null,
  againstStrong: 'against',
};

/** How likely a yes was under a cause that speaks so of it: w/9, the one rule from which the weight of a no follows. */
export const yesChance = (factor: number): number => factor / STRONGEST;
const noFactor = (factor: number): number => (1 - yesChance(factor)) / (1 - yesChance(1));

export interface WeighInput {
  /** One look, or two that are both seen. */
  readonly faults: readonly FaultId[];
  readonly evidence: Evidence;
  /** What the film cannot be; a cause of only such films is left out. Unknown films leave nothing out. */
  readonly cannotBe: ReadonlySet<Only>;
  readonly seenAfter: SeenAfter | null;
}

export interface Weighed {
  readonly fault: FaultId;
  readonly causeId: string;
  /** 0…1, of everything that is weighed, what no table knows among it. */
  readonly share: number;
  /** Something that is so speaks for it, and not only what is not so against it. */
  readonly isSupported: boolean;
  /** What moved it most, up and down, strongest first. */
  readonly up: readonly EvidenceCode[];
  readonly down: readonly EvidenceCode[];
  /** Everything that speaks strongly for it and is so: causes act together. */
  readonly strong: readonly EvidenceCode[];
}
export interface Weighing {
  readonly causes: readonly Weighed[];
  /** What no table knows. */
  readonly otherShare: number;
  readonly verdict: 'decided' | 'undecided' | 'something-else';
}

/** A level's group of codes as it stands: whether it speaks, and by what. */
interface Block {
  readonly factor: number;
  readonly says: 'yes' | 'no';
  readonly level: Level;
  readonly by: readonly EvidenceCode[];
}

/** Any of its codes so: yes, by the strongest of them. All of them not so: one no. Else it says nothing. */
function blockOf(level: Level, codes: readonly EvidenceCode[], evidence: Evidence): Block | null {
  const yes = codes.filter((c) => evidence.get(c)?.says === 'yes');
  if (yes.length > 0) {
    const full = yes.filter((c) => !evidence.get(c)!.isWeak);
    const held = full.length > 0 ? level : WEAKER[level];
    return held && { factor: FACTOR[held], says: 'yes', level: held, by: full.length > 0 ? full : yes };
  }
  if (!codes.every((c) => evidence.get(c)?.says === 'no')) return null;
  const held = codes.some((c) => evidence.get(c)!.isWeak) ? WEAKER[level] : level;
  return held && { factor: noFactor(FACTOR[held]), says: 'no', level: held, by: codes };
}

const strength = (b: Block): number => Math.abs(Math.log(b.factor));
const familiesOf = (b: Block): number[] =>
  FAMILIES.flatMap((f, i) =>
    b.by.every((c) => f.includes(c)) || (b.says === 'no' && b.by.some((c) => f.includes(c))) ? [i] : [],
  );

/** Of blocks that are one thing seen twice the strongest; a yes beats a no, and two that contradict with equal force say nothing. */
function strongest(blocks: readonly Block[]): Block | null {
  const yes = blocks.filter((b) => b.says === 'yes');
  const among = yes.length > 0 ? yes : blocks;
  const most = Math.max(...among.map(strength));
  const top = among.filter((b) => strength(b) > most - 1e-9);
  const isSplit = top.some((b) => b.factor > 1) && top.some((b) => b.factor < 1);
  return isSplit ? null : top[0]!;
}

/** The blocks that count for a cause, after what is one thing seen twice was joined. */
function blocksOf(cause: Cause, evidence: Evidence): Block[] {
  const all = Object.entries(cause.speaks).flatMap(([level, codes]) => {
    const b = blockOf(level as Level, codes, evidence);
    return b ? [b] : [];
  });
  const groups: { families: Set<number>; blocks: Block[] }[] = [];
  for (const block of all) {
    const families = new Set(familiesOf(block));
    const joins = groups.filter((g) => [...g.families].some((f) => families.has(f)));
    const joined = { families, blocks: [block] };
    for (const g of joins) {
      groups.splice(groups.indexOf(g), 1);
      for (const f of g.families) joined.families.add(f);
      joined.blocks.unshift(...g.blocks);
    }
    groups.push(joined);
  }
  return groups.flatMap((g) => strongest(g.blocks) ?? []);
}

/** The evidence with what follows from it: where the one is so, its opposite is not. What was told itself stands. */
export function withOpposites(evidence: Evidence): Evidence {
  const out = new Map(evidence);
  for (const pair of OPPOSITES)
    for (const [a, b] of [pair, [pair[1], pair[0]] as const]) {
      const told = evidence.get(a);
      if (told?.says === 'yes' && !evidence.has(b)) {
        const known = out.get(b);
        // Of two that say it is not so, the firmer: which comes first in the table decides nothing.
        out.set(b, { says: 'no', isWeak: told.isWeak && (known?.isWeak ?? true) });
      }
    }
  return out;
}

/** A cause of a fault, as it stands before anything is known. */
export interface Candidate {
  readonly fault: FaultId;
  readonly cause: Cause;
  readonly prior: number;
}

/** The causes that can be at all of what was seen. */
export const candidatesOf = (input: Omit<WeighInput, 'evidence'>): Candidate[] =>
  input.faults.flatMap((fault) =>
    causesOf(fault)
      .filter((c) => c.only === null || !input.cannotBe.has(c.only))
      .map((cause) => ({
        fault,
        cause,
        prior: (input.seenAfter === 'years' ? LATE_PRIORS[fault]?.[cause.causeId] : undefined) ?? cause.prior,
      })),
  );

const codesBy = (blocks: readonly Block[], isUp: boolean): EvidenceCode[] =>
  blocks
    .filter((b) => b.factor > 1 === isUp)
    .sort((a, b) => strength(b) - strength(a))
    .flatMap((b) => b.by);

/**
 * Every cause that can be, by how likely it is on what is known: prior odds times the weight of each piece of evidence, with a share kept
 * for what no table knows. Unknown weighs nothing, and the order of answers does not matter. Pure.
 */
export function weighThese(candidates: readonly Candidate[], told: Evidence): Weighing {
  const evidence = withOpposites(told);
  const all = candidates.map((c) => ({ ...c, blocks: blocksOf(c.cause, evidence) }));
  const priors = all.reduce((s, c) => s + c.prior, 0);
  const weights = all.map(
    (c) => ((1 - OTHER_SHARE) * c.prior * c.blocks.reduce((f, b) => f * b.factor, 1)) / priors,
  );
  const total = weights.reduce((s, w) => s + w, OTHER_SHARE);
  const causes = all
    .map((c, i): Weighed => ({
      fault: c.fault,
      causeId: c.cause.causeId,
      share: weights[i]! / total,
      isSupported: c.blocks.some((b) => b.says === 'yes' && b.factor > 1),
      up: codesBy(c.blocks, true),
      down: codesBy(c.blocks, false),
      strong: (c.cause.speaks.forStrong ?? []).filter((code) => evidence.get(code)?.says === 'yes'),
    }))
    .sort((a, b) => b.share - a.share);
  return { causes, otherShare: OTHER_SHARE / total, verdict: verdictOf(causes, OTHER_SHARE / total) };
}
export const weigh = (input: WeighInput): Weighing => weighThese(candidatesOf(input), input.evidence);

/**
 * A cause is named where something speaks for it, and it holds at least two fifths and twice what the next one holds. Where nothing speaks for
 * any of them and something against each, it is something else.
 */
const NAMED_SHARE = 0.4;
function verdictOf(causes: readonly Weighed[], otherShare: number): Weighing['verdict'] {
  const [first, second] = causes;
  if (!first || otherShare > first.share) return 'something-else';
  if (causes.every((c) => !c.isSupported && c.down.length > 0)) return 'something-else';
  const next = Math.max(second?.share ?? 0, otherShare);
  const isNamed = first.isSupported && first.share >= NAMED_SHARE && first.share >= 2 * next;
  return isNamed ? 'decided' : 'undecided';
}

/** Bits that are still open between the causes. */
export const entropyBits = (w: Weighing): number =>
  [...w.causes.map((c) => c.share), w.otherShare].reduce((h, p) => (p > 0 ? h - p * Math.log2(p) : h), 0);
