import type { Survey } from '../../part/survey.ts';
import { shareOf, type Act } from './acts.ts';
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

const takenBy = new WeakMap<Survey, Map<Act, readonly number[]>>();
/** Shares of every matter that an act takes on this part. */
function sharesOf(a: Act, s: Survey): readonly number[] {
  let byAct = takenBy.get(s);
  if (!byAct) takenBy.set(s, (byAct = new Map<Act, readonly number[]>()));
  let shares = byAct.get(a);
  if (!shares) byAct.set(a, (shares = MATTERS.map((m) => shareOf(a, m, s))));
  return shares;
}

/** The surface after an act. Shares multiply; a repeat takes only where the act is marked for it. Pure. */
export function afterAct(from: Surface, a: Act, s: Survey): Surface {
  const shares = sharesOf(a, s);
  const isRepeat = from.done.includes(a.actId);
  const amounts = from.amounts.map((x, i) =>
    x === 0 || shares[i] === 0 || (isRepeat && !a.repeats.includes(MATTERS[i]!)) ? x : left(x, shares[i]!),
  );
  for (const l of a.leaves) amounts[indexOfMatter(l)] = PRESENT;
  const level = CLEANLINESS.indexOf(a.clean);
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
  return { ...from, amounts };
}
