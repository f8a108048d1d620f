import type { EvidenceCode, Evident, Figure } from '@calvetta/core';

/** A piece of evidence: what it says where it is so and where it is not, and how to ask for it. */
interface EvidenceWords {
  readonly is: string;
  readonly isNot: string;
  readonly ask: string;
}
const e = (is: string, isNot: string, ask: string): EvidenceWords => ({ is, isNot, ask });

export const EVIDENCE_WORDS: Readonly<Record<EvidenceCode, EvidenceWords>> = {
  'air-damp': e('damp air', 'air not damp', 'Was the air damp as it was laid?'),
  'air-dry': e('dry air throughout', 'air not dry throughout', 'Was the air dry, below 60 %, all the time?'),
  'bare-hand': e('touched with bare hands', 'not touched', 'Did anyone touch it with bare hands?'),
  'batches-differ': e('two batches', 'no two batches', 'Are there two batches in it? Look at the tins.'),
  'bitumen-below': e(
    'bitumen below',
    'no bitumen below',
    'Is there bitumen below? A rag with white spirit goes brown.',
  ),
  blasted: e('blasted', 'not blasted', 'Was the metal blasted?'),
  burnished: e('burnished by a wire wheel', 'not burnished', 'Was it cleaned with a wire wheel?'),
  'cast-iron': e('cast iron', 'no cast iron', 'Is it cast iron?'),
  'coats-few': e('fewer coats than the route asks', 'all coats of the route', 'Were coats left out?'),
  'cold-when-laid': e(
    'cold metal as it was laid',
    'metal warm enough as it was laid',
    'Was the metal cold, below 15 °C?',
  ),
  'cold-while-curing': e(
    'cold while it cured',
    'warm enough while it cured',
    'Did it stand cold as it cured?',
  ),
  'covered-young': e('covered young', 'not covered young', 'Was what lies below covered within two days?'),
  'cure-stalled': e(
    'cure stood still for a day',
    'cure never stood still',
    'Did it stand a day below its cure minimum?',
  ),
  dew: e('dew reached it', 'no dew reached it', 'Did dew fall on it?'),
  draught: e('a draught', 'no draught', 'Was there a draught, or an open door?'),
  dust: e('dust', 'no dust', 'Was there dust about?'),
  'epoxy-below': e('epoxy below', 'no epoxy below', 'Is the coat below an epoxy?'),
  'epoxy-on-etch': e('epoxy on etch', 'no epoxy on etch', 'Is it epoxy on an etch primer?'),
  'etch-first': e('etch as the first coat', 'first coat no etch', 'Is the first coat an etch primer?'),
  'etch-on-paint': e('etch on paint', 'etch not on paint', 'Did etch primer go on paint?'),
  'film-thick': e('film too thick', 'film not too thick', 'Is it too thick? Measure it with the gauge.'),
  'film-thin': e('film too thin', 'film not too thin', 'Is it too thin? Measure it with the gauge.'),
  'filler-below': e('filler below', 'no filler below', 'Is there filler below? Magnet and coin tap.'),
  'filler-soft': e('filler still soft', 'filler hard', 'Does a nail mark the filler?'),
  'filler-thick': e('filler too thick', 'filler not too thick', 'Is the filler over 3 mm? Magnet or gauge.'),
  'fixed-when-sprayed': e('held fast', 'not held fast', 'Was it held fast as it was sprayed?'),
  'fuel-heater': e(
    'fuel heater in the room',
    'no fuel heater',
    'Was there a gas or paraffin heater in the room?',
  ),
  'gap-short': e(
    'coated too soon after the last',
    'time between coats kept',
    'Was it coated sooner than the clock said?',
  ),
  'grit-coarse': e('grit too coarse', 'grit fine enough', 'Was the last grit coarser than P400?'),
  'gun-far': e('gun too far', 'gun not too far', 'Was the gun more than 25 cm away?'),
  'gun-near': e('gun too near', 'gun not too near', 'Was the gun nearer than 12 cm?'),
  'hard-to-reach': e('hard to reach', 'easy to reach', 'Is the place hard to reach with the gun?'),
  'hardener-dead': e(
    'hardener past its life',
    'hardener fresh',
    'Is the hardener old, thick or cloudy? Look into the tin.',
  ),
  'heated-soon': e('heated too soon', 'not heated too soon', 'Was heat put on before it had flashed?'),
  'heavy-overspray': e('heavy overspray', 'little overspray', 'Was there much overspray about?'),
  'hot-surface': e('hot metal', 'metal not hot', 'Was the metal hot, above 30 °C?'),
  'in-lift-band': e(
    'coated in the lift band',
    'not coated in the lift band',
    'Was it coated while the one below would lift?',
  ),
  'in-sun': e('stands in the sun', 'out of the sun', 'Does it stand in the sun?'),
  'in-window': e('coated in its window', 'not coated in its window', 'Was it coated inside the window?'),
  keyed: e('keyed before the coat', 'not keyed', 'Was it abraded all over before the coat?'),
  knocked: e('knocks and stones', 'no knocks', 'Do stones or knocks hit it there?'),
  'laid-outdoors': e('laid outdoors', 'laid indoors', 'Was it laid outdoors?'),
  'laps-or-flexes': e(
    'a lap, or metal that flexes',
    'no lap, nothing flexes',
    'Is it at a lap, or does the metal flex there?',
  ),
  'line-wet-or-oily': e(
    'water or oil in the air line',
    'air line clean',
    'Hold a mirror to the air line: drops or oil on it?',
  ),
  'low-still-showing': e(
    'low still showed under guide coat',
    'nothing showed under guide coat',
    'Did a guide coat still show low there?',
  ),
  metallic: e('a metallic', 'no metallic', 'Is it a metallic?'),
  'mixed-by-eye': e('mixed by eye', 'not mixed by eye', 'Was the ratio judged by eye?'),
  'mixed-by-scale': e('weighed on the scale', 'not weighed', 'Was it weighed on the scale?'),
  'near-dew': e(
    'within 3 °C of the dew point',
    'never within 3 °C of the dew point',
    'Was the metal near the dew point?',
  ),
  'no-induction': e(
    'used before its induction',
    'induction kept',
    'Was the mix used at once, without standing?',
  ),
  'no-phosphate': e('no phosphate', 'phosphated', 'Was it left without phosphate?'),
  'no-stripe-coat': e('no stripe coat', 'striped', 'Were the edges left without a stripe coat?'),
  'not-abraded': e('not abraded', 'abraded or blasted', 'Was it left without abrading?'),
  'not-baked': e('not baked', 'baked, or none to bake', 'Was it never baked?'),
  'not-degreased': e('not degreased', 'degreased', 'Was it not degreased?'),
  'not-rinsed': e('not rinsed', 'rinsed', 'Was the phosphate or stripper not rinsed off?'),
  'not-stirred': e('not stirred', 'stirred', 'Was the tin not stirred to the bottom?'),
  'not-strained': e('not strained', 'strained', 'Was the paint not strained?'),
  'not-warmed-out': e('not warmed out', 'warmed out', 'Was the casting not warmed out?'),
  'not-wiped': e('not wiped', 'wiped', 'Was it not wiped just before the coat?'),
  oil: e('oil on it', 'no oil', 'Warm it: does oil come out, or a white cloth go dark?'),
  'old-coat-kept': e('an old coat was kept', 'no old coat kept', 'Was an old coat kept below?'),
  'old-coat-resists': e(
    'the old coat resists solvent',
    'the old coat does not resist solvent',
    'Does the old coat stand a minute under a solvent rag?',
  ),
  'old-coat-softens': e(
    'the old coat softens under solvent',
    'the old coat does not soften',
    'Does the old coat soften under a solvent rag?',
  ),
  'old-colour-faded': e(
    'the old colour has faded',
    'the old colour is as it was',
    'Has the old paint faded?',
  ),
  'old-polish': e('old polish below', 'no old polish', 'Was the old gloss polished over the years?'),
  'one-batch': e('one batch', 'not one batch', 'Is it all one batch?'),
  'over-thinned': e(
    'thinned beyond its sheet',
    'not thinned beyond its sheet',
    'Was it thinned more than its sheet allows?',
  ),
  'overlap-uneven': e(
    'uneven overlap, or slow',
    'overlap even',
    'Was the gun slow there, or the overlap uneven?',
  ),
  'overspray-on-set': e(
    'overspray on set paint',
    'no overspray on set paint',
    'Did overspray fall on paint that had set?',
  ),
  'paint-old': e('paint past its date', 'paint in date', 'Is the paint past its date?'),
  'pair-forbidden': e(
    'a pair that is forbidden',
    'a pair that is allowed',
    'Does the sheet forbid this coat on that one?',
  ),
  'past-pot-life': e('mix past its pot life', 'mix within its pot life', 'Was the mix past its pot life?'),
  'pinholes-below': e(
    'pinholes below',
    'no pinholes below',
    'Wet sponge or lamp: pinholes in the coat below?',
  ),
  pits: e('pits', 'no pits', 'Are there pits under it?'),
  porous: e('porous metal or a weld', 'no porous metal', 'Is it a casting, or a weld?'),
  'prep-too-little': e(
    'prepared less than the rules ask',
    'prepared as the rules ask',
    'Was it only brushed or sanded?',
  ),
  'pressure-high': e('pressure high', 'pressure not high', 'Was the pressure high?'),
  'pressure-low': e('pressure low', 'pressure not low', 'Was the pressure low?'),
  'primed-in-time': e('primed in time', 'not surely primed in time', 'Was it primed within the hour?'),
  'primed-late': e('primed too late', 'not primed too late', 'Did the bare metal stand too long?'),
  'primer-wrong': e(
    'a primer the rules refuse here',
    'a primer the rules allow',
    'Do the rules refuse this primer on this metal?',
  ),
  'ratio-off': e('ratio off', 'ratio right', 'Was the ratio off?'),
  'rust-left': e('rust left on', 'no rust left on', 'Is there rust behind a flake? Look with a glass.'),
  'salt-air': e(
    'comes from coast or road',
    'not from coast or road',
    'Does it come from the coast or the road?',
  ),
  'salt-found': e('salt found', 'no salt found', 'Salt test: more than 50 mg/m²?'),
  'salt-low': e('salt test low', 'salt test not low', 'Salt test: below 20 mg/m²?'),
  'scale-left': e('mill scale left on', 'no scale left on', 'Is there blue-black scale behind a flake?'),
  'sharp-edges': e('sharp edges', 'no sharp edges', 'Is it along sharp edges or peaks?'),
  'silicone-near': e(
    'wax or silicone used in the same air',
    'no wax or silicone near',
    'Was wax, silicone or polish used near it that week?',
  ),
  'smooth-metal': e(
    'smooth metal below',
    'rough metal below',
    'Is the metal behind a flake smooth and bright?',
  ),
  'stacked-slow': e('coats piled wet', 'coats not piled', 'Were several coats laid wet on one another?'),
  'stripped-to-metal': e('stripped to the metal', 'not stripped to the metal', 'Was it taken back to metal?'),
  'suspect-below': e('the coat below was suspect', 'the coat below was sound', 'Was the coat below suspect?'),
  swung: e('it swung', 'it did not swing', 'Did it hang free and swing?'),
  'tape-unfit': e('wrong tape', 'right tape', 'Was it a cheap or old tape?'),
  'thinner-fast': e('thinner too fast', 'thinner not too fast', 'Was a fast thinner in it? Look at the tin.'),
  'thinner-slow': e('thinner too slow', 'thinner not too slow', 'Was a slow thinner in it? Look at the tin.'),
  'tip-wrong': e('wrong tip', 'right tip', 'Was the tip too small or too large?'),
  'unmasked-late': e(
    'tape left on until it was hard',
    'tape not left on',
    'Was the tape left on until it was hard?',
  ),
  'unmasked-soon': e(
    'tape pulled while soft',
    'tape not pulled while soft',
    'Was the tape pulled while the paint was soft?',
  ),
  'unthinned-thick': e('not thinned, and thick', 'thinned', 'Was it thick by the flow cup?'),
  'warm-cure': e(
    'warm all through its cure',
    'not warm all through its cure',
    'Did it stand warm, 18 °C and more, all the time?',
  ),
  'warmed-out': e('warmed out', 'not warmed out', 'Was the casting warmed out?'),
  'wet-sanded-filler': e('filler sanded wet', 'filler sanded dry', 'Was the filler sanded wet?'),
  'wetted-early': e(
    'wetted before it could be handled',
    'kept dry',
    'Did rain or water reach it on the first day?',
  ),
  'window-shut': e(
    'coated when the window was shut',
    'window not shut',
    'Was it coated after the window had shut, without abrading?',
  ),
  'wrong-hardener': e(
    'hardener of another product',
    'its own hardener',
    'Was the hardener of another product used?',
  ),
};

