import { recent } from '../../base/recent.ts';
import type { Survey } from '../../part/survey.ts';
import type { Act } from './act.ts';
import { shareOf } from './acts.ts';
import { CLEANLINESS } from './cleanliness.ts';
import { indexOfMatter, MATTERS, PRESENT, type Amounts, type Matter } from './matter.ts';

/** The metal's face at one moment of a route: what stands on it, and how it has been left. */
export interface Surface {
  readonly amounts: Amounts;
  /** Index in `CLEANLINESS`: the best that abrasion or blasting has reached. */
  readonly clean: number;
  /** Pickled or chelated: clean as Sa 2½ without a profile. */
  readonly isPickled: boolean;
  /** Peak to valley of the last abrasive, µm, least and most; null: none. */
  readonly profileUm: readonly [number, number] | null;
  readonly isBurnished: boolean;
  readonly isKeyed: boolean;
  readonly isSwept: boolean;
  readonly isConverted: boolean;
  /** Acts done, so that a repeat takes only what a repeat can. */
  readonly done: readonly string[];
}

/** A share in sixteenths taken of an amount; what is left is rounded up, so that halves do not vanish. */
const left = (amount: number, share: number): number => Math.ceil((amount * (16 - share)) / 16);

/** Matter that an act may take something of, by index, on any part. */
const concerns = new Map<Act, readonly number[]>();
function concernOf(a: Act): readonly number[] {
  let list = concerns.get(a);
  if (!list) {
    const takes = (m: Matter): boolean => m in a.takes || m === 'sound-paint' || m === 'loose-paint';
    concerns.set(a, (list = MATTERS.flatMap((m, i) => (takes(m) ? [i] : []))));
  }
  return list;
}

/** What an act takes of each matter on this part, by index, and what a repeat of it takes. */
interface Taken {
  readonly once: Wash['takes'];
  readonly again: Wash['takes'];
  readonly level: number;
}
const takenFor = recent((_: Survey) => new Map<Act, Taken>());
function takenOf(a: Act, s: Survey): Taken {
  const byAct = takenFor(s);
  let taken = byAct.get(a);
  if (!taken) {
    const once: (readonly [number, number])[] = [];
    const again: (readonly [number, number])[] = [];
    for (const i of concernOf(a)) {
      const share = shareOf(a, MATTERS[i]!, s);
      if (share === 0) continue;
      const take = [i, share] as const;
      once.push(take);
      if (a.repeats.includes(MATTERS[i]!)) again.push(take);
    }
    byAct.set(a, (taken = { once, again, level: CLEANLINESS.indexOf(a.clean) }));
  }
  return taken;
}

/** The surface after an act. Shares multiply; a repeat takes only where the act is marked for it. Pure. */
export function afterAct(from: Surface, a: Act, s: Survey): Surface {
  const { once, again, level } = takenOf(a, s);
  const isRepeat = from.done.includes(a.actId);
  const amounts = from.amounts.slice();
  for (const [i, share] of isRepeat ? again : once)
    if (amounts[i] !== 0) amounts[i] = left(amounts[i]!, share);
  for (const l of a.leaves) amounts[indexOfMatter(l)] = PRESENT;
  return {
    amounts,
    clean: a.pickles ? from.clean : Math.max(from.clean, level),
    isPickled: from.isPickled || a.pickles,
    profileUm: a.burnishes ? null : (a.profileUm ?? from.profileUm),
    isBurnished: a.burnishes || (from.isBurnished && a.profileUm === null),
    isKeyed: from.isKeyed || a.other === 'keyed',
    isSwept: from.isSwept || a.other === 'swept',
    isConverted: from.isConverted || a.other === 'converted',
    done: isRepeat ? from.done : [...from.done, a.actId],
  };
}

/** What a wash takes, as shares in sixteenths, and what it leaves: compiled once, for it is done often. */
export interface Wash {
  readonly takes: readonly (readonly [index: number, share: number])[];
  readonly leaves: readonly number[];
}
export const wash = (
  takes: Readonly<Partial<Record<Matter, number>>>,
  leaves: readonly Matter[] = [],
): Wash => ({
  takes: (Object.entries(takes) as [Matter, number][]).map(([m, share]) => [indexOfMatter(m), share]),
  leaves: leaves.map(indexOfMatter),
});

/** The surface after a wash: shares of some matter taken off and other matter laid on. */
export function washed(from: Surface, w: Wash): Surface {
  const amounts = from.amounts.slice();
  for (const [i, share] of w.takes) if (amounts[i] !== 0) amounts[i] = left(amounts[i]!, share);
  for (const i of w.leaves) amounts[i] = PRESENT;
  return {
    amounts,
    clean: from.clean,
    isPickled: from.isPickled,
    profileUm: from.profileUm,
    isBurnished: from.isBurnished,
    isKeyed: from.isKeyed,
    isSwept: from.isSwept,
    isConverted: from.isConverted,
    done: from.done,
  };
}
