import type { Substrate } from './substrate.ts';

/** What people call metals, in small letters (common practice, no published source). The longest word that fits is meant. */
const WORDS: readonly (readonly [Substrate, readonly string[]])[] = [
  ['grey-iron', ['grey iron', 'gray iron', 'grey cast iron', 'cast iron', 'cast', 'iron', 'ci']],
  [
    'ductile-iron',
    ['ductile iron', 'ductile', 'nodular iron', 'sg iron', 's.g. iron', 'spheroidal graphite'],
  ],
  ['cast-steel', ['cast steel', 'steel casting']],
  [
    'steel-plate',
    [
      'steel plate',
      'mild steel',
      'steel',
      'plate',
      'ms',
      'm.s.',
      'bar',
      'angle',
      'section',
      'wrought iron',
      'forging',
      'forged steel',
    ],
  ],
  ['steel-sheet', ['steel sheet', 'sheet steel', 'sheet', 'sheet metal', 'tin', 'pressing', 'panel']],
  ['galvanised', ['galvanised steel', 'galvanised', 'galvanized steel', 'galvanized', 'galv', 'zinc plated']],
  [
    'aluminium-wrought',
    ['aluminium sheet', 'aluminum sheet', 'aluminium', 'aluminum', 'ally', 'alloy sheet'],
  ],
  [
    'aluminium-cast',
    [
      'cast aluminium',
      'cast aluminum',
      'ally casting',
      'cast ally',
      'alloy casting',
      'aluminium casting',
      'cast alloy',
    ],
  ],
  ['magnesium', ['magnesium', 'mag', 'magnesium casting']],
  [
    'zinc-diecast',
    [
      'zinc die-cast',
      'zinc diecast',
      'zinc die cast',
      'zinc casting',
      'die cast',
      'diecast',
      'die-cast',
      'pot metal',
      'monkey metal',
    ],
  ],
  ['copper-alloy', ['copper alloy', 'brass', 'bronze', 'gunmetal', 'gun metal', 'copper', 'phosphor bronze']],
  ['stainless', ['stainless', 'stainless steel', 'inox', 'ss']],
  ['glass-fibre', ['glass-fibre', 'glass fibre', 'fibreglass', 'fiberglass', 'grp']],
  ['timber-backed-steel', ['timber-backed steel', 'timber backed steel', 'steel on wood', 'steel over ash']],
];
const BY_WORD: ReadonlyMap<string, Substrate> = new Map(
  WORDS.flatMap(([substrate, words]) => [
    [substrate, substrate] as const,
    ...words.map((w) => [w, substrate] as const),
  ]),
);

const tidy = (text: string): string => text.trim().toLowerCase().replaceAll(/\s+/g, ' ');

/** A metal as people write it (“mild steel”, “ally casting”); null where no word of it is known. */
export function metalOf(text: string): Substrate | null {
  const said = tidy(text);
  const exact = BY_WORD.get(said);
  if (exact) return exact;
  // A zinc face decides more than the sheet under it.
  if (/galv|zinc.plat/.test(said)) return 'galvanised';
  let best: { readonly word: string; readonly substrate: Substrate } | null = null;
  for (const [word, substrate] of BY_WORD)
    if (
      word.length > (best?.word.length ?? 2) &&
      new RegExp(`(^|[^a-z])${word.replaceAll('.', '\\.')}([^a-z]|$)`).test(said)
    )
      best = { word, substrate };
  return best?.substrate ?? null;
}
