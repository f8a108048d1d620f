import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { keepInSight } from './inSight.ts';

interface Props {
  readonly title: string;
  readonly subtitle?: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  /** A side panel for reading, a centred one for doing. */
  readonly side?: boolean;
}

/** The one floating surface: focus is kept inside, Escape closes it. */
export function Panel({ title, subtitle, onClose, children, side = false }: Props) {
  const place = side
    ? 'right-0 top-0 h-full w-[min(560px,100vw)]'
    : 'left-1/2 top-[6vh] max-h-[88vh] w-[min(620px,calc(100vw-16px))] -translate-x-1/2';
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/35" />
        <Dialog.Content
          onKeyUp={keepInSight}
          className={`fixed z-50 ruler-top scroll-pt-4 scroll-pb-24 overflow-y-auto border border-line bg-panel p-5 shadow-xl ${place}`}
          aria-describedby={undefined}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <div>
              <Dialog.Title className="text-[22px] leading-tight">{title}</Dialog.Title>
              {subtitle === undefined ? null : <p className="text-quiet">{subtitle}</p>}
            </div>
            <Dialog.Close
              className="min-h-11 min-w-11 rounded-sm text-[15px] text-quiet hover:text-ink"
              aria-label="Close"
            >
              ✕
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
