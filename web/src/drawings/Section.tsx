import { showFilm, type UnitPreference } from '@calvetta/core';
import type { Layer } from '@calvetta/contract';

interface Props {
  readonly layers: readonly Layer[];
  readonly specifiedUm: number;
  readonly profileUm: number;
  readonly widthPx: number;
  readonly heightPx: number;
  /** µm that fill the height above the metal: the same for every section on a screen, so that thickness compares across. */
  readonly fullUm: number;
  /** Names and films beside the bands: for the part's own page. */
  readonly labelled?: UnitPreference;
  readonly label: string;
}

/** The blasted or cast surface under the film: peaks and valleys of the profile's depth, repeatable. */
function metalPath(width: number, baseY: number, depthPx: number, bottom: number): string {
  const step = Math.max(2.5, depthPx * 0.9);
  let d = `M0 ${bottom}V${baseY}`;
  for (let x = 0, k = 0; x < width; x += step, k++) {
    const y = baseY + (k % 2 === 0 ? 0 : depthPx) * (0.75 + 0.25 * Math.sin(k * 2.4));
    d += `L${Math.min(width, x + step).toFixed(1)} ${y.toFixed(1)}`;
  }
  return `${d}V${bottom}Z`;
}

/** The part's film as a cut through it, to scale: metal with its profile, coats, coats to come dashed, the specification as a tick. Signature drawing 1. */
export function Section({
  layers,
  specifiedUm,
  profileUm,
  widthPx,
  heightPx,
  fullUm,
  labelled,
  label,
}: Props) {
  const metalPx = labelled ? Math.max(6, heightPx * 0.14) : 5;
  // Room above for the specification's own words.
  const filmPx = heightPx - metalPx - (labelled ? 20 : 2);
  const scale = filmPx / Math.max(fullUm, 1);
  const baseY = heightPx - metalPx;
  const depthPx = Math.min(metalPx * 0.5, Math.max(1, profileUm * scale));
  // Beside a narrow band there is room for the names.
  const bandWidth = labelled ? widthPx * (widthPx < 300 ? 0.34 : 0.38) : widthPx;
  const all = stack(layers, baseY + depthPx * 0.5, depthPx * 0.6, scale);
  // In a list the coats to come are one outline: how much is still to go on, not how many lines fit into 20 px.
  const bands = labelled ? all : outlinePlanned(all);
  const specY = baseY + depthPx * 0.5 - specifiedUm * scale;
  return (
    <svg width={widthPx} height={heightPx} role="img" aria-label={label} className="block">
      {bands.map((b) => (
        <rect
          key={b.key}
          x={b.layer.isPlanned ? 0.5 : 0}
          y={b.top}
          width={bandWidth - (b.layer.isPlanned ? 1 : 0)}
          height={Math.max(0.8, b.height - 0.6)}
          fill={b.layer.isPlanned ? 'none' : b.layer.colour}
          stroke={b.layer.isPlanned ? 'var(--quiet)' : 'var(--ink)'}
          strokeOpacity={b.layer.isPlanned ? 1 : 0.35}
          strokeWidth={b.layer.isPlanned ? 0.9 : 0.5}
          strokeDasharray={b.layer.isPlanned ? '3 2' : undefined}
        />
      ))}
      {labelled ? all.map((b) => <ThinSpot key={b.key} band={b} width={bandWidth} scale={scale} />) : null}
      <path d={metalPath(bandWidth, baseY, depthPx, heightPx)} fill="var(--metal)" />
      {specifiedUm > 0 ? (
        <path
          d={`M${bandWidth - (labelled ? 10 : 7)} ${specY}H${bandWidth}`}
          stroke="var(--bad)"
          strokeWidth={labelled ? 1.6 : 1.2}
        />
      ) : null}
      {labelled ? (
        <BandLabels
          bands={bands}
          units={labelled}
          x={bandWidth}
          width={widthPx}
          metalY={baseY + metalPx * 0.62}
          specY={specY}
          specifiedUm={specifiedUm}
        />
      ) : null}
    </svg>
  );
}

