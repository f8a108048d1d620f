import type { ReactNode } from 'react';

/**
 * The button to press has the focus when a form opens, and a browser scrolls to where it would lie without the foot: on a phone past the
 * name and the cautions. A form is begun at its top.
 */
const fromTheTop = (foot: HTMLElement | null): void => {
  const panel = foot?.closest('[role="dialog"]');
  if (panel && foot?.contains(document.activeElement)) panel.scrollTop = 0;
};

/** What a panel's buttons stand on: always in sight, however long the form above. */
export function Foot({ children }: { readonly children: ReactNode }) {
  return (
    <div
      ref={fromTheTop}
      className="sticky -bottom-5 -mx-5 -mb-5 flex flex-wrap items-center gap-2 border-t border-line bg-panel px-5 py-3"
    >
      {children}
    </div>
  );
}
