/** Where a coat fails: on the metal, over what is under it, or at what it has to stand. */
export type StopAt = 'metal' | 'over' | 'life';

const [WIDTH, HEIGHT] = [72, 56];
const METAL = 44;

/** A section that goes as far as it holds: the coat stands dashed above the line that stops it. */
export function StopShort({ at, colour }: { readonly at: StopAt; readonly colour: string }) {
  const stopY = at === 'metal' ? METAL : at === 'over' ? 31 : 14;
  const band = (top: number, height: number, isDashed: boolean, fill: string) => (
    <rect
      x={1}
      y={top}
      width={WIDTH - 2}
      height={height}
      fill={isDashed ? 'none' : fill}
      stroke={isDashed ? 'var(--quiet)' : 'var(--ink)'}
      strokeOpacity={isDashed ? 1 : 0.35}
      strokeDasharray={isDashed ? '3 2' : undefined}
    />
  );
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      aria-hidden="true"
      className="block shrink-0"
    >
      <path
        d={`M0 ${HEIGHT}V${METAL}l6 3 6-3 6 3 6-3 6 3 6-3 6 3 6-3 6 3 6-3 6 3 6-3V${HEIGHT}Z`}
        fill="var(--metal)"
      />
      {at === 'metal' ? band(22, 18, true, colour) : null}
      {at === 'over' ? (
        <>
          {band(33, 11, false, 'var(--line)')}
          {band(10, 17, true, colour)}
        </>
      ) : null}
      {at === 'life' ? band(18, 26, false, colour) : null}
      <path d={`M0 ${stopY - 1.5}H${WIDTH}`} stroke="var(--bad)" strokeWidth={2.5} />
    </svg>
  );
}
