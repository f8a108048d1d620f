import type { ReactNode } from 'react';
import type { ShelfResponse, TinView } from '@calvetta/contract';
import { CONFLICT_WORDS, HARDENER_WORDS } from '@calvetta/contract/words';
import { useNowMs } from '../../state/clock.ts';
import { Button } from '../../ui/Button.tsx';
import { moment } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { tinName } from '../../words/tinWords.ts';

interface Props {
  readonly shelf: ShelfResponse;
  readonly zone: string;
  readonly onWeigh: (tin: TinView) => void;
}

/** What cannot be right, what is about to die, and what will not match: each by itself, opened when it is asked for. */
export function Attention({ shelf, zone, onWeigh }: Props) {
  const nowMs = useNowMs();
  const units = useUnits();
  const conflicts = shelf.conflicts.filter((c) => c.code !== 'poured-more-than-held');
  const groups = shelf.groups.filter((g) => g.batch === null);
  const asking = shelf.tins.filter((t) => t.asksWeighing);
  return (
    <div aria-label="To look at" role="group" className="flex flex-col gap-1">
      {asking.map((t) => (
        <p
          key={t.tinId}
          role="alert"
          className="flex flex-wrap items-center gap-3 border-l-4 border-bad bg-panel px-3 py-1"
        >
          <strong>{tinName(t)}</strong> {CONFLICT_WORDS['poured-more-than-held']}
          <Button isInRow onClick={() => onWeigh(t)}>
            Weigh it
          </Button>
        </p>
      ))}
      {conflicts.map((c, i) => (
        <p key={i} role="alert" className="border-l-4 border-bad bg-panel px-3 py-1">
          <strong>{c.about}</strong> {CONFLICT_WORDS[c.code]}
          {c.code === 'film-above-pour'
            ? ` ${units.volume(c.filmMl)} in the film, ${units.volume(c.pouredMl)} poured.`
            : ''}
        </p>
      ))}
      <div className="flex flex-wrap gap-1">
        <Fold count={shelf.hardeners.length} title="in trouble with their hardener">
          {shelf.hardeners.map((h) => (
            <li key={h.productId}>
              <strong>{h.productName}</strong> {HARDENER_WORDS[h.code]}{' '}
              {h.code === 'dies-first' && h.atMs !== null
                ? `The last goes off ${moment(h.atMs, nowMs, zone)}, with ${units.volume(h.paintMl)} of paint on the shelf.`
                : `${units.volume(h.paintMl)} of paint asks for ${units.volume(h.needMl)}; ${units.volume(h.haveMl)} can be trusted.`}
            </li>
          ))}
        </Fold>
        <Fold count={groups.length} title="not covered by one batch, by colour">
          {groups.map((g) => (
            <li key={g.colourGroup + g.productId}>
              <strong>{g.colourGroup}</strong> {units.volume(g.needMl)} of {g.productName} to come; the
              fullest batch is {units.volume(g.shortMl)} short
            </li>
          ))}
          <li className="text-quiet">
            Two batches side by side show: buy one batch, or pour the tins together before the first coat.
          </li>
        </Fold>
        <Fold count={shelf.mixedGroups.length} title="with two batches on already, by colour">
          {shelf.mixedGroups.map((g) => (
            <li key={g.colourGroup + g.productId}>
              <strong>{g.colourGroup}</strong> {g.productName}:{' '}
              {g.batches.map((b) => `${b.batch} on ${b.partNames.join(', ')}`).join('; ')}
            </li>
          ))}
          <li className="text-quiet">
            Look at them side by side in daylight before the last coat; a last coat of one batch over all of
            them settles it.
          </li>
        </Fold>
      </div>
    </div>
  );
}

interface FoldProps {
  readonly count: number;
  readonly title: string;
  readonly children: ReactNode;
}

function Fold({ count, title, children }: FoldProps) {
  if (count === 0) return null;
  return (
    <details className="border-l-4 border-mark bg-panel px-3 py-1 open:w-full">
      <summary className="figure min-h-7 cursor-pointer text-[16px]">
        {count} {title}
      </summary>
      <ul className="py-1">{children}</ul>
    </details>
  );
}
