import type { Survey } from '@calvetta/core';

type Category = Exclude<Survey['category'], 'unknown'>;

/** Where a part will live, as a sketch: a heated room, a shed, the open, the coast, spray, under water. The part is the square. */
const LINES: Readonly<Record<Category, readonly [place: string, air: string]>> = {
  C1: [
    'M14 50V24L42 8L70 24V50ZM34 50V36H46V50',
    'M54 44V34M58 44V34M62 44V34M52 46H64M24 30q2-3 0-5t0-5M30 30q2-3 0-5t0-5',
  ],
  C2: ['M10 50V26L42 12L74 26V50M32 50V38H44V50', 'M10 50H74M18 30L66 30'],
  C3: [
    'M6 50H78M34 50V36H46V50',
    'M60 50V36M60 36C50 36 50 22 60 20C70 22 70 36 60 36M16 20q2-8 10-6q8-4 10 4q4 6-4 6H18q-6-1-2-4M20 30l-2 5M28 30l-2 5',
  ],
  C4: [
    'M4 46H80M32 46V32H44V46',
    'M52 46V26H58V46M62 46V20H68V46M54 20q3-4 7-2M64 14q3-4 7-2M4 52q5-4 10 0t10 0t10 0t10 0t10 0t10 0t10 0',
  ],
  C5: [
    'M36 44V30H48V44M28 44H56',
    'M2 38q7-10 14 0t12 0M56 38q7-10 14 0t12 0M2 48q5-5 10 0t10 0t10 0t10 0t10 0t10 0t10 0t10 0M14 22l4 4M20 16l3 4M66 22l-4 4M62 16l-3 4',
  ],
  CX: [
    'M30 40V26H44V40M22 40H60V44H22Z',
    'M28 44V54M54 44V54M48 40L54 14L60 40M2 50q6-6 12 0t12 0t12 0t12 0t12 0t12 0t12 0M8 16l6 5M6 26l6 3M74 16l-6 5',
  ],
  immersed: [
    'M36 44V30H48V44Z',
    'M2 14q6-5 12 0t12 0t12 0t12 0t12 0t12 0t12 0M4 24q4-3 8 0M70 26q4-3 8 0M20 40q4-3 8 0M62 44q4-3 8 0M30 24v-2M52 22v-2',
  ],
};

export function PlacePicture({
  category,
  widthPx,
}: {
  readonly category: Category;
  readonly widthPx?: number | undefined;
}) {
  const [place, air] = LINES[category];
  return (
    <svg
      {...(widthPx === undefined ? {} : { width: widthPx })}
      viewBox="0 0 84 56"
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      strokeLinejoin="round"
      strokeLinecap="round"
      className="block w-full max-w-full border border-line"
    >
      <path d={place} strokeWidth={2} />
      <path d={air} strokeWidth={1.3} />
    </svg>
  );
}
