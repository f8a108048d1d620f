import type { Headline } from '@calvetta/core';
import { HEADLINE_WORDS, stateTerm } from './bench.ts';

/** A word of the trade, or one of ours, with what it means: the matter first, in two sentences at most. */
export interface Term {
  readonly id: string;
  readonly word: string;
  readonly means: string;
}
const term = (id: string, word: string, means: string): Term => ({ id, word, means });

/** What each state of a part means, and what to do then. */
const STATES: Readonly<Record<Headline, string>> = {
  referred:
    'Something was found that a licensed person has to judge: a crack, wall lost on a critical part, or a sign that is not paint. Nothing goes over it until they have answered.',
  sent: 'It is with somebody who does something to it elsewhere. Nothing can be done to it here until it is back.',
  suspect:
    'Something on record does not fit: a wet film that was too thick, dew on a fresh coat, a reading nobody trusts. Look at it before the next coat.',
  out: 'The bare metal has stood too long in this air, or dew fell on it. Prepare it again.',
  refused:
    'A rule forbids the next coat over what is there. Change the product, or strip what is in its way.',
  unknown:
    'The sheet does not say how long the window is, or no temperature is known. Ask the maker, or read the air.',
  lift: 'The solvent of the next coat would lift this one just now. Wait until the band has passed, or let it harden and key it.',
  closing: 'The window shuts soon. Coat it first.',
  held: 'The coat is ready for the next, and the air or the metal is not: too damp, too cold, too near dew.',
  keyed:
    'Abraded all over, so that the next coat holds by its scratches. It counts as long as it stays clean.',
  open: 'The next coat may go on now, and bonds without abrading.',
  bare: 'Bare metal, ready for its first coat. Its clock runs by the damp of the air.',
  shut: 'The window has passed: the next coat would not bond by itself. Key it, and it opens again.',
  early: 'The last coat is too young for the next. It counts the temperature the part really had.',
  mending: 'A fault was found, and what mends it is under way.',
  curing: 'The last coat is on and hardens. Do not clamp, sling or stack it yet.',
  waiting: 'Nothing has been begun on it.',
  cured: 'The last coat is hard, and the system is complete.',
};

/** Words of the trade (ISO 4628, 8501, 8503, 12944 and common practice, put in our own words). */
const TRADE: readonly Term[] = [
  term(
    'cleanliness',
    'Sa 2½, St 3',
    'How clean the metal is. Sa is by blasting, St by hand or power tools; Sa 2½ leaves only faint stains, St 3 a metallic sheen.',
  ),
  term(
    'conversion',
    'conversion coating',
    'A thin film that chemistry makes out of the metal itself, on aluminium and zinc. Primer holds to it.',
  ),
  term(
    'corrosivity',
    'C1 to CX',
    'How hard a place is on paint: C1 a heated room, C2 a dry shed, C3 outdoors inland, C4 coast or industry, C5 harsh coast, CX offshore.',
  ),
  term(
    'dew-point',
    'dew point',
    'The temperature at which this air wets a surface. Coat only on metal at least 3 °C above it.',
  ),
  term(
    'dft',
    'film, DFT',
    'How thick a coat is when dry. Wet film, WFT, is what the comb shows before the thinner has gone.',
  ),
  term(
    'durability',
    'life',
    'Years to the first major work on the paint, by a published table. It is no guarantee.',
  ),
  term(
    'etch',
    'etch primer',
    'A very thin acid primer that bites into bare metal. It wants a coat over it soon, and not every product goes on it.',
  ),
  term('feather', 'feather', 'To sand the edge of old paint to a slope, so that it does not show through.'),
  term('flash-rust', 'flash rust', 'Rust that comes within minutes on wet, clean steel. Dry at once.'),
  term(
    'galvanic',
    'two metals',
    'Two metals in a wet joint make a battery: the lesser one is eaten. Isolate the joint, and coat the nobler one too.',
  ),
  term(
    'isocyanate',
    'isocyanate',
    'The hardener of two-pack urethanes. Its mist harms lungs for good: spray it only with an air-fed mask.',
  ),
  term('key', 'key', 'To abrade a surface so that the next coat holds by its scratches.'),
  term('levelling', 'level', 'To fill pits and sand them flat. Never on a part that an inspector must read.'),
  term(
    'mill-scale',
    'mill scale',
    'The blue-grey skin of rolled steel. Rust creeps under it, and paint goes off with it.',
  ),
  term(
    'mist-coat',
    'mist coat',
    'A thin first pass that lets the air out of a porous primer, before the full coat.',
  ),
  term(
    'one-pack',
    'one-pack, two-pack',
    'One-pack paint dries as it is. Two-pack paint hardens by its part B, and then no longer softens under solvent.',
  ),
  term(
    'phosphate',
    'phosphate film',
    'A grey film from acid on steel. Paint holds to it; zinc-rich primer does not, because its zinc must touch the steel.',
  ),
  term('pot-life', 'pot life', 'How long a mix may be used. It is shorter in the warm and in a full cup.'),
  term(
    'profile',
    'profile',
    'The roughness a blast leaves, from peak to valley. The film must cover the peaks.',
  ),
  term(
    'recoat',
    'recoat window',
    'From when to when the next coat may go on. It moves with the temperature the part had.',
  ),
  term(
    'salts',
    'salts',
    'From sea air and winter roads. They sit in pits and draw water through paint: wash them out, test, wash again.',
  ),
  term('stripe', 'stripe coat', 'A brushed coat on edges, welds and rivets, where paint pulls thin.'),
  term(
    'sweep',
    'sweep',
    'A light blast with fine mineral media that keys zinc and aluminium without cutting through.',
  ),
  term('t-wash', 'T-wash', 'An acid wash that blackens new zinc, so that primer holds.'),
  term(
    'water-break',
    'water break',
    'Water that pulls apart on metal shows oil. On clean metal it stays a sheet.',
  ),
  term(
    'wet-on-wet',
    'wet-on-wet',
    'The next coat goes on before this one has dried. Only where the sheet says so.',
  ),
  term(
    'zinc-rich',
    'zinc-rich, zinc phosphate',
    'Zinc-rich primer is metal that protects steel it touches. Zinc phosphate is a pigment in ordinary primers, and needs no such touch.',
  ),
  // Ours.
  term(
    'look-first',
    'look first',
    'A quick test that a route rests on. If it comes out otherwise, the page says what it comes to.',
  ),
  term('rack', 'rack', 'Parts that are coated together, in one gun load, one product, one colour.'),
  term(
    'rival',
    'rival',
    'Another route that holds, prepared or painted in another way, beside the advised one.',
  ),
  term(
    'section',
    'section',
    'The part’s film as a cut, to scale: the metal with its roughness, each coat, what is still to come dashed.',
  ),
  term(
    'stops-short',
    'stops short',
    'A coat that a rule refuses, drawn to where it fails, with what would mend it.',
  ),
  term(
    'usual',
    'usual: look',
    'An answer that stands because most parts of its kind are so. Nobody has looked yet.',
  ),
  term(
    'way',
    'way',
    'How the metal is prepared: blasted here, by bath, by chemistry, by hand, by a contractor, sent away, or with the old paint kept.',
  ),
];

/** Every word that a page explains, by its name. */
export const GLOSSARY: readonly Term[] = [
  ...(Object.keys(STATES) as Headline[]).map((h) => term(stateTerm(h), HEADLINE_WORDS[h], STATES[h])),
  ...TRADE,
].sort((a, b) => a.word.localeCompare(b.word, 'en'));

export const termOf = (id: string): Term | undefined => GLOSSARY.find((t) => t.id === id);
