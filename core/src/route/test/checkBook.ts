import type { Part as SurfacePart, Step } from './checkSurface.ts';

export interface Part extends SurfacePart {
  readonly finish: string;
  readonly fuel: string;
  readonly metallic: string;
  readonly reach: string;
  readonly lagging: string;
  readonly sun: string;
  readonly concealed: string;
  readonly clearanceUm: number | null;
  readonly colourUndecided: boolean;
  readonly priorPrimer: string;
  readonly primerDays: number | null;
  readonly durability: string;
  readonly leaks: string;
}
/** What the shop has, and its practice where a rule hangs on it. */
export interface Shop {
  readonly facilities: readonly string[];
  readonly schools: { readonly wireWheel: string; readonly undecided: string };
}

/** A family as docs/trade.md 5 and its sheet describe it. */
export interface Entry {
  readonly packs: 1 | 2;
  readonly family: string;
  readonly hotC: number;
  readonly sun: boolean;
  readonly role: string;
  /** Usual, most in one coat, and most altogether, µm. */
  readonly um: readonly [usual: number, coat: number, all: number];
  readonly tools: string;
}
/** packs class °C sun role usual/coat/all tools: g gun, b brush, r roller, a aerosol */
const BOOK_LINES = `
epoxy-primer 2 epoxy 120 - primer 60/100/400 gbr
epoxy-mastic 2 epoxy 120 - primer 100/200/400 gbr
epoxy-aero 2 epoxy 120 - primer 25/40/400 gbr
epoxy-build 2 epoxy 120 - intermediate 120/200/400 gbr
tie-coat 2 epoxy 120 - intermediate 25/40/400 gbr
zinc-epoxy 2 zinc 150 - primer 60/90/120 g
zinc-silicate 2 zinc 400 - primer 75/100/120 g
etch-2k 2 etch 90 - etch 10/13/13 gba
etch-1k 1 etch 90 - etch 15/25/25 ga
zp-alkyd 1 alkyd 90 - primer 45/60/200 gbr
heat-primer 1 heat-primer 200 - primer 20/25/50 gbr
enamel 1 alkyd 90 sun finish 35/45/200 gbr
engine-enamel 1 alkyd 180 sun finish 30/40/200 gbr
linseed 1 oil 90 sun finish 35/45/150 b
red-lead 1 oil 90 - primer 40/50/150 b
chromate-primer 1 alkyd 90 - primer 20/30/200 gbr
surfacer-2k 2 surfacer 120 - filler 80/150/300 gbr
gloss-2k 2 urethane 120 sun finish 45/60/300 gbr
engine-2k 2 urethane 150 sun finish 45/60/300 gbr
metallic-base 1 base 90 - intermediate 15/20/120 ga
clear-2k 2 urethane 120 sun clear 45/60/300 gbr
moisture-primer 2 moisture 110 - primer 60/90/300 gbr
moisture-finish 2 moisture 110 sun finish 50/75/300 gbr
cellulose 1 lacquer 90 sun finish 20/30/150 ga
waterborne 1 water 90 sun finish 40/60/150 gbr
heat-black 1 heat 500 sun finish 22/25/50 gba
heat-aluminium 1 heat 600 sun finish 20/25/50 gba
tank-lining 2 epoxy 120 - finish 150/250/400 gb
powder 1 powder 150 sun finish 80/120/150 g
bitumen 1 bitumen 60 - finish 75/150/300 gbr`;
export const BOOK = new Map(
  BOOK_LINES.trim()
    .split('\n')
    .map((line): [string, Entry] => {
      const [id, packs, family, hotC, sun, role, um, tools] = line.split(' ');
      const [usual, coat, all] = um!.split('/').map(Number) as [number, number, number];
      return [
        id!,
        {
          packs: Number(packs) as 1 | 2,
          family: family!,
          hotC: Number(hotC),
          sun: sun === 'sun',
          role: role!,
          um: [usual, coat, all],
          tools: tools!,
        },
      ];
    }),
);
export const WORKED_WET = ['fresh-water', 'brine', 'splash', 'mineral-oil', 'diesel'];
/** Fluids that a family stands for good. */
export const stands = (id: string, e: Entry): readonly string[] =>
  id === 'engine-enamel'
    ? ['mineral-oil']
    : e.family === 'epoxy'
      ? WORKED_WET
      : e.family === 'urethane' || e.family === 'surfacer'
        ? ['splash']
        : [];

/** Bare quantities that the checks below share. */
export interface Look {
  readonly part: Part;
  readonly shop: Shop;
  readonly steps: readonly Step[];
  readonly paint: readonly Step[];
  readonly does: (m: string) => boolean;
  readonly first: (test: (s: Step) => boolean) => number;
  readonly last: (test: (s: Step) => boolean) => number;
  readonly strip: number;
  readonly paint0: number;
  readonly paint1: number;
  readonly keeps: boolean;
  readonly iron: boolean;
  readonly bad: (yes: boolean, why: string) => void;
}