const ROUND: Readonly<Record<Figure['unit'], number>> = {
  µm: 0,
  min: 0,
  h: 1,
  K: 1,
  '°C': 1,
  '%': 0,
  '×': 1,
  mm: 0,
  d: 0,
  P: 0,
  coats: 0,
  '%off': 0,
};
const UNIT: Readonly<Partial<Record<Figure['unit'], string>>> = { '%off': '% off', d: 'days', K: '°C' };

/** A figure with what it was held against: "4 of 10 min", "12.0 °C, limit 15.0 °C". */
export function evidenceFigure(f: Figure): string {
  // Minutes of a flash; hours where a film was left for days.
  if (f.unit === 'min' && Math.max(f.value, f.limit ?? 0) > 180)
    return evidenceFigure({ value: f.value / 60, limit: f.limit === null ? null : f.limit / 60, unit: 'h' });
  const show = (x: number): string => x.toFixed(ROUND[f.unit]);
  const unit = UNIT[f.unit] ?? f.unit;
  if (f.unit === 'P')
    return f.limit === null ? `P${show(f.value)}` : `P${show(f.value)}, wanted P${show(f.limit)}`;
  if (f.limit === null) return `${show(f.value)} ${unit}`;
  if (f.unit === 'min' || f.unit === 'h' || f.unit === 'coats')
    return `${show(f.value)} of ${show(f.limit)} ${unit}`;
  return `${show(f.value)} ${unit}, limit ${show(f.limit)} ${unit}`;
}

/** A piece of evidence as one line: what is so or not so, with its figure. */
export function evidenceWords(
  e2: Pick<Evident, 'code' | 'says' | 'figure'>,
  show: (f: Figure) => string = evidenceFigure,
): string {
  const words = EVIDENCE_WORDS[e2.code];
  const said = e2.says === 'yes' ? words.is : words.isNot;
  return e2.figure === null ? said : `${said} (${show(e2.figure)})`;
}
