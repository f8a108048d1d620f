import { useState } from 'react';
import type { FactOf } from '@calvetta/core';
import { pictureUrl } from '../../api/client.ts';

/** The first picture from before and the last from after, one over the other, parted where the slider stands. */
export function BeforeAfter({ pictures }: { readonly pictures: readonly FactOf<'pictured'>[] }) {
  const [at, setAt] = useState(50);
  const before = pictures.find((p) => p.body.stage === 'before');
  const after = pictures.findLast((p) => p.body.stage === 'after');
  if (!before || !after) return null;
  return (
    <figure className="flex flex-col gap-1">
      <div className="relative aspect-[4/3] overflow-hidden border border-line bg-ground">
        <img
          src={pictureUrl(before.body.pictureId)}
          alt="before"
          className="absolute inset-0 size-full object-cover"
        />
        <img
          src={pictureUrl(after.body.pictureId)}
          alt="after"
          className="absolute inset-0 size-full object-cover"
          style={{ clipPath: `inset(0 0 0 ${at}%)` }}
        />
        <span className="absolute inset-y-0 w-px bg-panel" style={{ left: `${at}%` }} aria-hidden="true" />
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
        <span>after</span>
      </figcaption>
    </figure>
  );
}
