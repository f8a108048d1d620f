import type { FaceResult } from '../../bench/part.ts';
import { layIntervals, windowRule } from '../../cure/windows.ts';
import type { Face } from '../../facts/part.ts';
import type { SurfaceStretch } from '../../part/thermal/track.ts';
import type { Prep } from '../../products/sheet.ts';
import type { DerivedPart } from '../part.ts';
import type { Snapshot } from '../snapshot.ts';

/** When a coat could be followed by the one that did follow, by the temperature the part really had, and when it was. */
export interface CoatWindow {
  readonly face: Face;
  readonly no: number;
  readonly laidMs: number;
  readonly nextMs: number;
  readonly spans: readonly {
    readonly openMs: number;
    /** Null: it does not shut, or nobody knows when. */
    readonly shutMs: number | null;
    readonly prep: Prep;
  }[];
  /** `unknown`: the sheet says nothing of this follower. */
  readonly kept: 'inside' | 'early' | 'between' | 'late' | 'forbidden' | 'unknown';
}

/** The windows between coats that are on, face by face. Pure. */
export function coatWindows(
  snapshot: Snapshot,
  part: DerivedPart,
  track: readonly SurfaceStretch[],
): CoatWindow[] {
  const place = snapshot.shop.places.find((p) => p.placeId === part.placeId);
  const isOutdoors = place?.exposure === 'outdoors';
  return part.state.faces.flatMap((face: FaceResult) =>
    face.coats.slice(0, -1).map((coat, i): CoatWindow => {
      const next = face.coats[i + 1]!;
      const rule = windowRule(coat.sheet, next.sheet);
      const speedBy = snapshot.speeds.get(coat.sheet.productId)?.speedBy ?? 1;
      const film = { ...coat, track, speedBy, minRecoatTests: [], isOutdoors };
      const spans =
        rule.kind === 'intervals'
          ? layIntervals(film, rule.intervals).flatMap(({ from, to, prep }) =>
              from.nominalMs === null
                ? []
                : [{ openMs: from.nominalMs, shutMs: to === null ? null : to.nominalMs, prep }],
            )
          : [];
      return {
        face: face.face,
        no: i + 1,
        laidMs: coat.t0Ms,
        nextMs: next.t0Ms,
        spans,
        kept: rule.kind === 'forbidden' ? 'forbidden' : keptOf(spans, next.t0Ms),
      };
    }),
  );
}

function keptOf(spans: CoatWindow['spans'], nextMs: number): CoatWindow['kept'] {
  const first = spans[0];
  if (!first) return 'unknown';
  if (nextMs < first.openMs) return 'early';
  if (spans.some((s) => nextMs >= s.openMs && (s.shutMs === null || nextMs <= s.shutMs))) return 'inside';
  return spans.some((s) => s.openMs > nextMs) ? 'between' : 'late';
}
