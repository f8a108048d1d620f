import { useRef, useState } from 'react';
import {
  LEAST_TOUCHES,
  rustDegree,
  type InspectView,
  type Point,
  type RustAsked,
  type RustRefusal,
  type RustShare as Share,
  type Touch,
} from '@calvetta/core';
import { pictureUrl } from '../../api/client.ts';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { askWorker, maskUrl, pixelsOf } from './rustPixels.ts';
import { useFinds } from './useFinding.ts';

const WHOLE: RustAsked['corners'] = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];
type Mode = 'corners' | 'rust' | 'sound';

/** Why the share cannot be said, and what helps. */
function refusalText(r: RustRefusal): string {
  switch (r.why) {
    case 'few-touches':
      return `Touch at least ${LEAST_TOUCHES} spots of rust and ${LEAST_TOUCHES} of sound paint; so far ${r.rust} and ${r.sound}.`;
    case 'alike':
      return `The paint looks like rust to a picture: ${r.errorPct.toFixed(0)} % of the touches that were held out went wrong. Red or brown paint, primer, dirt and run stains do that. Judge it by eye.`;
    case 'mostly-masked':
      return `${r.maskedPct.toFixed(0)} % of the face is glare, shadow or a colour nobody touched. Take it in flat light, or touch more colours.`;
    case 'no-face':
      return 'The four corners enclose no face. Touch them in order, round it.';
  }
}

interface Props {
  readonly view: InspectView;
  readonly pictureId: string;
  readonly findingId: string | null;
  readonly onStored: () => void;
}

/** How much of a painted face shows rust: corners, touches of both, and a mask to approve before anything is stored. */
export function RustShare({ view, pictureId, findingId, onStored }: Props) {
  const img = useRef<HTMLImageElement>(null);
  const [mode, setMode] = useState<Mode>('rust');
  const [corners, setCorners] = useState<readonly Point[]>([]);
  const [touches, setTouches] = useState<readonly Touch[]>([]);
  const [found, setFound] = useState<{ readonly share: Share; readonly mask: string } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const { log, save } = useFinds(view);
  const touch = (p: Point): void => {
    setFound(null);
    if (mode === 'corners') setCorners((c) => (c.length >= 4 ? [p] : [...c, p]));
    else setTouches((t) => [...t, { ...p, isRust: mode === 'rust' }]);
  };
  const measure = (): void => {
    setTrouble(null);
    const pixels = img.current && pixelsOf(img.current);
    if (!pixels) return;
    const asked = corners.length === 4 ? (corners as unknown as RustAsked['corners']) : WHOLE;
    askWorker({ pixels, corners: asked, touches }).then(
      (r) => {
        if (!r.ok) setTrouble(refusalText(r.error));
        else setFound({ share: r.value, mask: maskUrl(r.value.mask, pixels.width, pixels.height) });
      },
      () => setTrouble('It could not be worked out here; try again.'),
    );
  };
  const n = { rust: touches.filter((t) => t.isRust).length, sound: touches.filter((t) => !t.isRust).length };
  const pct = (x: number): string => (x < 1 ? x.toFixed(2) : x.toFixed(1));
  return (
    <section aria-label="Rust share" className="flex flex-col gap-2">
      <OneOf<Mode>
        label="What you touch"
        value={mode}
        onChange={setMode}
        options={[
          { value: 'rust', text: `rust (${n.rust})` },
          { value: 'sound', text: `sound paint (${n.sound})` },
          { value: 'corners', text: `corners of the face (${corners.length || 'whole picture'})` },
        ]}
      />
      <div className="relative">
        <img ref={img} src={pictureUrl(pictureId)} alt="the face" className="block w-full" />
        {found ? (
          <img src={found.mask} alt="what was taken for rust" className="absolute inset-0 size-full" />
        ) : null}
        <svg
          viewBox="0 0 100 100"
          preserveAspectRatio="none"
          className="absolute inset-0 size-full cursor-crosshair touch-manipulation"
          role="img"
          aria-label="touch the picture"
          onClick={(e) => {
            const box = e.currentTarget.getBoundingClientRect();
            touch({ x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height });
          }}
        >
          {corners.length > 1 ? (
            <polygon
              points={corners.map((c) => `${100 * c.x},${100 * c.y}`).join(' ')}
              fill="none"
              stroke="#ffffff"
              strokeWidth={2}
              vectorEffect="non-scaling-stroke"
            />
          ) : null}
        </svg>
        {found
          ? null
          : touches.map((t, i) => (
              <span
                key={i}
                aria-hidden="true"
                className={`pointer-events-none absolute size-3 -translate-x-1/2 -translate-y-1/2 border-2 border-white ${t.isRust ? 'bg-[#c03020]' : 'bg-[#208050]'}`}
                style={{ left: `${100 * t.x}%`, top: `${100 * t.y}%` }}
              />
            ))}
      </div>
      <FormTrouble words={trouble ?? save.trouble} />
      {found ? (
        <>
          <p className="text-[16px]">
            <strong>{pct(found.share.sharePct)} %</strong> of the face shows rust, {pct(found.share.fromPct)}{' '}
            to {pct(found.share.toPct)} % nine times in ten: Ri {rustDegree(found.share.sharePct)}.
          </p>
          <p className="text-[14px] text-quiet">
            Red is what was taken for rust, grey was not judged ({pct(found.share.maskedPct)} %). Wet and
            black rust are missed. Does the red lie where the rust is?
          </p>
          <div className="flex gap-2">
            <Button
              look="main"
              disabled={save.isBusy}
              onClick={() => {
                const { sharePct, fromPct, toPct, maskedPct } = found.share;
                log(
                  'rust-measured',
                  null,
                  {
                    pictureId,
                    sharePct,
                    fromPct,
                    toPct,
                    maskedPct,
                    touches: touches.length,
                    ...(findingId ? { findingId } : {}),
                  },
                  { done: onStored },
                );
              }}
            >
              It does: log it
            </Button>
            <Button onClick={() => setFound(null)}>No: touch more</Button>
          </div>
        </>
      ) : (
        <div className="flex gap-2">
          <Button look="main" onClick={measure}>
            Measure
          </Button>
          <Button
            look="quiet"
            disabled={touches.length === 0}
            onClick={() => setTouches((t) => t.slice(0, -1))}
          >
            Take the last touch back
          </Button>
        </div>
      )}
    </section>
  );
}
