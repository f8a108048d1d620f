import type { FilmLevel, FilmMapView, InspectView } from '@calvetta/core';
import { useDialogs } from '../../state/dialogs.ts';
import { moment } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';

const SAYS: readonly (readonly [FilmLevel, string, string])[] = [
  ['thin', 'too thin ▼', 'text-bad'],
  ['thick', 'too thick ▲', 'text-bad'],
  ['low', 'under what was specified ▬', 'text-warn'],
  ['right', 'right ●', 'text-good'],
];

/** What the readings on the drawing come to, and the way to take more. */
export function FilmLine({ view, film }: { readonly view: InspectView; readonly film: FilmMapView | null }) {
  const units = useUnits();
  const show = useDialogs((s) => s.show);
  return (
    <p className="flex flex-wrap items-baseline gap-x-2 text-[13px] text-quiet">
      {film ? (
        <span>
          Film {moment(film.atMs, view.nowMs, view.zone)}
          {film.isCovered ? ', before the coat that is on now' : ''}, against {units.film(film.nominalUm)}:{' '}
          {SAYS.flatMap(([level, words, tone]) => {
            const n = film.readings.filter((r) => r.level === level).length;
            return n === 0 ? [] : [{ level, n, words, tone }];
          }).map((s, i) => (
            <span key={s.level}>
              {i > 0 ? ', ' : ''}
              <span className={s.tone}>
                {s.n} {s.words}
              </span>
            </span>
          ))}
          .
        </span>
      ) : null}
      <button
        type="button"
        className="underline pointer-coarse:min-h-11"
        onClick={() => show({ kind: 'film', partId: view.card.partId })}
      >
        read the film here
      </button>
    </p>
  );
}
