import { DEW_MARGIN_K, showTemperature, type UnitPreference } from '@calvetta/core';

export interface RulerMark {
  readonly id: string;
  readonly name: string;
  readonly surfaceC: number;
}
interface Props {
  readonly dewPointC: number | null;
  readonly airC: number | null;
  readonly marks: readonly RulerMark[];
  readonly units: UnitPreference;
  readonly widthPx: number;
  readonly onPick?: (id: string) => void;
}

const ticksBetween = (from: number, to: number): number[] => {
  const step = to - from > 16 ? 4 : 2;
  return Array.from(
    { length: Math.floor((to - Math.ceil(from / step) * step) / step) + 1 },
    (_, i) => Math.ceil(from / step) * step + i * step,
  );
};

const textOf = (c: number, units: UnitPreference): string => showTemperature(c, units, 1).text;

/** One temperature scale: the dew point, the 3 K keep-out above it, every part's surface on it. Signature drawing 3. */
export function DewRuler({ dewPointC, airC, marks, units, widthPx, onPick }: Props) {
  if (dewPointC === null)
    return (
      <p className="text-quiet">No fresh reading: the dew point is unknown, and unknown is never a pass.</p>
    );
  const all = [
    dewPointC,
    dewPointC + DEW_MARGIN_K,
    ...(airC === null ? [] : [airC]),
    ...marks.map((m) => m.surfaceC),
  ];
  const from = Math.floor(Math.min(...all) - 1);
  const to = Math.ceil(Math.max(...all) + 1);
  const x = (c: number): number => 8 + ((c - from) / (to - from)) * (widthPx - 16);
  const text = (c: number): string => textOf(c, units);
  const wet = marks.filter((m) => m.surfaceC - dewPointC < DEW_MARGIN_K);
  const labels = spread(
    [...marks]
      .sort((a, b) => a.surfaceC - b.surfaceC)
      .filter((m, i, list) => i === 0 || i === list.length - 1 || m === wet[wet.length - 1])
      .map((m) => ({ mark: m, x: x(m.surfaceC) })),
    widthPx,
  );
  return (
    <svg
      width={widthPx}
      height={62}
      role="img"
      aria-label={`Dew point ${text(dewPointC)}, ${wet.length} of ${marks.length} parts within ${DEW_MARGIN_K} K of it`}
      className="block"
    >
      <rect
        x={x(dewPointC)}
        width={x(dewPointC + DEW_MARGIN_K) - x(dewPointC)}
        y={24}
        height={12}
        fill="url(#t-shut)"
        stroke="var(--s-shut)"
        strokeWidth="0.8"
      />
      <path d={`M8 36H${widthPx - 8}`} stroke="var(--ink)" strokeWidth="1.2" />
      <Ticks from={from} to={to} x={x} units={units} />
      <path d={`M${x(dewPointC)} 18v20`} stroke="var(--s-shut)" strokeWidth="2.5" />
      <text
        x={x(dewPointC) - 5}
        y={30}
        fontSize="12.5"
        textAnchor="end"
        fontFamily="var(--font-figure)"
        fontWeight="600"
        fill="var(--bad)"
      >
        {x(dewPointC) > 62 ? `dew ${text(dewPointC)}` : ''}
      </text>
      {airC === null ? null : (
        <path
          d={`M${x(airC)} 36m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0`}
          fill="var(--panel)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      )}
      <Marks {...{ marks, dewPointC, units, x, onPick }} />
      <Labels labels={labels} widthPx={widthPx} units={units} />
    </svg>
  );
}

type Scale = (c: number) => number;
interface TickProps {
  readonly from: number;
  readonly to: number;
  readonly x: Scale;
  readonly units: UnitPreference;
}

function Ticks({ from, to, x, units }: TickProps) {
  return (
    <>
      {ticksBetween(from, to).map((c) => (
        <g key={c}>
          <path d={`M${x(c)} 36v4`} stroke="var(--ink)" />
          <text
            x={x(c)}
            y={52}
            fontSize="12"
            textAnchor="middle"
            fontFamily="var(--font-figure)"
            fill="var(--quiet)"
          >
            {showTemperature(c, units, 0).text}°
          </text>
        </g>
      ))}
    </>
  );
}

interface MarkProps extends Pick<Props, 'marks' | 'units'> {
  readonly onPick: Props['onPick'] | undefined;
  readonly dewPointC: number;
  readonly x: Scale;
}

/** A marker a part: dark where it stands too near the dew point. */
function Marks({ marks, dewPointC, units, x, onPick }: MarkProps) {
  return (
    <>
      {marks.map((m) => (
        <path
          key={m.id}
          d={`M${x(m.surfaceC)} 36l-5 -9h10z`}
          fill={m.surfaceC - dewPointC < DEW_MARGIN_K ? 'var(--ink)' : 'var(--s-open)'}
          stroke="var(--panel)"
          strokeWidth="0.7"
          className={onPick ? 'cursor-pointer' : ''}
          onClick={onPick ? () => onPick(m.id) : undefined}
        >
          <title>{`${m.name} ${textOf(m.surfaceC, units)} ${showTemperature(0, units).unit}`}</title>
        </path>
      ))}
    </>
  );
}

interface LabelProps extends Pick<Props, 'widthPx' | 'units'> {
  readonly labels: readonly { readonly mark: RulerMark; readonly x: number }[];
}

function Labels({ labels, widthPx, units }: LabelProps) {
  return (
    <>
      {labels.map((l) => (
        <text
          key={l.mark.id}
          x={l.x}
          y={14}
          fontSize="12.5"
          textAnchor={l.x > widthPx - 70 ? 'end' : l.x < 70 ? 'start' : 'middle'}
          fontFamily="var(--font-figure)"
          fontWeight="600"
          fill="var(--ink)"
        >
          {l.mark.name.slice(0, 26)} {textOf(l.mark.surfaceC, units)}
        </text>
      ))}
    </>
  );
}

/** Labels that would touch are left out: the marker's title still says it. */
function spread(list: { mark: RulerMark; x: number }[], widthPx: number): { mark: RulerMark; x: number }[] {
  const out: { mark: RulerMark; x: number }[] = [];
  for (const l of list) {
    const last = out[out.length - 1];
    if (!last || l.x - last.x > 140) out.push({ mark: l.mark, x: Math.min(widthPx - 4, Math.max(4, l.x)) });
  }
  return out;
}
