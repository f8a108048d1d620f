import type { CupMark, CupShape } from '@calvetta/core';

interface Props {
  readonly cup: CupShape;
  readonly marks: readonly CupMark[];
  /** Words for a part's mark: "A to 46 mm". */
  readonly words: (mark: CupMark) => string;
  readonly heightPx: number;
  readonly colour: string;
  readonly label: string;
}

const FILL: Readonly<Record<CupMark['part'], string>> = {
  a: '',
  b: 'var(--s-keyed)',
  thinner: 'var(--s-early)',
};
/** Room for the words beside the cup. */
const WORDS_PX = 190;

/** Words keep 18 px between them however close the marks are; marks come from the bottom up. */
const spread = (ys: readonly number[]): number[] =>
  ys.reduce<number[]>((out, at) => [...out, Math.min(at, (out[out.length - 1] ?? Infinity) - 18)], []);

/** The cup seen from the side, to scale, filled to its marks: what is poured in which order and to where. */
export function Cup({ cup, marks, words, heightPx, colour, label }: Props) {
  const scale = (heightPx - 24) / cup.heightMm;
  const widest = Math.max(cup.bottomMm, cup.topMm) * scale;
  const midX = widest / 2 + 6;
  const baseY = heightPx - 8;
  const halfAt = (mm: number): number =>
    ((cup.bottomMm + ((cup.topMm - cup.bottomMm) * mm) / cup.heightMm) / 2) * scale;
  const y = (mm: number): number => baseY - mm * scale;
  const band = (fromMm: number, toMm: number): string =>
    `M${midX - halfAt(fromMm)} ${y(fromMm)}L${midX - halfAt(toMm)} ${y(toMm)}H${midX + halfAt(toMm)}L${midX + halfAt(fromMm)} ${y(fromMm)}Z`;
  const wordX = widest + 22;
  const wordYs = spread(marks.map((m) => y(m.heightMm)));
  return (
    <svg
      width={widest + WORDS_PX + 16}
      height={heightPx}
      role="img"
      aria-label={label}
      className="block max-w-full"
    >
      {marks.map((m, i) => (
        <path
          key={m.part}
          d={band(marks[i - 1]?.heightMm ?? 0, m.heightMm)}
          fill={m.part === 'a' ? colour : FILL[m.part]}
          fillOpacity={m.part === 'a' ? 1 : 0.75}
        />
      ))}
      <path
        d={`M${midX - halfAt(cup.heightMm)} ${y(cup.heightMm)}L${midX - halfAt(0)} ${y(0)}H${midX + halfAt(0)}L${midX + halfAt(cup.heightMm)} ${y(cup.heightMm)}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={2}
        strokeLinejoin="round"
      />
      {Array.from({ length: Math.floor(cup.heightMm / 10) }, (_, i) => (i + 1) * 10).map((mm) => (
        <path
          key={mm}
          d={`M${midX - halfAt(mm)} ${y(mm)}h${mm % 50 === 0 ? 12 : 6}`}
          stroke="var(--ink)"
          strokeOpacity={0.55}
        />
      ))}
      {marks.map((m, i) => {
        const at = y(m.heightMm);
        const wordY = wordYs[i]!;
        return (
          <g key={m.part}>
            <path
              d={`M${midX - halfAt(m.heightMm)} ${at}H${midX + halfAt(m.heightMm)}`}
              stroke="var(--ink)"
              strokeWidth={1.6}
            />
            <path d={`M${midX + halfAt(m.heightMm)} ${at}L${wordX - 4} ${wordY}`} stroke="var(--line)" />
            <text
              x={wordX}
              y={wordY + 5}
              fontFamily="var(--font-figure)"
              fontSize="16"
              fontWeight="600"
              fill="var(--ink)"
            >
              {words(m)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
