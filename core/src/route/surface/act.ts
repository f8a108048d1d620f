import type { Facility } from '../../part/shopMeans.ts';
import type { Survey } from '../../part/survey.ts';
import type { Metal } from '../../products/traits.ts';
import type { Method, RoutePretreatment } from '../route.ts';
import type { Cleanliness } from './cleanliness.ts';
import type { Matter } from './matter.ts';

export const WAYS = ['send', 'contractor', 'blast', 'bath', 'chemical', 'hand', 'keep', 'not-paint'] as const;
/** How a part is prepared, in a word: the first of these that a sequence has. */
export type Way = (typeof WAYS)[number];

export type ActId = Method | RoutePretreatment;

export type Takes = Readonly<Partial<Record<Matter, number | ((s: Survey) => number)>>>;

/** A way of taking something off: what it takes, what it leaves, what the part must stand. Source: docs/surface.md 2. */
export interface Act {
  readonly actId: ActId;
  readonly way: Exclude<Way, 'send' | 'contractor' | 'not-paint'> | null;
  /** What the shop needs for it; `none`: nobody has it but a contractor; null: always at hand. */
  readonly needs: Facility | 'none' | null;
  /** Whether a contractor does it. */
  readonly goesOut: boolean;
  readonly metals: readonly Metal[];
  readonly takes: Takes;
  /** Of old paint: sound and loose, by kind. `unknown` counts as the worst of one-pack, two-pack and powder. */
  readonly paint: Readonly<
    Record<'one-pack' | 'two-pack' | 'powder', readonly [sound: number, loose: number]>
  >;
  /** Where doing it again takes its share again. Elsewhere a repeat takes nothing. */
  readonly repeats: readonly Matter[];
  readonly clean: Cleanliness;
  /** Pickled or chelated: as clean as Sa 2½, with no profile. */
  readonly pickles: boolean;
  readonly profileUm: readonly [number, number] | null;
  readonly burnishes: boolean;
  /** What it does to metals other than iron and steel. */
  readonly other: 'keyed' | 'swept' | 'converted' | null;
  readonly leaves: readonly ('dust' | 'chemical' | 'water' | 'phosphate')[];
  /** Least thickness, mm, of a flat sheet and of a stiff shape; null: any. */
  readonly leastMm: { readonly flat: number; readonly stiff: number } | null;
  /** Matter that must be off before it: it smears, spoils the bath, or keeps the act from the metal. */
  readonly wantsOff: readonly Matter[];
  /** It makes dust or fume of what it takes off. */
  readonly isDusty: boolean;
  readonly isWet: boolean;
}
