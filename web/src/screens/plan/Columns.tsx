import type { Ground } from './geometry.ts';

interface Props {
  readonly ground: Ground;
  readonly height: number;
  readonly session: number;
}

/** Sessions behind a lane, the chosen one darker. */
export const Columns = ({ ground, height, session }: Props) =>
  ground.columns.map((c) => (
    <rect
      key={c.fromMs}
      x={c.x}
      width={c.width}
      height={height}
      fill={c.index === session ? 'var(--chosen)' : 'var(--ground)'}
      fillOpacity={c.index === session ? 0.12 : 0.55}
    />
  ));
