import { useThings, type Listed } from '../../record/useThings.ts';
import { Button } from '../../ui/Button.tsx';

/** What was put away, folded: its record stands, and it can come back. */
export function PutAway({ things }: { readonly things: readonly Listed[] }) {
  const { bringBack, quietly } = useThings();
  if (things.length === 0) return null;
  return (
    <details className="text-[13px]">
      <summary className="cursor-pointer text-quiet">Put away: {things.length}</summary>
      <ul>
        {things.map((t) => (
          <li key={t.id} className="flex items-center justify-between gap-2">
            {t.name}
            <Button
              look="quiet"
              isInRow
              aria-label={`Bring back ${t.name}`}
              onClick={() => quietly(bringBack(t))}
            >
              Bring back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
