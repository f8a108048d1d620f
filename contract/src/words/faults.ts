import type { AnyFault, CauseIdOf, FaultId, ReferSign } from '@calvetta/core';

/** Names of faults (ISO 4618 and common practice, in our own words) and how each looks: people choose by the look. */
export const FAULT_WORDS: Readonly<Record<AnyFault, { readonly name: string; readonly look: string }>> = {
  sag: { name: 'sag or run', look: 'a curtain or a tear of paint that ran down' },
  'dry-spray': { name: 'dry spray', look: 'rough and sandy, without gloss' },
  cobwebbing: { name: 'cobwebbing', look: 'fine threads over the surface' },
  'orange-peel': { name: 'orange peel', look: 'dimpled all over like a peel' },
  craters: { name: 'craters, fisheyes', look: 'round bowls where the paint drew back' },
  blush: { name: 'blush', look: 'a milky haze in the film' },
  bloom: { name: 'amine bloom', look: 'a greasy or sticky film on epoxy' },
  'solvent-pop': { name: 'solvent pop', look: 'small burst bubbles with a rim' },
  pinholes: { name: 'pinholes', look: 'holes as by a needle, down to what lies below' },
  lifting: { name: 'wrinkling, lifting', look: 'the coat below swells up in wrinkles' },
  soft: { name: 'soft or slow', look: 'a nail still marks it when it should be hard' },
  'off-metal': { name: 'comes off the metal', look: 'flakes with bare metal behind them' },
  'between-coats': { name: 'comes off between coats', look: 'a coat peels and leaves the one below' },
  'rust-through': { name: 'rust through, blisters', look: 'rust spots or blisters with rust in them' },
  'dry-blisters': { name: 'blisters without rust', look: 'raised blisters, dry or wet, no rust' },
  uneven: { name: 'uneven film', look: 'thick and thin side by side by the gauge' },
  'colour-differs': { name: 'colour differs', look: 'one part or panel is another shade' },
  bleeding: { name: 'bleeding', look: 'brown or dark stain coming up from below' },
  scratches: { name: 'sanding scratches show', look: 'lines of the sanding under the gloss' },
  'torn-edge': { name: 'torn edge, residue', look: 'a ragged edge where the tape was' },
  dull: { name: 'dull', look: 'gloss that is gone or patchy' },
  nibs: { name: 'nibs', look: 'specks standing in the film' },
  cracks: { name: 'cracks', look: 'cracks or crazing through the film' },
  chalk: { name: 'chalking', look: 'white powder that comes off on a finger' },
  'zinc-flakes': { name: 'zinc primer crumbles', look: 'zinc-rich primer that powders or splits' },
  ripples: { name: 'ripples over filler', look: 'a wavy reflection over repaired places' },
  filiform: { name: 'threads under paint', look: 'fine worm tracks under paint on aluminium' },
  'white-corrosion': { name: 'white corrosion', look: 'white powder or leaves swelling off aluminium' },
  'two-metals-line': {
    name: 'rust line at a joint',
    look: 'rust or white salts along a joint of two metals',
  },
  'heat-discoloured': { name: 'discoloured by heat', look: 'brown or chalky where it gets hot' },
  'softened-by-fluid': { name: 'softened by fuel or brake fluid', look: 'wrinkled or gone where fluid ran' },
  chips: { name: 'chips', look: 'chips by stones or knocks' },
  mottled: { name: 'mottled metallic', look: 'clouds or stripes in a metallic' },
  'poor-hiding': { name: 'poor hiding', look: 'the colour below shows through' },
  'water-spots': { name: 'water spots', look: 'rings where drops dried' },
  'contact-prints': { name: 'prints', look: 'marks of what lay or was wrapped on it' },
  'filler-rings': { name: 'rings at filler edges', look: 'the outline of a repair shows' },
  'brush-marks': { name: 'brush marks', look: 'lines of the brush that did not flow out' },
  'gelled-bits': { name: 'gelled bits', look: 'clear or coloured lumps in the film' },
};

/** Signs in paint of something that is not paint, and who is asked. */
export const SIGN_WORDS: Readonly<Record<ReferSign, string>> = {
  'crack-over-weld': 'a crack through the paint over a weld or a hole',
  'trails-behind-rivets': 'black trails behind rivets',
  'rust-weeping': 'rust weeping from stays or seams',
  scorched: 'scorched paint',
  'stain-at-tank': 'a stain or a smell at a tank',
  bulge: 'a bulge',
  'slip-mark-moved': 'a slip mark that moved',
};

