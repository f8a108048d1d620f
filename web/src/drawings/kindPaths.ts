import type { PartKind } from '@calvetta/core';

/** One kind as lines on a field of 96 by 64: what it is made of, and lighter lines within it. Circles: x, y, radius. */
interface KindLines {
  readonly outline: string;
  readonly inner?: string;
  readonly circles?: readonly (readonly [x: number, y: number, r: number])[];
}

/** The kinds as a fitter would sketch them on the back of a job card. One hand, ours. */
export const KIND_LINES: Readonly<Record<PartKind, KindLines>> = {
  'frame-plate': {
    outline: 'M5 42V27H17L23 20H71L79 27H91V42H76V34A7 7 0 0 0 62 34V42H36V34A7 7 0 0 0 22 34V42Z',
    inner: 'M9 31H13M83 31H87',
    circles: [
      [32, 26, 2],
      [42, 26, 2],
      [52, 26, 2],
      [66, 26, 2],
    ],
  },
  'rough-casting': {
    outline: 'M14 54V47H27C31 40 33 32 34 23H31V14H65V23H62C63 32 65 40 69 47H82V54Z',
    inner: 'M34 23H62M27 47H69M43 30L41 42M54 30L55 42M47 34L47 38M20 50.500H21M75 50.500H76',
  },
  'machined-casting': {
    outline: 'M20 54V50L26 48V36A22 22 0 1 1 70 36V48L76 50V54Z',
    inner: 'M33 50L36 47M60 47L63 50',
    circles: [
      [48, 33, 12],
      [48, 33, 8],
      [32, 22, 2],
      [64, 22, 2],
      [33, 46, 2],
      [63, 46, 2],
    ],
  },
  bracket: {
    outline: 'M20 8H30V46H80V56H20Z',
    inner: 'M30 20L62 46',
    circles: [
      [25, 16, 2],
      [25, 30, 2],
      [70, 51, 2],
      [54, 51, 2],
    ],
  },
  'sheet-panel': {
    outline: 'M8 48C10 22 32 10 54 10C74 10 85 22 88 42L80 46C78 30 70 22 54 22C36 22 22 30 19 52Z',
    inner: 'M13 49C16 28 34 16 54 16C71 16 81 26 84 44',
  },
  'thin-trim': {
    outline: 'M6 44C28 28 62 22 90 24V31C62 29 30 35 8 51Z',
    inner: 'M10 46C30 32 62 26 88 28M26 39V46M52 32V39M76 29V36',
  },
  cladding: {
    outline: 'M12 50V28C12 10 84 10 84 28V50C84 38 12 38 12 50Z',
    inner: 'M34 17V41M62 17V41M38 16.500V40.500M58 16.500V40.500',
  },
  fasteners: {
    outline: 'M8 16H20V34H8ZM20 20H54V30H20M60 45L66.500 34H79.500L86 45L79.500 56H66.500Z',
    inner: 'M8 22H20M8 28H20M34 20L31 30M39 20L36 30M44 20L41 30M49 20L46 30',
    circles: [
      [73, 45, 6],
      [30, 48, 9],
      [30, 48, 4],
    ],
  },
  spring: {
    outline: 'M9 25Q48 51 87 25M16 35Q48 54 80 35M26 44Q48 57 70 44M36 51Q48 58 60 51',
    inner: 'M44 36H52V56H44Z',
    circles: [
      [7, 22, 4],
      [89, 22, 4],
    ],
  },
  'shaft-pin-rod': {
    outline: 'M6 27H20V21H56V27H78V24H90V40H78V37H56V43H20V37H6Z',
    inner: 'M2 32H94M20 27V37M56 27V37M78 27V37M84 24V40',
  },
  'tube-frame': {
    outline: 'M14 50L32 16H76M14 50L60 50L76 16M32 16L60 50M17.500 52L60 53M33 13H77.500',
    inner: 'M24 31L33 44M68 33L52 40',
    circles: [
      [14, 50, 3.5],
      [32, 16, 3.5],
      [76, 16, 3.5],
      [60, 50, 3.5],
    ],
  },
  'chassis-rail': {
    outline: 'M6 44L74 10L90 14V28L22 62L6 58Z',
    inner: 'M6 44L22 48L90 14M22 48V62M11 47V58',
    circles: [
      [36, 49, 3],
      [54, 40, 3],
      [72, 31, 3],
    ],
  },
  'water-tank': {
    outline: 'M10 20H86V54H10ZM38 20V13H58V20',
    inner:
      'M14 24H15M22 24H23M30 24H31M46 24H47M54 24H55M62 24H63M70 24H71M78 24H79M14 50H15M22 50H23M30 50H31M38 50H39M46 50H47M54 50H55M62 50H63M70 50H71M78 50H79M14 37Q24 33 34 37T54 37T74 37T82 37',
  },
  'fuel-tank': {
    outline: 'M26 20H70A16 16 0 0 1 70 52H26A16 16 0 0 1 26 20ZM40 20V12H54V20M38 12H56M64 52V58H70',
    inner: 'M30 20V52M66 20V52',
  },
  boiler: {
    outline: 'M8 26H66V20H88V56H66V48H8ZM17 26V12H27V26M14 12H30M42 26A7 7 0 0 1 56 26',
    inner: 'M24 26V48M44 26V48M66 26V48M72 48H82V56',
    circles: [[77, 30, 4]],
  },
  'smokebox-exhaust': {
    outline: 'M22 54V32C22 20 30 14 42 14H80V28H44C39 28 37 30 37 35V54ZM16 54H43V60H16ZM80 10V32H86V10Z',
    inner: 'M56 14V28M22 42H37M62 6Q65 3 68 6T74 6M50 6Q53 3 56 6',
  },
  'engine-assembled': {
    outline: 'M16 52V28H60V52ZM20 28V16H36V28M40 28V16H56V28M12 52H64V57H12ZM24 16V10H32V16M44 16V10H52V16',
    inner: 'M16 40H60M22 22H34M42 22H54M6 34H16M6 40H16',
    circles: [
      [76, 40, 15],
      [76, 40, 4],
    ],
  },
  'engine-casting': {
    outline: 'M12 26L26 14H86L72 26ZM12 26V54H72V26M72 54L86 42V14',
    inner: 'M18 54V46H24M66 54V46H60M79 24V38',
    circles: [
      [32, 40, 5],
      [52, 40, 5],
    ],
  },
  'gearbox-axle': {
    outline:
      'M4 26H10V42H4ZM10 30H32C36 22 41 18 48 18S60 22 64 30H86V26H92V42H86V38H64C60 46 55 50 48 50S36 46 32 38H10',
    inner: 'M48 18V50M24 30V38M72 30V38',
    circles: [[48, 34, 8]],
  },
  radiator: {
    outline: 'M14 16H82V24H14ZM18 24H78V50H18ZM14 50H82V56H14ZM42 16V10H54V16',
    inner: 'M24 24V50M30 24V50M36 24V50M42 24V50M48 24V50M54 24V50M60 24V50M66 24V50M72 24V50',
  },
  'aircraft-skin': {
    outline: 'M8 22C30 12 66 10 88 16L84 50C62 44 34 46 14 56Z',
    inner:
      'M34 16L38 48M60 13L61 47M13 26H14M20 24H21M27 21H28M40 18H41M48 17H49M54 16H55M66 16H67M74 17H75M82 18H83M18 51H19M26 48H27M44 45H45M52 45H53M68 45H69M76 46H77',
  },
  'control-surface': {
    outline: 'M8 50L18 20H80L90 50Z',
    inner: 'M28 20L22 50M41 20L38 50M55 20L57 50M68 20L74 50M15 30H83',
    circles: [
      [26, 15, 3],
      [49, 15, 3],
      [72, 15, 3],
    ],
  },
  'float-hull': {
    outline: 'M4 30C14 22 74 20 92 28L88 34C82 42 62 46 54 52H50V47C32 50 12 46 4 30Z',
    inner: 'M4 30C28 36 70 36 92 28M30 24L36 8M58 23L54 8M34 8H56',
  },
  'diecast-fitting': {
    outline: 'M8 18C8 10 30 10 30 18V46C30 54 8 54 8 46ZM30 24H78C90 24 92 32 88 38C82 44 74 36 66 36H30',
    inner: 'M70 30H80',
    circles: [
      [19, 18, 2],
      [19, 46, 2],
      [19, 32, 5],
    ],
  },
  'brass-fitting': {
    outline:
      'M6 34H14V30H26C30 24 36 22 42 22V16H54V22C60 22 64 26 64 32V44H70V56H50V44H26V50H14V46H6ZM30 10H66V16H30Z',
    inner: 'M14 34V46M26 34V46M50 44H64M48 22V16',
  },
  'galvanised-sheet': {
    outline: 'M6 20Q14 10 22 20T38 20T54 20T70 20T86 20L90 48Q82 38 74 48T58 48T42 48T26 48T10 48Z',
    inner: 'M22 20L26 48M38 20L42 48M54 20L58 48M70 20L74 48M28 30L33 34M46 28L50 35M62 32L66 28',
  },
  fairing: {
    outline: 'M6 34C10 14 50 8 90 36C52 54 12 54 6 34Z',
    inner: 'M8 34C34 32 66 32 90 36M30 16C26 26 26 42 30 51',
  },
  'wheel-brake': {
    outline: '',
    circles: [
      [48, 32, 26],
      [48, 32, 20],
      [48, 32, 5],
      [48, 18, 2],
      [61, 28, 2],
      [56, 44, 2],
      [40, 44, 2],
      [35, 28, 2],
    ],
  },
  'timber-panel': {
    outline: 'M10 14H78V50H10ZM78 14L86 20V56L78 50M10 50L18 56H86',
    inner:
      'M10 24H78M10 36H78M20 19C34 16 44 22 62 18M18 30C36 27 50 33 70 29M22 43C40 40 56 46 68 42M80 24V48M83 27V51',
  },
  'bed-slide': {
    outline: 'M6 28L12 20L18 28H24L30 20L36 28H90V36H82L76 54H88V58H60V54H36V58H8V54H20L14 36H6Z',
    inner: 'M18 36H78M28 42H68M36 28L42 20L48 28',
  },
  unknown: {
    outline: 'M14 20L34 10H70L84 24V48L64 56H26L14 44Z',
    inner: 'M40 26C40 18 56 18 56 27C56 33 48 33 48 39M48 45V46',
  },
};
