import { useState, type MouseEvent } from 'react';
import { similarity, type FactOf, type InspectView, type Spot } from '@calvetta/core';
import { pictureUrl } from '../../api/client.ts';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { useSave } from '../../forms/useSave.ts';
import { useRecord } from '../../record/useRecord.ts';

type Picture = FactOf<'pictured'>;
interface Props {
  readonly view: InspectView;
  readonly pictures: readonly Picture[];
}
type Pair = readonly [Spot, Spot];
const pairOf = (p: Picture): Pair | null => {
  const [a, b] = p.body.alignBy ?? [];
  return a && b ? [a, b] : null;
};

/** The room both are shown in, wide by high; a picture is fitted into it whole. */
const RATIO = 4 / 3;

/** The first picture from before and the last from after, one over the other, parted where the slider stands. */
export function BeforeAfter({ view, pictures }: Props) {
  const [at, setAt] = useState(50);
  const [isAligning, setAligning] = useState(false);
  const [shapes, setShapes] = useState<Readonly<Record<string, number>>>({});
  const before = pictures.find((p) => p.body.stage === 'before');
  const after = pictures.findLast((p) => p.body.stage === 'after');
  if (!before || !after) return null;
  const loaded = (p: Picture, img: HTMLImageElement): void =>
    setShapes((s) => ({ ...s, [p.body.pictureId]: img.naturalWidth / img.naturalHeight }));
  const laid = over(before, after, shapes);
  return (
    <figure className="flex flex-col gap-1">
      {isAligning ? (
        <Align view={view} before={before} after={after} onDone={() => setAligning(false)} />
      ) : (
        <>
          <div className="relative aspect-[4/3] overflow-hidden border border-line bg-ground">
            <img
              src={pictureUrl(before.body.pictureId)}
              alt="before"
              className="absolute inset-0 size-full object-contain"
              onLoad={(e) => loaded(before, e.currentTarget)}
            />
            <div className="absolute inset-0" style={{ clipPath: `inset(0 0 0 ${at}%)` }}>
              <img
                src={pictureUrl(after.body.pictureId)}
                alt="after"
                className="size-full bg-ground object-contain"
                style={laid === null ? undefined : { transform: laid, transformOrigin: '0 0' }}
                onLoad={(e) => loaded(after, e.currentTarget)}
              />
            </div>
            <span
              className="absolute inset-y-0 w-px bg-panel"
              style={{ left: `${at}%` }}
              aria-hidden="true"
            />
          </div>
          <input
            type="range"
            min={0}
            max={100}
            value={at}
            aria-label="Before and after"
            onChange={(e) => setAt(Number(e.target.value))}
          />
          <figcaption className="flex justify-between text-[13px] text-quiet">
            <span>before</span>
            <button
              type="button"
              className="underline pointer-coarse:min-h-11"
              onClick={() => setAligning(true)}
            >
              {laid === null ? 'lay one over the other by two points' : 'laid by two points; choose others'}
            </button>
            <span>after</span>
          </figcaption>
        </>
      )}
    </figure>
  );
}

/** Points of a picture in the room it is fitted into, in shares of the room's width. */
function inRoom(points: Pair, shape: number): Pair {
  const wide = shape >= RATIO ? 1 : shape / RATIO;
  const high = wide / shape;
  const to = ({ x, y }: Spot): Spot => ({
    x: (1 - wide) / 2 + x * wide,
    y: (1 / RATIO - high) / 2 + y * high,
  });
  return [to(points[0]), to(points[1])];
}

/** How the later picture is turned, sized and shifted onto the earlier; null: nobody chose points, or it is not loaded yet. */
function over(before: Picture, after: Picture, shapes: Readonly<Record<string, number>>): string | null {
  const [to, from] = [pairOf(before), pairOf(after)];
  const [toShape, fromShape] = [shapes[before.body.pictureId], shapes[after.body.pictureId]];
  if (!to || !from || toShape === undefined || fromShape === undefined) return null;
  const s = similarity(inRoom(from, fromShape), inRoom(to, toShape));
  if (s === null) return null;
  // A shift in per cent is of the picture's own width and height.
  return `translate(${100 * s.e}%, ${100 * s.f * RATIO}%) matrix(${s.a}, ${s.b}, ${-s.b}, ${s.a}, 0, 0)`;
}

interface AlignProps {
  readonly view: InspectView;
  readonly before: Picture;
  readonly after: Picture;
  readonly onDone: () => void;
}

/** Two points of the part on the earlier picture, then the same two on the later one; kept with the pictures. */
function Align({ view, before, after, onDone }: AlignProps) {
  const [points, setPoints] = useState<readonly Spot[]>([]);
  const record = useRecord();
  const save = useSave();
  const picture = points.length < 2 ? before : after;
  const here = points.length < 2 ? points : points.slice(2);
  const keep = (p: Picture, pair: readonly Spot[]): Promise<void> =>
    record({
      kind: 'pictured',
      partId: view.card.partId,
      partName: view.card.name,
      face: p.face,
      happenedMs: p.happenedAtMs,
      endedMs: null,
      supersedes: p.factId,
      body: { ...p.body, alignBy: pair },
    });
  const touch = (e: MouseEvent<HTMLElement>): void => {
    if (save.isBusy || points.length >= 4) return;
    const box = e.currentTarget.getBoundingClientRect();
    const all = [
      ...points,
      { x: share((e.clientX - box.left) / box.width), y: share((e.clientY - box.top) / box.height) },
    ];
    setPoints(all);
    // One with points and one without is as if neither had any: the two need not be one act.
    if (all.length === 4)
      save.run(async () => {
        await keep(before, all.slice(0, 2));
        await keep(after, all.slice(2));
      }, onDone);
  };
  return (
    <div className="flex flex-col gap-1">
      <p className="text-[14px]">
        {points.length < 2
          ? 'Before: touch two points that both pictures show, far apart.'
          : 'After: touch the same two points, in the same order.'}{' '}
        <button type="button" className="underline pointer-coarse:min-h-11" onClick={onDone}>
          leave it
        </button>
      </p>
      <div className="relative cursor-crosshair border border-line" onClick={touch}>
        <img
          src={pictureUrl(picture.body.pictureId)}
          alt={picture.body.stage ?? ''}
          className="block w-full"
        />
        {here.map((p, i) => (
          <span
            key={i}
            className="figure absolute -translate-x-1/2 -translate-y-1/2 rounded-sm bg-chosen px-1 text-[13px] text-chosen-ink"
            style={{ left: `${100 * p.x}%`, top: `${100 * p.y}%` }}
          >
            {i + 1}
          </span>
        ))}
      </div>
      <FormTrouble words={save.trouble} />
    </div>
  );
}
const share = (x: number): number => Math.min(1, Math.max(0, Number(x.toFixed(4))));