interface CauseWords {
  /** What went wrong. */
  readonly is: string;
  /** What to do next time. */
  readonly next: string;
}
const c = (is: string, next: string): CauseWords => ({ is, next });

/** Every cause in words, with what keeps it from happening again. */
export const CAUSE_WORDS: { readonly [F in FaultId]: Readonly<Record<CauseIdOf<F>, CauseWords>> } = {
  sag: {
    'wet-film': c('too much paint at once', 'Lay two thinner coats; check each with the comb.'),
    'slow-thinner-for-the-cold': c(
      'thinner too slow for the cold',
      'Take a faster thinner, or warm the part.',
    ),
    'gun-near-or-slow': c(
      'gun too near, too slow, or overlapped',
      'Keep 15 to 20 cm and half an overlap, and keep moving.',
    ),
    'gap-short': c('next coat too soon', 'Wait the flash the clock shows; it runs slower in the cold.'),
    'over-thinned': c('thinned too much', 'Measure the thinner, and check with the flow cup.'),
    'cold-part': c('the part was cold', 'Let the part come up to the air, or warm it first.'),
  },
  'dry-spray': {
    'thinner-fast-for-the-heat': c(
      'thinner too fast for the heat',
      'Take a slower thinner for the metal’s temperature.',
    ),
    'gun-far': c('gun too far away', 'Keep 15 to 20 cm.'),
    'hot-part': c('the part was hot', 'Spray in the cool of the day, out of the sun.'),
    'pressure-high': c('too much pressure', 'Lower the pressure until the fan just forms.'),
    draught: c('a draught carried the spray', 'Shut the door, and keep the extraction low and even.'),
    'falls-on-set-paint': c(
      'overspray fell on paint that had set',
      'Plan the passes so that the wet edge is met wet.',
    ),
  },
  cobwebbing: {
    'thick-or-old-paint': c(
      'paint too thick or too old',
      'Thin by the flow cup; throw away what is past its date.',
    ),
    'tip-or-pressure': c('tip or pressure wrong', 'Try on card until the fan is even.'),
    'fast-solvent': c('thinner too fast', 'Take a slower thinner.'),
  },
  'orange-peel': {
    'thick-or-cold-paint': c('paint too thick or too cold', 'Warm the paint, and thin by the flow cup.'),
    'fast-or-hot': c('thinner too fast, or the part hot', 'Take a slower thinner, or a cooler hour.'),
    'pressure-low': c('too little pressure', 'Raise the pressure until the spray is fine.'),
    'gun-far': c('gun too far away', 'Keep 15 to 20 cm.'),
    'film-thin': c('laid too thin to flow', 'Lay a full wet coat; check with the comb.'),
  },
  craters: {
    'silicone-wax-oil': c(
      'silicone, wax or oil',
      'Keep wax and silicone out of the room; degrease twice with clean rags.',
    ),
    'not-degreased': c(
      'not degreased well',
      'Degrease before sanding and again after; one cloth on, one off.',
    ),
    'air-line': c(
      'oil or water in the air line',
      'Drain the trap, and blow on a clean mirror before spraying.',
    ),
    'old-polish-below': c('old polish under it', 'Wash and degrease old gloss before it is abraded.'),
  },
  blush: {
    'damp-air-and-fast-thinner': c(
      'damp air with a fast thinner',
      'Wait for drier air, or take a slower thinner.',
    ),
    'near-dew': c(
      'the metal was near the dew point',
      'Keep the metal 3 °C above the dew point until it is dry to touch.',
    ),
    'water-in-the-air': c('water in the air line', 'Drain the trap before every session.'),
  },
  bloom: {
    'cold-or-damp-cure': c('cured cold or damp', 'Keep epoxy warm and dry until it can be handled.'),
    dew: c('dew on the young film', 'Keep heat on it through the night.'),
    'heater-fumes': c('fumes of a fuel heater', 'Heat without a flame in the room.'),
    'no-induction': c('used before its induction was over', 'Let the mix stand as its sheet says.'),
    ratio: c('wrong ratio', 'Weigh A and B on the scale.'),
  },
  'solvent-pop': {
    'wet-film': c('too much paint at once', 'Lay thinner coats.'),
    'flash-short': c('too little flash between coats', 'Wait until the clock opens.'),
    hot: c('hot metal, or heated too soon', 'Coat cool; heat only after the flash.'),
    skinned: c(
      'it skinned over before the solvent was out',
      'Take a slower thinner, and keep the draught off.',
    ),
  },
  pinholes: {
    'porous-metal-or-weld': c(
      'air out of porous metal or a weld',
      'A thin mist coat first, worked into the pores; then full coats.',
    ),
    'air-in-filler': c(
      'air stirred into the filler',
      'Fold filler, do not whip it; press it in with the knife.',
    ),
    'pits-not-cleaned': c('pits that were not clean', 'Blast or wash the pits out, and look with a glass.'),
    'first-pass-thick': c('first pass too thick', 'Begin with a thin one.'),
    'burst-pop': c('bubbles of solvent that burst', 'Thinner coats, longer flash.'),
  },
  lifting: {
    'lift-band': c('coated inside the lift band', 'Coat before the band or after it; the ribbon shows it.'),
    'solvent-on-old-or-one-pack': c(
      'strong solvent on old or one-pack paint',
      'Rub test first; take it off, or put a barrier between.',
    ),
    'etch-on-paint': c('etch primer on paint', 'Etch goes on bare metal only.'),
    'below-uncured': c('the coat below had not cured', 'Wait for its clock at the temperature it has.'),
    'thick-one-pack-skin': c(
      'a thick one-pack skinned and swelled',
      'Two thin coats, days apart in the cold.',
    ),
  },
  soft: {
    piled: c('coats piled wet on one another', 'One coat, its flash, the next; not three in an hour.'),
    cold: c('cured in the cold', 'Keep it above its cure minimum; cold stops it.'),
    'hardener-dead': c('hardener past its life', 'Date the tin when it is opened; throw it away in time.'),
    ratio: c('wrong ratio', 'Weigh A and B on the scale.'),
    'acid-of-etch': c('acid of the etch below', 'Take a follower that the etch’s sheet lists.'),
    damp: c('damp air ate the hardener', 'Keep the lid on, and wait for drier air.'),
    'wrong-part-b': c('hardener of another product', 'Check the name on both tins before mixing.'),
    'old-one-pack-tin': c('old one-pack paint', 'Try old paint on a card first.'),
    'not-baked': c('a baked finish that was not baked', 'Bring the metal to the temperature of its sheet.'),
  },
  'off-metal': {
    'wrong-primer': c('a primer this metal does not take', 'Choose a primer the route allows on this metal.'),
    'no-key-burnished': c(
      'no key: smooth or burnished metal',
      'Blast or abrade; a wire wheel only polishes.',
    ),
    oil: c('oil or sweat on the metal', 'Degrease twice; gloves from there on.'),
    phosphate: c('phosphate not rinsed', 'Rinse until the water is neutral, and dry fast.'),
    damp: c('damp on the metal', 'Keep 3 °C above the dew point, from the first coat to dry.'),
    'rust-scale-dust-left': c('rust, scale or dust left on', 'Look at the bare metal before it is hidden.'),
  },
  'between-coats': {
    'shut-not-keyed': c(
      'the window was shut and nobody keyed it',
      'Abrade all over when the window has shut.',
    ),
    bloom: c('bloom on the epoxy below', 'Wash epoxy with warm water before the next coat.'),
    dirt: c('wax, silicone or sweat between', 'Wipe with solvent just before the coat.'),
    dust: c('dust between', 'Blow off, then a tack cloth.'),
    'forbidden-pair': c('a pair its sheet forbids', 'Choose a follower that the sheet lists.'),
    damp: c('damp between the coats', 'Keep it 3 °C above the dew point between coats too.'),
    'chalked-below': c('a chalked coat below', 'Abrade chalk off before recoating.'),
  },
  'rust-through': {
    'primed-late': c('primed too late', 'Prime within the bare clock; it runs faster in damp air.'),
    salts: c('salts left in the metal', 'Wash with clean water, test for salt, wash again.'),
    'edges-peaks': c('thin paint on edges and peaks', 'Stripe every edge by brush before the full coat.'),
    pits: c('rust left in pits', 'Blast the pits clean, or treat and fill them.'),
    pinholes: c('pinholes below', 'Look for them with a lamp before the finish.'),
    crevice: c('a lap or crevice holds water', 'Seal the lap after the primer.'),
    knocks: c('knocks and chips', 'A tougher build where stones hit.'),
    'too-few-coats': c('too few coats', 'Lay the film that the route asks for; measure it.'),
  },
  'dry-blisters': {
    'solvent-trapped': c('solvent trapped', 'Longer flash, thinner coats.'),
    'salts-or-residue': c('salts or residue below', 'Rinse well, and test for salt.'),
    'wetted-early': c('wetted too early', 'Keep rain and dew off until it can be handled.'),
    'wet-filler': c('filler that was wet', 'Sand filler dry; dry it out before it is sealed.'),
    'air-or-heat': c('air or heat out of porous metal', 'Coat as the metal cools, not as it warms.'),
  },
  uneven: {
    swung: c('it swung as it was sprayed', 'Fix it at two points.'),
    overlap: c('uneven overlap', 'Half an overlap, one way and then across.'),
    access: c('hard to reach', 'Brush the hollows first, then spray.'),
  },
  'colour-differs': {
    batches: c('two batches', 'Box the tins together before the first coat.'),
    unstirred: c('not stirred', 'Stir from the bottom until nothing clings to the stick.'),
    hiding: c('not enough film to hide', 'One coat more; a primer nearer in shade.'),
    'metallic-laid-differently': c(
      'metallic laid wetter or drier',
      'Same gun, pressure and distance for every piece.',
    ),
    'aged-by-light': c('the old paint has aged', 'Match to the old paint and not to the card.'),
  },
  bleeding: {
    'oil-of-the-iron': c(
      'oil out of the iron',
      'Warm castings out and degrease until a white cloth stays white.',
    ),
    'bitumen-or-dye': c('bitumen or a dye below', 'Take it off; two-pack over bitumen always bleeds.'),
    rust: c('rust below', 'Back to clean metal.'),
    'peroxide-of-filler': c('too much peroxide in the filler', 'Weigh filler and hardener; seal with epoxy.'),
  },
  scratches: {
    'grit-coarse': c('grit too coarse', 'P400 under a finish, P600 under a metallic.'),
    'primer-shrank': c(
      'the primer shrank after it was covered',
      'Leave primer until it can be sanded, and two days.',
    ),
    'film-thin': c('finish too thin', 'Lay the film its sheet asks for.'),
    'solvent-swells': c('solvent swelled the coat below', 'Let it cure through, or use another pair.'),
  },
  'torn-edge': {
    'tape-late': c('tape pulled too late', 'Pull it while the paint is soft, back on itself.'),
    'tape-kind': c('the wrong tape', 'Fine-line tape for edges, and none left in the sun.'),
    'thick-over-it': c('too thick over the tape', 'Lay thin over the edge.'),
    heat: c('the tape was heated', 'Take it off before heat goes on.'),
  },
  dull: {
    dew: c('dew or damp on the young gloss', 'Finish early enough that it is dry before the evening.'),
    undercoat: c('the coat below drew it in', 'Let the undercoat dry, and keep overspray off it.'),
    thin: c('too thin', 'Lay a full coat.'),
    'fast-thinner': c('thinner too fast', 'Take a slower thinner.'),
    'ratio-hardener': c('ratio or hardener', 'Weigh, and check the hardener’s date.'),
  },
  nibs: {
    dust: c('dust', 'Damp the floor, wear a clean overall, tack cloth last.'),
    unstrained: c('not strained', 'Strain every cup.'),
  },
  cracks: {
    thick: c('too thick', 'Keep to the most its sheet allows.'),
    'hard-over-soft': c('a hard coat over a soft one', 'Let what is below cure, or take it off.'),
    'filler-thick': c('filler too thick', 'No more than 3 mm; beat or weld the rest.'),
    flexing: c('the metal flexes there', 'Let laps and panels move; a flexible sealant in the lap.'),
  },
  chalk: {
    'epoxy-in-the-sun': c('epoxy in the sun', 'Put a finish over it that stands the sun.'),
  },
  'zinc-flakes': {
    preparation: c('the metal was not blasted clean', 'Zinc wants Sa 2½ and a sharp profile.'),
    thick: c('too thick', 'Zinc splits above its most film: measure it.'),
    'alkyd-over': c('alkyd over zinc', 'A tie coat of epoxy first.'),
    'dry-or-unstirred': c('sprayed dry, or not kept stirred', 'Stir all the time; wet coats, gun near.'),
    'white-salts': c('white salts on the zinc', 'Wash them off before the next coat.'),
  },
  ripples: {
    unfinished: c('levelling stopped too soon', 'Guide coat and a long block until nothing shows.'),
    'filler-shrank': c('the filler shrank', 'Leave filler two days, and keep it thin.'),
  },
};
