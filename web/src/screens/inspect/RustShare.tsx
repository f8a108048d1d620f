import { useRef, type RefObject } from 'react';
import { rustDegree, type InspectView, type RustShare as Share } from '@calvetta/core';
import { pictureUrl } from '../../api/client.ts';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { useFinds } from './useFinding.ts';
import { useRustShare, type RustWork, type TouchMode } from './useRustShare.ts';

interface Props {
  readonly view: InspectView;
  readonly pictureId: string;
  readonly findingId: string | null;
  readonly onStored: () => void;
}

/** How much of a painted face shows rust: corners, touches of both, and a mask to approve before anything is stored. */
export function RustShare({ view, pictureId, findingId, onStored }: Props) {
  const img = useRef<HTMLImageElement>(null);
  const work = useRustShare();
  const { log, save } = useFinds(view);
  const count = (isRust: boolean): number => work.touches.filter((t) => t.isRust === isRust).length;
  return (
    <section aria-label="Rust share" className="flex flex-col gap-2">
      <OneOf<TouchMode>
        label="What you touch"
        value={work.mode}
        onChange={work.setMode}
        options={[
          { value: 'rust', text: `rust (${count(true)})` },
          { value: 'sound', text: `sound paint (${count(false)})` },
          { value: 'corners', text: `corners of the face (${work.corners.length || 'whole picture'})` },
        ]}
      />
      <Ground work={work} pictureId={pictureId} img={img} />
      <FormTrouble words={work.trouble ?? save.trouble} />
      {work.found ? (
        <>
          <ShareWords share={work.found.share} />
          <div className="flex gap-2">
            <Button
              look="main"
              disabled={save.isBusy}
              onClick={() => {
                const { sharePct, fromPct, toPct, maskedPct } = work.found!.share;
                const of = findingId === null ? {} : { findingId };
                const body = {
                  pictureId,
                  sharePct,
                  fromPct,
                  toPct,
                  maskedPct,
                  touches: work.touches.length,
                  ...of,
                };
                log('rust-measured', null, body, { done: onStored });
              }}
            >
              It does: log it
            </Button>
            <Button onClick={work.again}>No: touch more</Button>
          </div>
        </>
      ) : (
        <div className="flex gap-2">
          <Button look="main" onClick={() => work.measure(img.current)}>
            Measure
          </Button>
          <Button look="quiet" disabled={work.touches.length === 0} onClick={work.takeBack}>
            Take the last touch back
          </Button>
        </div>
      )}
    </section>
  );
}

interface GroundProps {
  readonly work: RustWork;
  readonly pictureId: string;
  readonly img: RefObject<HTMLImageElement | null>;
}

/** The picture with what was touched on it; when it is measured, with what was taken for rust. */
function Ground({ work, pictureId, img }: GroundProps) {
  const { corners, touches, found } = work;
  return (
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
          work.touch({ x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height });
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
      {(found ? [] : touches).map((t, i) => (
        <span
          key={i}
          aria-hidden="true"
          className={`pointer-events-none absolute size-3 -translate-x-1/2 -translate-y-1/2 border-2 border-white ${t.isRust ? 'bg-[#c03020]' : 'bg-[#208050]'}`}
          style={{ left: `${100 * t.x}%`, top: `${100 * t.y}%` }}
        />
      ))}
    </div>
  );
}

const pct = (x: number): string => (x < 1 ? x.toFixed(2) : x.toFixed(1));
function ShareWords({ share }: { readonly share: Share }) {
  return (
    <>
      <p className="text-[16px]">
        <strong>{pct(share.sharePct)} %</strong> of the face shows rust, {pct(share.fromPct)} to{' '}
        {pct(share.toPct)} % nine times in ten: Ri {rustDegree(share.sharePct)}.
      </p>
      <p className="text-[14px] text-quiet">
        Red is what was taken for rust, grey was not judged ({pct(share.maskedPct)} %). Wet and black rust are
        missed. Does the red lie where the rust is?
      </p>
    </>
  );
}