/** Where a measured coat is thinnest it is drawn so: a bite out of its band, as deep as what is missing there. */
function ThinSpot({
  band,
  width,
  scale,
}: {
  readonly band: Band;
  readonly width: number;
  readonly scale: number;
}) {
  const { thinnestUm, dftUm } = band.layer;
  if (thinnestUm === null || thinnestUm > dftUm * 0.95) return null;
  const bite = (dftUm - thinnestUm) * scale;
  const [from, mid, to] = [width * 0.5, width * 0.62, width * 0.74];
  return (
    <path
      d={`M${from} ${band.top - 0.5}Q${mid} ${band.top + 2 * bite} ${to} ${band.top - 0.5}Z`}
      fill="var(--panel)"
      stroke="var(--bad)"
      strokeWidth={1}
    />
  );
}

interface Band {
  readonly key: string;
  readonly layer: Layer;
  readonly top: number;
  readonly height: number;
}

/** Bands from the mean line of the profile up; the first coat also fills the valleys below that line. */
function stack(layers: readonly Layer[], meanY: number, valleyPx: number, scale: number): Band[] {
  let y = meanY;
  return layers.map((layer, i) => {
    const height = layer.dftUm * scale;
    y -= height;
    return {
      key: `${i}${layer.name}`,
      layer,
      top: y,
      height: height + (i === 0 && !layer.isPlanned ? valleyPx : 0),
    };
  });
}

/** All planned bands joined into one. */
function outlinePlanned(bands: readonly Band[]): Band[] {
  const on = bands.filter((b) => !b.layer.isPlanned);
  const planned = bands.filter((b) => b.layer.isPlanned);
  const first = planned[0];
  if (!first) return on;
  return [
    ...on,
    {
      ...first,
      top: Math.min(...planned.map((b) => b.top)),
      height: planned.reduce((sum, b) => sum + b.height, 0),
    },
  ];
}

/** A name cut to what fits beside its film, by the condensed face's mean width at 13 px. */
function fitted(name: string, roomPx: number): string {
  const most = Math.floor(roomPx / 6.1);
  return name.length <= most ? name : `${name.slice(0, Math.max(4, most - 1))}…`;
}

interface LabelProps {
  readonly bands: readonly Band[];
  readonly units: UnitPreference;
  readonly x: number;
  readonly width: number;
  readonly metalY: number;
  readonly specY: number;
  readonly specifiedUm: number;
}

/** Labels keep 17 px between them however thin the bands are; a hairline leads to each. */
function BandLabels({ bands, units, x, width, metalY, specY, specifiedUm }: LabelProps) {
  const gap = 17;
  const wanted = bands.map((b) => b.top + b.height / 2);
  const placed: number[] = [];
  let limit = metalY - gap;
  for (const y of wanted) {
    const at = Math.min(y, limit);
    placed.push(at);
    limit = at - gap;
  }
  const film = (um: number): string => {
    const s = showFilm(um, units);
    return `${s.text} ${s.unit}`;
  };
  return (
    <g fontFamily="var(--font-figure)" fontSize="13" fill="var(--ink)">
      {bands.map((b, i) => (
        <g key={b.key} opacity={b.layer.isPlanned ? 0.75 : 1}>
          <path d={`M${x} ${wanted[i]}L${x + 12} ${placed[i]}`} stroke="var(--line)" fill="none" />
          <text x={x + 16} y={placed[i]! + 4}>
            {fitted(
              b.layer.name + (b.layer.isPlanned ? ' · to come' : ''),
              width - x - 70 - (b.layer.isMeasured ? 60 : 0),
            )}
          </text>
          <text x={width - 2} y={placed[i]! + 4} textAnchor="end" fontWeight="600">
            {b.layer.isMeasured ? 'measured ' : ''}
            {film(b.layer.dftUm)}
          </text>
        </g>
      ))}
      <text x={x + 16} y={metalY} fill="var(--quiet)">
        metal
      </text>
      {specifiedUm > 0 ? (
        <text x={2} y={Math.max(12, specY - 4)} fill="var(--bad)" fontSize="12">
          specified {film(specifiedUm)}
        </text>
      ) : null}
    </g>
  );
}
