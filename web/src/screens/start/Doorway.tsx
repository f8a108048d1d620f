/** A part's section behind each door: coated through (the demo), bare metal (a shop that begins), coats laid aside (a file). */
export function Doorway({ art }: { readonly art: 'demo' | 'own' | 'file' }) {
  const coats =
    art === 'own'
      ? []
      : [
          { colour: '#8d5a4c', y: 58, h: 9 },
          { colour: '#7d8a8c', y: 46, h: 12 },
          { colour: '#3d6b58', y: 36, h: 10 },
        ];
  const apart = art === 'file' ? 7 : 0;
  return (
    <svg viewBox="0 0 220 96" className="w-full border border-line bg-ground" role="presentation">
      {art === 'demo' ? <rect x={0} y={62} width={220} height={8} fill="#8d5a4c" /> : null}
      <path
        d="M0 66 l10 -3 l9 4 l12 -4 l10 3 l13 -4 l11 4 l12 -3 l14 3 l10 -4 l13 4 l12 -3 l11 3 l14 -4 l10 4 l13 -3 l12 3 l14 -4 l20 4 V96 H0 Z"
        fill="#8b8f94"
      />
      {coats.map((c, i) => (
        <rect key={c.colour} x={0} y={c.y - apart * (i + 1)} width={220} height={c.h} fill={c.colour} />
      ))}
      {art === 'own' ? (
        <path
          d="M0 60 H220"
          stroke="currentColor"
          strokeWidth={1.5}
          strokeDasharray="6 5"
          fill="none"
          opacity={0.55}
        />
      ) : null}
    </svg>
  );
}
