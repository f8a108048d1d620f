import { useFocusPart } from '../state/focusPart.ts';

const ROWS = 'main [data-row]';
const TARGETS = 'a[href], button:not([disabled]), input:not([disabled]), summary';

const targetOf = (row: HTMLElement): HTMLElement | null =>
  row.matches(`[tabindex], ${TARGETS}`) ? row : row.querySelector<HTMLElement>(TARGETS);

/**
 * Moves the focus to the next row of the list on screen, or the one before; from outside it to the first or last. A row is what says
 * `data-row`: the part it is about, or nothing. What in it takes the focus is the row itself, else what it has of links and buttons.
 */
export function stepRow(by: 1 | -1): void {
  const rows = [...document.querySelectorAll<HTMLElement>(ROWS)].filter(
    (r) => r.getClientRects().length > 0 && targetOf(r) !== null,
  );
  if (rows.length === 0) return;
  const at = rows.findIndex((r) => r.contains(document.activeElement));
  const begin = by > 0 ? 0 : rows.length - 1;
  const next = rows[at < 0 ? begin : Math.min(rows.length - 1, Math.max(0, at + by))]!;
  targetOf(next)?.focus();
  next.scrollIntoView({ block: 'nearest' });
  const partId = next.dataset['row'] ?? '';
  useFocusPart.getState().set(partId === '' ? null : partId);
}
