import type { Layer } from '@calvetta/contract';

interface Props {
  readonly layers: readonly Layer[];
  /** µm that fill the height: the same for all that stand side by side. */
  readonly fullUm: number;
  readonly heightPx: number;
  readonly film: (um: number) => string;
}
/** A band thinner than this carries no words. */
const LEAST_WORDS_PX = 16;

/** Dark words on a light coat, light ones on a dark coat (relative luminance, WCAG 2.2). */
export function inkOn(hex: string): '#ffffff' | '#14110d' {
  const channel = (at: number): number => {
    const c = parseInt(hex.slice(at, at + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  };
  const luminance = 0.2126 * channel(1) + 0.7152 * channel(3) + 0.0722 * channel(5);
  // Where the contrast with white and with near-black meets.
  return luminance > 0.179 ? '#14110d' : '#ffffff';
}

/** The coats of one route standing on the metal line, each as thick as its film on the common scale, its name in it where it fits. */
export function CoatStack({ layers, fullUm, heightPx, film }: Props) {
  return (
    <div aria-hidden="true" style={{ height: heightPx }} className="flex flex-col-reverse">
      {layers.map((l, i) => {
        const px = Math.max(2, (l.dftUm / fullUm) * heightPx);
        return (
          <div
            key={`${i}${l.name}`}
            style={{ height: px, background: l.colour, color: inkOn(l.colour) }}
            className="flex items-center justify-between gap-1 overflow-hidden border-t border-panel/60 px-1 text-[12px] leading-tight whitespace-nowrap"
          >
            {px < LEAST_WORDS_PX ? null : (
              <>
                <span className="figure min-w-0 truncate">{l.name}</span>
                <span className="figure shrink-0 font-semibold">{film(l.dftUm)}</span>
              </>
            )}
          </div>
        );
      })}
    </div>
  );
}
