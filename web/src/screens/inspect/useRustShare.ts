import { useState } from 'react';
import {
  LEAST_TOUCHES,
  type Point,
  type RustAsked,
  type RustRefusal,
  type RustShare,
  type Touch,
} from '@calvetta/core';
import { askWorker, maskUrl, pixelsOf } from './rustPixels.ts';

const WHOLE: RustAsked['corners'] = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];
export type TouchMode = 'corners' | 'rust' | 'sound';

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

export interface RustWork {
  readonly mode: TouchMode;
  readonly setMode: (mode: TouchMode) => void;
  readonly corners: readonly Point[];
  readonly touches: readonly Touch[];
  readonly touch: (at: Point) => void;
  readonly takeBack: () => void;
  readonly measure: (img: HTMLImageElement | null) => void;
  readonly found: { readonly share: RustShare; readonly mask: string } | null;
  readonly again: () => void;
  readonly trouble: string | null;
}

/** Touches on a picture, and what a worker makes of them. A touch more, and the answer of before is gone. */
export function useRustShare(): RustWork {
  const [mode, setMode] = useState<TouchMode>('rust');
  const [corners, setCorners] = useState<readonly Point[]>([]);
  const [touches, setTouches] = useState<readonly Touch[]>([]);
  const [found, setFound] = useState<RustWork['found']>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const measure = (img: HTMLImageElement | null): void => {
    setTrouble(null);
    const pixels = img && pixelsOf(img);
    if (!pixels) return;
    const [a, b, c, d] = corners;
    askWorker({ pixels, corners: a && b && c && d ? [a, b, c, d] : WHOLE, touches }).then(
      (r) => {
        if (r.ok) setFound({ share: r.value, mask: maskUrl(r.value.mask, pixels.width, pixels.height) });
        else setTrouble(refusalText(r.error));
      },
      () => setTrouble('It could not be worked out here; try again.'),
    );
  };
  return {
    mode,
    setMode,
    corners,
    touches,
    touch: (at) => {
      setFound(null);
      if (mode === 'corners') setCorners((c) => (c.length >= 4 ? [at] : [...c, at]));
      else setTouches((t) => [...t, { ...at, isRust: mode === 'rust' }]);
    },
    takeBack: () => setTouches((t) => t.slice(0, -1)),
    measure,
    found,
    again: () => setFound(null),
    trouble,
  };
}
