/** Kinds of binder the clocks treat differently. */
export const BINDERS = [
  'epoxy-2k',
  'urethane-2k',
  'polyester-2k',
  'zinc-epoxy-2k',
  'etch-2k',
  'etch-1k',
  'alkyd-1k',
  'oil-1k',
  'cellulose-1k',
  'acrylic-1k',
  'waterborne-1k',
  'silicone-heat',
  'moisture-urethane',
  'inorganic-zinc',
  'powder',
  'bitumen',
  'wax',
] as const;
export type Binder = (typeof BINDERS)[number];
