/** Cautions shown where they bite; each defers to local codes and the maker's sheet. */
export const CAUTION_WORDS: Readonly<Record<string, string>> = {
  isocyanate:
    'Isocyanate: spray only with an air-fed mask; brushed, ventilate and cover skin and eyes. Follow the maker’s sheet and local rules.',
  epoxy: 'Epoxy sensitises skin: gloves, and no dry sanding of uncured film.',
  acid: 'Acid: goggles and gloves; rinse with clean water.',
  solvent: 'Solvent vapour: ventilate, no ignition, earth the container.',
  zinc: 'Zinc dust settles: keep it stirred. Weld or cut zinc only with fume extraction.',
  heat: 'Cures only by a stepped bake; fumes as it does.',
  filler: 'Peroxide hardener: away from driers, rags and old stock.',
  asbestos: 'Lagging may hold asbestos: licensed survey first; touch nothing.',
  'fuel-tank':
    'Fuel tank: no heat, grinding or sparks until certified gas-free by someone licensed to say so.',
  lead: 'Old paint may hold lead or chromate: test first, no dry dust, local rules.',
  chromate: 'Chromate is carcinogenic: licensed use only.',
  'refer-critical':
    'A licensed person inspects this bare, before paint hides anything. Calvetta coats, it does not judge.',
  'metal-fire': 'Magnesium dust and swarf burn: no water, no sparks; a specialist treats it.',
  dust: 'Dust: mask, eyes, extraction; no silica media ever.',
  blast: 'Blasting: fed hood or closed cabinet, never silica sand; slags carry toxic metals.',
  oxygen: 'Dry ice displaces oxygen: ventilate, never in a pit.',
  'flash-rust': 'Flash rust returns in minutes: dry at once and prime.',
  electrolysis: 'Never a stainless anode; hydrogen: open air, no sparks.',
  lye: 'Caustic burns: face, gloves, apron; rinse seams for hours.',
  stripper: 'Stripper: skin, eyes and fume; never near welding or hot surfaces.',
  eyes: 'Wire and chips fly: full face, and nobody beside you.',
  'oily-rags': 'Oily rags heat by themselves: lidded metal bin of water.',
  'frost-kills': 'Frost kills the tin.',
  tar: 'Coal tar burns skin and causes cancer: a specialist first; gloves, no dust, no heat.',
  fire: 'Warming oil out makes vapour: no flame near solvent, open doors, an extinguisher at hand.',
};
