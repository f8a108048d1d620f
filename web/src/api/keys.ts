/** Names under which answers are kept: the one list of them, so that what is asked and what is dropped never miss each other. */
export const KEYS = {
  shop: ['shop'],
  people: ['people'],
  door: ['door'],
  accounts: ['door', 'accounts'],
  /** Below what it is of, so that what makes that stale makes this stale. */
  toSign: (of: 'part' | 'machine', id: string) => [of === 'part' ? 'part' : 'machines', id, 'to-sign'],
  bench: ['bench'],
  machines: ['machines'],
  part: (partId: string | null) => ['part', partId],
  /** Below its part, so that what makes the part stale makes this stale. */
  inspect: (partId: string) => ['part', partId, 'inspect'],
  inspectList: ['inspect'],
  learned: ['inspect', 'learned'],
  river: (query: string) => ['ledger', 'river', query],
  recall: (batch: string) => ['ledger', 'recall', batch],
  entry: (factId: string) => ['ledger', 'entry', factId],
  hours: ['ledger', 'hours'],
  care: ['aftercare'],
  air: (placeId: string | null) => ['air', placeId],
  climate: (placeId: string) => ['climate', placeId],
  sheets: ['sheets'],
  templates: ['templates'],
  plan: ['plan'],
  shelf: ['shelf'],
  /** Below the shelf, so that what makes it stale makes this stale. */
  planBuy: ['shelf', 'plan'],
  leftover: (mixId: string) => ['leftover', mixId],
  shopping: (scope: string) => ['shopping', scope],
  job: (jobId: string | null) => ['job', jobId],
} as const;

/** Everything that is derived from facts, readings and stock. */
export const DERIVED = [
  'bench',
  'machines',
  'part',
  'inspect',
  'ledger',
  'aftercare',
  'people',
  'air',
  'shelf',
  'leftover',
  'shopping',
] as const;
/** Asked for seldom; dropped by the write that changes it, by the first word of its path. */
const KEPT_LONG: Readonly<Record<string, readonly (keyof typeof KEYS)[]>> = {
  shop: ['shop'],
  people: ['shop'],
  gauges: ['shop'],
  places: ['shop'],
  probes: ['shop'],
  sheets: ['sheets'],
  templates: ['templates'],
  plan: ['plan', 'shelf'],
};
/** What of it is no longer true after a write to a path. */
export const staleAfter = (path: string): readonly string[] =>
  KEPT_LONG[/^\/(\w+)/.exec(path)?.[1] ?? ''] ?? [];
