import type { KeyboardEvent } from 'react';

/**
 * For a box that scrolls: what Tab has gone to comes wholly into sight, out from under what stays at the box's edges (its
 * `scroll-padding`). A browser leaves it where a corner shows. WCAG 2.2, 2.4.11. A touch scrolls nothing: it would miss.
 */
export function keepInSight(e: KeyboardEvent): void {
  if (e.key === 'Tab') document.activeElement?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
}
