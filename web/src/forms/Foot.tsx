import type { ReactNode } from 'react';

/** What a panel's buttons stand on: always in sight, however long the form above. */
export function Foot({ children }: { readonly children: ReactNode }) {
  return (
    <div className="sticky -bottom-5 -mx-5 -mb-5 flex flex-wrap items-center gap-2 border-t border-line bg-panel px-5 py-3">
      {children}
    </div>
  );
}
