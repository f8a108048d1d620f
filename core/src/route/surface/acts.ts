import { recent } from '../../base/recent.ts';
import type { Survey } from '../../part/survey.ts';
import type { Substrate } from '../../part/substrate.ts';
import type { Act, ActId } from './act.ts';
import { ACTS } from './actsTable.ts';
import { amountOf, TRACES, type Amounts, type Matter } from './matter.ts';

const BY_ID = new Map(ACTS.map((a) => [a.actId, a]));
/** The act of an id; a route from outside may name one that is not known. */
export const actOf = (id: string): Act | undefined => BY_ID.get(id as ActId);

/** Acts that take some of a matter off, best share first; sound and loose paint by the kind of the coat. */
export function actsThatTake(m: Matter, s: Survey): readonly Act[] {
  const byMatter = takersFor(s);
  let acts = byMatter.get(m);
  if (!acts) {
    acts = ACTS.map((a) => ({ a, share: shareOf(a, m, s) }))
      .filter((x) => x.share > 0)
      .sort((x, y) => y.share - x.share)
      .map((x) => x.a);
    byMatter.set(m, acts);
  }
  return acts;
}
/** Dozens of refusals over one survey name the same few matters. */
const takersFor = recent((_: Survey) => new Map<Matter, readonly Act[]>());

const KINDS = ['one-pack', 'two-pack', 'powder'] as const;
/** Sixteenths of a matter that an act takes on this part. */
export function shareOf(a: Act, m: Matter, s: Survey): number {
  if (m === 'sound-paint' || m === 'loose-paint') {
    const i = m === 'sound-paint' ? 0 : 1;
    const kind = s.coatKind;
    if (kind === 'bitumen') return 0;
    return kind === 'unknown' ? Math.min(...KINDS.map((k) => a.paint[k][i])) : a.paint[kind][i];
  }
  const t = a.takes[m];
  return t === undefined ? 0 : typeof t === 'function' ? t(s) : t;
}

/** Galvanised sheet keeps its zinc: what takes the zinc off is not for it. */
export const spoilsZinc = (id: ActId, substrate: Substrate): boolean =>
  substrate === 'galvanised' &&
  !['sweep', 'pad', 't-wash', 'keep', 'hand', 'solvent-stripper', 'scrape', 'spot-disc', 'spot-wet'].includes(
    id,
  );

/** Matter that stands in the way of an act on a surface; null: it may begin. */
export const standsBefore = (a: Act, amounts: Amounts): Matter | null =>
  a.wantsOff.find((m) => amountOf(amounts, m) > TRACES) ?? null;
