/** Short tests of a surface or a film, each with a card: how, what to see, what it opens. Common practice, no published source, but where one is named. */
export const TEST_CARDS = [
  'water-break',
  'white-cloth',
  'blotter',
  'salt',
  'solvent-rub',
  'mek-rubs',
  'cut',
  'loupe',
  'overlap',
  'coin-tap',
  'warm-for-oil',
  'lead',
  'chromate',
  'pencil',
  'wet-sponge',
  'penetrant',
] as const;
export type TestCard = (typeof TEST_CARDS)[number];
export const CARD_RESULTS = ['good', 'bad', 'unclear'] as const;
/** Rubs that a cured two-pack stands, there and back (the count of ASTM D5402 and D4752 practice; the figure is common practice). */
export const SOUND_RUBS = 50;
/** What a count of double rubs comes to: fifty and more is through-cured, fewer than half of that is not. */
export const rubsResult = (rubs: number): CardResult =>
  rubs >= SOUND_RUBS ? 'good' : rubs < SOUND_RUBS / 2 ? 'bad' : 'unclear';
export type CardResult = (typeof CARD_RESULTS)[number];

/** Salt on steel, mg/m² as sodium chloride (ISO 8502-6 and -9 measure it): below the first it is clean enough, above the second it is not (common practice). */
export const SALT_LOW_MG_M2 = 20;
export const SALT_HIGH_MG_M2 = 50;
/** What a measured amount of salt comes to; between the two edges it is not clear. */
export const saltResult = (mgM2: number): CardResult =>
  mgM2 <= SALT_LOW_MG_M2 ? 'good' : mgM2 > SALT_HIGH_MG_M2 ? 'bad' : 'unclear';
