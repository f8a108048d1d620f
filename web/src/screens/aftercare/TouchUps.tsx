import { FEATHER, TOUCH_UP_C, type CareView, type TouchUpCoat } from '@calvetta/core';
import { useUnits } from '../../ui/useUnits.ts';

/** How each finished film is mended where it is chipped to the metal: its own coats again. */
export function TouchUps({ view }: { readonly view: CareView }) {
  const units = useUnits();
  if (view.touchUps.length === 0) return null;
  return (
    <section aria-label="Touching up" className="flex flex-col gap-1">
      <h2 className="text-[18px]">Touching up</h2>
      <p className="text-[14px] text-quiet">
        Down to sound metal; feather the edge with P{FEATHER.gritsP.join(', then P')}, {FEATHER.beyondMm} mm
        past it; wipe, dry, and the same coats again, no thicker than they were. Windows by the sheets at{' '}
        {units.temp(TOUCH_UP_C, 0)}. Respirator and extraction; old layers may hold lead.
      </p>
      {view.touchUps.map((t) => (
        <details key={t.partId} className="border border-line bg-panel px-3">
          <summary className="cursor-pointer pointer-fine:py-1">
            <strong>{t.partName}</strong> <span className="text-quiet">· {t.machineName}</span>
          </summary>
          <ol className="list-decimal pb-2 pl-5 text-[14px]">
            {t.coats.map((c, i) => (
              <li key={i}>
                {c.productName}
                {c.colour === null ? '' : `, ${c.colour}`}, {units.film(c.filmUm)}
                {c.batch === null ? ', batch not noted' : `, batch ${c.batch}`}
                {i + 1 < t.coats.length ? `; ${nextWords(c)}` : ''}
              </li>
            ))}
          </ol>
        </details>
      ))}
    </section>
  );
}

const hours = (h: number): string =>
  h < 1 ? `${Math.round(h * 60)} min` : h < 48 ? `${h.toFixed(h < 10 ? 1 : 0)} h` : `${Math.round(h / 24)} d`;
function nextWords({ nextFromH, nextToH }: TouchUpCoat): string {
  if (nextFromH === null) return 'the next as its sheet says';
  return `the next after ${hours(nextFromH)}${nextToH === null ? '' : `, before ${hours(nextToH)}`}`;
}
