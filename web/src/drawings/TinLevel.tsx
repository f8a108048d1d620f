interface Props {
  readonly share: number;
  readonly colour: string;
  readonly isBad: boolean;
}

/** A tin from the side with its level: how much is left at a glance. */
export function TinLevel({ share, colour, isBad }: Props) {
  const full = 18;
  const height = Math.max(0, Math.min(1, share)) * full;
  return (
    <svg width={20} height={24} aria-hidden="true" className="block">
      <rect x={2} y={4 + full - height} width={16} height={height} fill={colour} />
      <path
        d={`M2 4V${4 + full}H18V4`}
        fill="none"
        stroke={isBad ? 'var(--bad)' : 'var(--ink)'}
        strokeWidth={1.5}
      />
      <path d="M1 3.5H19" stroke={isBad ? 'var(--bad)' : 'var(--ink)'} strokeWidth={1.5} />
      {isBad ? <path d="M2 4L18 22" stroke="var(--bad)" strokeWidth={1.2} /> : null}
    </svg>
  );
}
