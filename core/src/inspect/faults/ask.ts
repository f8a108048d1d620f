import { EVIDENCE } from './codes.ts';
import { EVIDENCE_CODES, type EvidenceCode } from './ids.ts';
import type { Cause, Level } from './table.ts';
import {
  entropyBits,
  FACTOR,
  weighThese,
  withOpposites,
  yesChance,
  type Candidate,
  type Evidence,
  type Told,
} from './weigh.ts';

/** A question worth asking: what it is expected to settle, and what finding it out takes. */
export interface NextAsk {
  readonly code: EvidenceCode;
  readonly yesChance: number;
  /** Expected fall in entropy, bits. */
  readonly gainBits: number;
  readonly minutes: number;
}
/** Questions this near to one another in what they settle are put by how quickly they are answered. */
const NEAR_BITS = 0.05;
/** Less than this is not worth a walk to the part. */
const LEAST_BITS = 0.01;

/** How an answer to it would count: what is only remembered is weaker than what can be looked at now. */
export const answerTo = (code: EvidenceCode, says: Told['says']): Told => ({
  says,
  isWeak: EVIDENCE[code].asked === 'act',
});

/** How a cause speaks of a code, as a factor of a yes to it. */
function speaksOf(cause: Cause, code: EvidenceCode, isWeak: boolean): number {
  const level = (Object.entries(cause.speaks) as [Level, readonly EvidenceCode[]][]).find(([, codes]) =>
    codes.includes(code),
  )?.[0];
  if (!level) return 1;
  const weak: Readonly<Record<Level, number>> = {
    forStrong: FACTOR.for,
    for: 1,
    against: 1,
    againstStrong: FACTOR.against,
  };
  return isWeak ? weak[level] : FACTOR[level];
}

/** What answering it is expected to settle; `isWeak` as it would be told. */
export function askOf(
  candidates: readonly Candidate[],
  evidence: Evidence,
  code: EvidenceCode,
  isWeak = answerTo(code, 'yes').isWeak,
): NextAsk {
  const now = weighThese(candidates, evidence);
  const shareOf = new Map(now.causes.map((c) => [`${c.fault}:${c.causeId}`, c.share]));
  const chance = candidates.reduce(
    (sum, { fault, cause }) =>
      sum + shareOf.get(`${fault}:${cause.causeId}`)! * yesChance(speaksOf(cause, code, isWeak)),
    now.otherShare * yesChance(1),
  );
  const after = (says: Told['says']): number =>
    entropyBits(weighThese(candidates, new Map([...evidence, [code, { says, isWeak }]])));
  const left = chance * after('yes') + (1 - chance) * after('no');
  return { code, yesChance: chance, gainBits: entropyBits(now) - left, minutes: EVIDENCE[code].minutes };
}

/** What is not known yet and would settle most, best first: by bits, and where they are near by minutes. */
export function asksFor(candidates: readonly Candidate[], evidence: Evidence): NextAsk[] {
  const known = withOpposites(evidence);
  const spoken = new Set(candidates.flatMap(({ cause }) => Object.values(cause.speaks).flat()));
  const asks = EVIDENCE_CODES.filter((c) => spoken.has(c) && !known.has(c))
    .map((c) => askOf(candidates, evidence, c))
    .filter((a) => a.gainBits > LEAST_BITS)
    .sort((a, b) => b.gainBits - a.gainBits);
  const [best] = asks;
  if (!best) return [];
  const near = asks.filter((a) => a.gainBits >= best.gainBits - NEAR_BITS);
  const first = near.reduce((a, b) => (b.minutes < a.minutes ? b : a));
  return [first, ...asks.filter((a) => a !== first)];
}
