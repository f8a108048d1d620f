import { histogram } from '@calvetta/core';

interface Props {
  readonly readingsUm: readonly number[];
  readonly nominalUm: number;
  readonly leastUm: number;
  readonly mostUm: number | null;
  readonly widthPx: number;
  readonly film: (um: number) => string;
}
const HEIGHT = 92;
const BASE = 66;

/** Readings counted against their limits: nominal, the least one may read, and the most. */
export function FilmHistogram({ readingsUm, nominalUm, leastUm, mostUm, widthPx, film }: Props) {
  const bins = histogram(readingsUm);
  if (bins.length === 0) return null;
  const limits = [leastUm, nominalUm, ...(mostUm === null ? [] : [mostUm])];
  const fromUm = Math.min(bins[0]!.fromUm, leastUm) * 0.96;
  const last = bins[bins.length - 1]!;
  // A most that is far off says nothing here: the scale stays with the readings.
  const toUm =
    Math.max(last.toUm, nominalUm, ...(mostUm !== null && mostUm < last.toUm * 1.6 ? [mostUm] : [])) * 1.04;
  const x = (um: number): number => ((um - fromUm) / (toUm - fromUm)) * widthPx;
  const tallest = Math.max(...bins.map((b) => b.count));
  return (
    <svg
      width={widthPx}
      height={HEIGHT}
      role="img"
      aria-label={`${readingsUm.length} readings: ${bins.map((b) => `${b.count} from ${film(b.fromUm)}`).join(', ')}`}
    >
      {bins.map((b) => (
        <g key={b.fromUm}>
          <rect
            x={x(b.fromUm) + 1}
            width={Math.max(1, x(b.toUm) - x(b.fromUm) - 2)}
            y={BASE - (b.count / tallest) * (BASE - 16)}
            height={(b.count / tallest) * (BASE - 16)}
            fill={b.toUm <= nominalUm ? 'var(--s-closing)' : 'var(--s-open)'}
          />
          {b.count > 0 ? (
            <text
              x={(x(b.fromUm) + x(b.toUm)) / 2}
              y={BASE - (b.count / tallest) * (BASE - 16) - 3}
              fontSize="11"
              textAnchor="middle"
              fill="var(--ink)"
            >
              {b.count}
            </text>
          ) : null}
        </g>
      ))}
      <path d={`M0 ${BASE}H${widthPx}`} stroke="var(--ink)" strokeOpacity={0.6} />
      {limits
        .filter((um) => um >= fromUm && um <= toUm)
        .map((um) => (
          <g key={um}>
            <path
              d={`M${x(um)} 8V${BASE + 6}`}
              stroke="var(--bad)"
              strokeWidth={um === nominalUm ? 1.8 : 1}
            />
            <text x={x(um)} y={BASE + 18} fontSize="11.5" textAnchor="middle" fill="var(--bad)">
              {film(um)}
            </text>
          </g>
        ))}
    </svg>
  );
}
