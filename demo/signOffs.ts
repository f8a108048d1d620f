import { createHash } from 'node:crypto';
import { signedText, toSign, type Fact, type FactBodies } from '@calvetta/core';
import type { ShopFact } from '@calvetta/contract';
import type { Add } from './hours.ts';

const PART = 'saltern.wing-float-spare';
const INSPECTOR = 'orla';

/** As it stands in a ledger: times as figures, written down when it happened. */
const asFact = (f: ShopFact): Fact => {
  const [atMs, endedAtMs] = [Date.parse(f.happenedAt), f.endedAt === null ? null : Date.parse(f.endedAt)];
  return {
    ...f,
    happenedAtMs: atMs,
    endedAtMs,
    recordedAtMs: endedAtMs ?? atMs,
    deviceId: 'demo',
  };
};

/** A float that was finished two years ago: signed off; its film readings were then found to be another part's; and signed anew. */
export function demoSignOffs(add: Add, facts: readonly ShopFact[]): void {
  const film = (readingsUm: readonly number[]): FactBodies['film-read'] => ({
    scope: 'system',
    by: 'gauge',
    readingsUm,
    perSpot: 1,
    zero: 'smooth',
    profile: 'none',
    baseUm: null,
    rule: 'iso-19840',
    nominalUm: 120,
    minUm: null,
    maxUm: null,
  });
  const sign = (hoursAgo: number, words: string): void => {
    const covered = toSign(facts.filter((f) => f.partId === PART).map(asFact), []);
    const body = {
      scope: 'film' as const,
      words,
      standard: 'our own specification for floats, issue 2',
      facts: covered.facts.map((f) => f.factId),
      stock: [],
      sha256: createHash('sha256').update(signedText(covered)).digest('hex'),
      openFindings: 0,
    };
    add(PART, 'signed-off', hoursAgo, body, null, 0, INSPECTOR);
  };
  const first = add(
    PART,
    'film-read',
    17_200,
    film([88, 92, 96, 101, 84, 90, 95, 99, 87, 93]),
    null,
    0,
    'nell',
  );
  sign(17_180, 'film seen and measured, even, no runs');
  add(PART, 'film-read', 17_200, film([122, 124, 121, 130, 121, 127, 125, 119, 128, 122]), null, 0, 'nell');
  Object.assign(facts.at(-1)!, { supersedes: first });
  sign(17_000, 'measured anew with the readings of this float');
}
