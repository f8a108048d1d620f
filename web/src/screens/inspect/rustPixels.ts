import type { Pixels, RustAsked } from '@calvetta/core';
import type { RustAnswer } from './rust.worker.ts';

const MOST_POINTS = 2_000_000;

/** The picture’s points, no more than two million, in sRGB whatever the screen shows. */
export function pixelsOf(img: HTMLImageElement): Pixels | null {
  const { naturalWidth: w, naturalHeight: h } = img;
  const by = Math.min(1, Math.sqrt(MOST_POINTS / (w * h)));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(w * by));
  canvas.height = Math.max(1, Math.round(h * by));
  const context = canvas.getContext('2d', { colorSpace: 'srgb' });
  if (!context) return null;
  context.drawImage(img, 0, 0, canvas.width, canvas.height);
  return context.getImageData(0, 0, canvas.width, canvas.height);
}

/** Asks the worker once. */
export const askWorker = (asked: RustAsked): Promise<RustAnswer> =>
  new Promise((done, fail) => {
    const worker = new Worker(new URL('./rust.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<RustAnswer>) => {
      worker.terminate();
      done(data);
    };
    worker.onerror = () => {
      worker.terminate();
      fail(new Error('the worker broke off'));
    };
    worker.postMessage({
      ...asked,
      pixels: { data: asked.pixels.data, width: asked.pixels.width, height: asked.pixels.height },
    });
  });

/** What was found to be rust, laid over the picture: rust in red, what was not judged in grey. */
export function maskUrl(mask: Uint8Array, width: number, height: number): string {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d')!;
  const out = context.createImageData(width, height);
  for (let i = 0; i < mask.length; i++) {
    if (mask[i] === 2) out.data.set([224, 30, 30, 210], 4 * i);
    else if (mask[i] === 3) out.data.set([90, 90, 90, 150], 4 * i);
    else if (mask[i] === 0) out.data.set([255, 255, 255, 120], 4 * i);
  }
  context.putImageData(out, 0, 0);
  return canvas.toDataURL('image/png');
}
