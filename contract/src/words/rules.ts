import type { Severity } from '@calvetta/core';

/** What a rule says, by its id: one sentence of judgement. Figures of a finding are shown beside it. */
export const RULE_WORDS: Readonly<Record<string, string>> = {
  'strip.bath-size': 'A bath or cabinet of a workshop holds what one person can lift and what fits it.',
  'strip.blast-assembled': 'Grit, lye and baths find their way into assembled units and their internals.',
  'strip.blast-first': 'A blasted profile holds best and shows every flaw: where it may be blasted, it is.',
  'strip.blast-machined':
    'Blasting pits machined faces, threads and bores, and fills oilways, that stand unmasked.',
  'strip.cadmium':
    'Cadmium is poison: no abrasion, no acid, nothing over 230 °C. It is stripped by licensed people.',
  'strip.caustic-seams':
    'Lye in seams and box sections weeps for years and lifts the paint: bare iron or steel in one piece only.',
  'strip.clad':
    'Abrasives cut through the thin clad layer of aluminium skins, and media stretch them: pad, solvent and licensed procedures only.',
  'strip.disc-edges': 'A disc takes thin edges and lips off with the paint.',
  'strip.facility': 'The shop does not have what this method needs, and no contractor does it.',
  'strip.fuel-tank': 'No heat, sparks or grinding on a fuel tank until it is certified gas-free.',
  'strip.hard-tools': 'Needle gun and rotary bristle peen: never on hardened or high-strength steel.',
  'strip.heat-gun-lead': 'A heat gun turns lead paint into poisonous fume.',
  'strip.heat-thin': 'A heat gun warps thin sheet. Never use it near fuel.',
  'strip.hydrogen':
    'Acid and electrolysis load springs, hardened and high-strength steel with hydrogen: it cracks later.',
  'strip.keep-etch':
    'An etch primer does not stand weather. Left open more than two days, it must come off before anything goes on.',
  'strip.keep-school': 'House practice: sound paint stays on and is keyed.',
  'strip.keep-show': 'A show finish cannot be built on old paint.',
  'strip.keep-unsound': 'Only paint that is there, and that you know is sound, can be kept.',
  'strip.lagging':
    'Lagging that may hold asbestos is surveyed by licensed people before anything is touched.',
  'strip.legacy-dust':
    'Lead or chromate in the paint: no dry dust here. Strip it wet or chemically, or send it to licensed people who blast contained.',
  'strip.legacy-test':
    'Old paint is tested for lead and chromate, through all its layers, before any of it becomes dust or fume.',
  'strip.metals':
    'Each act has its own metals: iron media and steel wire leave rust in light metals, baths eat them, strippers soften glass-fibre.',
  'strip.seals-bath': 'Baths, media and lye get into seals, glazing and wiring that stay in place.',
  'strip.solvent-seams': 'Stripper and acid that cannot be rinsed from a seam lift the next paint.',
  'strip.springs': 'Coarse grit, needles and a disc nick a spring, and it breaks at the nick.',
  'strip.strip-school': 'House practice: old paint comes off.',
  'strip.tar':
    'Coal tar burns the skin and causes cancer: a specialist says how it comes off before anyone scrapes it.',
  'strip.thin': 'Grit warps thin sheet and a needle gun dents it. A stiff shape stands more than a flat one.',
  'strip.wheel-school': 'House practice: no wire wheel.',
  'strip.white-metal-mask': 'Grit embeds in white metal: mask it before blasting.',
  'strip.white-metal-out':
    'White metal and solder come out before a bath, lye or heat: acid and lye eat them, heat melts them and makes lead fume.',
  'prep.asbestos-test':
    'Dark old filler, underseal and brake dust may hold asbestos: a sample is tested before they are scraped, sanded or blown.',
  'prep.bare-first': 'Strip and wash with acid before the first coat. Done after it, they take the coat off.',
  'prep.conversion-first': 'Aluminium outdoors holds paint longer over a conversion coating.',
  'prep.degrease-first': 'Degrease before any abrasive, or oil is ground into the metal and the abrasive.',
  'prep.flash-rust': 'Prime bare iron within its flash-rust limit. Put nothing that takes days in between.',
  'prep.glue-first': 'Glue comes off by scraper and solvent first: abrasives smear it into the profile.',
  'prep.inspect-bare':
    'A licensed person looks at bare pressure, structural, brake, steering, lifting and aircraft parts before paint hides anything.',
  'prep.openings':
    'Mask the openings of an assembled unit before the first wet act: water and solvent run into bearings and stay.',
  'prep.record-first': 'Record layers, colours and markings before they go.',
  'prep.salt-test':
    'Salts from coast or road stay in the pits, and blasting hides them: test, wash, test again.',
  'prep.test-fit': 'Bend, file and fit while it is bare: fitting after paint scratches paint.',
  'prep.warm-out':
    'Warm the oil out of a loose casting only: never with white metal, solder or seals in place, and never in a whole unit.',
  'prep.zinc-salts':
    'Zinc-rich primer left open over two days grows white salts: water and a brush before the next coat.',
  'surface.burnished':
    'A wire wheel burnishes: it hides rust under a glaze that paint does not hold to. Follow it with abrasive.',
  'surface.clean': 'The metal is not clean enough for this first coat.',
  'surface.first':
    'What smears, clogs or spoils comes off before the act: oil and glue before media, paint before a bath.',
  'surface.key':
    'This first coat has nothing to hold to: key a kept coat all over; key, sweep or convert other metals.',
  'surface.profile': 'This first coat does not hold to this roughness.',
  'surface.stands': 'Something still stands on the metal that this first coat does not stick to.',
  'metal.aluminium-warn':
    'Aluminium’s oxide regrows in hours: the first coat goes on the same day it is keyed.',
  'metal.casting-school': 'House practice on rough castings: primed, or straight to enamel.',
  'metal.diecast-trial': 'Zinc die-cast: two days’ adhesion trial on a hidden face first.',
  'metal.direct':
    'A finish goes straight on bare metal only on a rough casting, as a working finish, indoors, or thin where the form asks for it.',
  'metal.listed': 'The primer’s sheet must list the bare metal it goes on.',
  'metal.magnesium':
    'Magnesium burns as dust and corrodes under water: nothing abrades it, dry or wet, before a specialist has treated it.',
  'etch.alone': 'An etch does not stand weather: cover it.',
  'etch.die-cast': 'The acid of an etch eats zinc die-cast. Use epoxy, after its trial.',
  'etch.filler-on': 'Filler does not go straight on an etch.',
  'etch.follower':
    'Nothing goes on an etch but the follower its own sheet lists: acid left in it stops many epoxies.',
  'etch.over-conversion': 'A conversion coating or an etch, not both: each needs the bare metal.',
  'etch.on-coat':
    'An etch goes on bare metal: over another coat its acid has nothing to bite into, and stays.',
  'etch.over-filler': 'An etch does not go over filler: its acid stays in the filler.',
  'etch.school': 'House practice: etch wet-on-wet, or hardened and scuffed.',
  'etch.total-film': 'An etch has a most film altogether, however many passes you make.',
  'etch.wet-on-wet-listed': 'Wet-on-wet goes only where the etch sheet gives that window for this follower.',
  'zinc.alkyd-over':
    'Alkyd and oil paint turn to soap on zinc: zinc-rich, galvanised and die-cast alike. Tie-coat first.',
  'zinc.exposed': 'Blasted steel in a harsh place: zinc-rich under epoxy and topcoat lasts longest.',
  'zinc.gun': 'Zinc-rich settles and is sprayed; the brush is for stripes only.',
  'zinc.mist': 'A mist coat, a flash, then the full coat over zinc-rich: it is porous and bubbles.',
  'zinc.not-the-same':
    'Zinc-rich (metal), zinc phosphate (an inhibitor in ordinary primers) and zinc chromate (legacy, carcinogenic) are three things.',
  'zinc.old-paint': 'Zinc-rich over old paint touches no steel.',
  'zinc.phosphate':
    'A phosphate film keeps the zinc from touching the steel, and no test shows that blasting took it all out of the pits.',
  'zinc.steel-only': 'Zinc-rich protects by touching steel; on other metals it does nothing.',
  'over.base-clear': 'A metallic ground coat needs its clear over it.',
  'over.bitumen': 'Bitumen bleeds through and lifts everything modern: it comes off first.',
  'over.clear-alone': 'A clear is for metallics: over a plain colour it only adds hours.',
  'over.filler-place': 'Polyester filler does not go on zinc, under water, or on a phosphate film.',
  'over.metallic':
    'A metallic colour takes a ground coat, two coats of metallic and two of clear. A plain colour takes none of that.',
  'over.noble-metal': 'Copper, graphite and lead pigments never touch aluminium or magnesium.',
  'over.old-one-pack':
    'Old one-pack paint under a two-pack lifts unless a solvent rub leaves it alone and a barrier epoxy goes between.',
  'over.sheet-forbids': 'The sheet below forbids this follower.',
  'over.strong-solvent': 'Cellulose and lacquer thinners lift alkyd and oil paint below them.',
  'over.two-over-one': 'A two-pack over a one-pack lifts it.',
  'heat.bake': 'A heat finish cures only by a stepped bake: an oven, or the engine run up in steps.',
  'heat.limit': 'Every coat must stand the heat of service.',
  'heat.only-hot': 'A heat finish where it never gets hot stays soft and protects little.',
  'heat.primer': 'Heat finishes go on their own primer or on bare metal, 20–25 µm a coat.',
  'fit.bare': 'Machined faces, threads, bores and ports carry no paint: mask them before the first coat.',
  'fit.bolt-faces':
    'No paint under bolt heads or on torque-critical faces: it creeps and the bolt goes slack.',
  'fit.clearance': 'Paint on both faces eats the clearance of a close fit: mask it.',
  'fit.unmask': 'What is masked for paint is unmasked while the edge still cuts clean.',
  'finish.brush-show': 'Two-pack gloss by brush does not make a show finish.',
  'finish.chips': 'Stones and tools chip brittle finishes, and dark colours show it down to bright metal.',
  'finish.fuel': 'Fuel and oil soften one-pack enamels and lacquers.',
  'finish.hold-primer':
    'The colour is undecided, so the primer stands open and its window shuts. Abrade it before the colour.',
  'finish.hold-school':
    'House practice while the colour is undecided: a primer that stops rust, its later coats left open.',
  'finish.level-pits': 'Pits show through a show or as-built finish: level them.',
  'finish.one-batch': 'Parts of one colour group are coated from one batch.',
  'finish.pair-alike': 'Left and right are coated alike: same route, same session, same batch.',
  'finish.pressure-filler':
    'Pits on a pressure part stay visible: no filler, no levelling. An inspector must see what is left of the wall.',
  'finish.show-look': 'A show finish needs a finish that can be flatted and polished.',
  'finish.stands-alone': 'The last coat must be one that may stand by itself.',
  'finish.sun': 'Epoxy and primers chalk in sunlight: the last coat must hold the sun.',
  'finish.too-much': 'Meets the standard you set: levelling a working part only eats evenings.',
  'finish.unseen': 'Out of sight and dry: a primer or mastic alone does, and a finish only costs an evening.',
  'finish.weathers': 'Outdoors a two-pack finish keeps its gloss and colour for twice as long as a one-pack.',
  'protect.box-section': 'A box section rusts from inside: wax it, last of all.',
  'protect.bright-end':
    'Metal that stays bright is never left without an end: oil, lanolin film or paper as soon as the masking is off.',
  'protect.cavity-last':
    'Wax and oil come last, after all painting: any of it on a face still to be painted stops paint sticking.',
  'protect.fins-listed': 'Fins and radiators take one thin coat of a product that lists them, or none.',
  'protect.form-cap':
    'Its form carries little film: springs flex, fasteners must go together, fins give off heat, oil spaces shed flakes.',
  'protect.galvanic': 'Two metals in a wet joint eat the lesser one: isolate it, and coat the nobler too.',
  'protect.immersed-film':
    'Under a fluid the film is what the sheet says, in two coats at least, so that one pinhole does not go through.',
  'protect.immersion':
    'Under a fluid only what its sheet lists for that fluid; above the waterline a sun-fast finish that lists splash.',
  'protect.lining': 'A tank lining is for insides: outside it chalks, and nothing was meant to stick to it.',
  'protect.min-film': 'The film must reach what the exposure asks of this system.',
  'protect.most-film':
    'More film than the sheet allows, in one coat or altogether: it wrinkles, stays soft or cracks.',
  'protect.oil-space':
    'Crankcases, gearboxes and oilways stay bare and oiled, or take a thin oil-proof enamel: flakes of thick epoxy block oilways.',
  'protect.pressure-inside':
    'Water and fire sides of a boiler are never coated; a receiver only by its maker or the inspector.',
  'protect.refer-fluid':
    'Petrol, drinking water and brake fluid: the maker’s own system for that fluid, or a specialist. No generic coat.',
  'protect.stripe': 'Edges, welds and rivets pull paint thin: stripe them by brush from C3 up.',
  'protect.thin-primer': 'A primer thinner than one and a half times the profile leaves peaks bare.',
  'protect.water-traps': 'Fill or drain a water trap, or it rusts from under the paint.',
  'protect.wear-face': 'No coat lasts on a face that wears: coat it for the store, and oil it in use.',
  'work.answer-here': 'This answer without paint is not for this part.',
  'work.assembly-school': 'House practice: painted in pieces, or assembled as the works did.',
  'work.control-surface': 'A painted control surface is re-balanced by a licensed person before flight.',
  'work.cure-before-use': 'No clamping, slinging or stacking before the film has cured.',
  'work.gate-failed': 'The answer is known, and it is not one that this route goes on with.',
  'work.gate-place': 'What a route rests on is looked at or tested before anything is touched.',
  'work.isocyanate': 'Isocyanate is sprayed only with an air-fed mask; without one it is brushed.',
  'work.legacy-product': 'Chromate and red lead are legacy products: licensed use only.',
  'work.put-away': 'The shop put this product away: it is not offered until it is taken back.',
  'work.no-coats':
    'No coat, and no other end: a part is painted, preserved, sent away or left as it is on purpose.',
  'work.powder':
    'Powder is a contractor’s work, and only on what may be baked: no castings that gas, filler, solder, seals, white metal or sealed hollows.',
  'work.sand-cured': 'Epoxy dust is a hazard until it has cured a week: it is not dry-sanded sooner.',
  'work.tool': 'The sheet does not give this tool, or the shop or the place does not allow it.',
  'work.tool-school': 'House practice: gun or brush.',
  'work.unknown-product': 'A coat without a sheet has no window, no limits and no advice.',
};

export const SEVERITY_WORDS: Readonly<Record<Severity, string>> = {
  refuse: 'refuses',
  warn: 'warns',
  prefer: 'prefers',
};
