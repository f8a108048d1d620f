import { useId } from 'react';

interface Props {
  readonly workedH: number;
  readonly p50: number;
  readonly p80: number;
  /** What the whole width stands for. */
  readonly mostH: number;
  /** A line where it was reckoned to end. */
  readonly reckonedH?: number | null;
}

/** Hours on one line: logged, to go as likely as not, and to go four times in five; the figures stand beside it in words. */
export function HoursBar({ workedH, p50, p80, mostH, reckonedH = null }: Props) {
  const id = useId();
  const x = (h: number): number => (mostH > 0 ? (100 * h) / mostH : 0);
  return (
    <svg viewBox="0 0 100 8" preserveAspectRatio="none" className="block h-[12px] w-full" aria-hidden="true">
      <defs>
        <pattern id={id} width="1.500" height="8" patternUnits="userSpaceOnUse">
          <path d="M0 0v8" stroke="var(--quiet)" strokeWidth="0.6" />
        </pattern>
      </defs>
      <path d="M0 7.500h100" stroke="var(--line)" strokeWidth={0.6} />
      <rect width={x(workedH)} height={8} fill="var(--chosen)" />
      {p50 > 0 ? (
        <rect
          x={x(workedH)}
          y={1}
          width={x(p50)}
          height={6}
          fill="var(--ground)"
          stroke="var(--ink)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
      ) : null}
      {p80 > p50 ? (
        <rect x={x(workedH + p50)} y={1} width={x(p80 - p50)} height={6} fill={`url(#${id})`} />
      ) : null}
      {reckonedH === null ? null : (
        <path
          d={`M${Math.min(99.7, x(reckonedH))} 0v8`}
          stroke="var(--bad)"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      )}
    </svg>
  );
}
