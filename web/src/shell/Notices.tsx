import { useEffect } from 'react';
import { useNotices, type Notice } from '../state/notices.ts';
import { seenRefusal, useOutbox } from '../record/outbox.ts';
import { refusalWords } from '../record/refusal.ts';

const SHOWN_MS = 9000;
/** As many as leave the screen behind them in sight. */
const SHOWN_REFUSALS = 3;

/** What just happened, with its undo; and what a returning server refused, which stays until it is seen. */
export function Notices() {
  const list = useNotices((s) => s.list);
  const refused = useOutbox((s) => s.refused);
  return (
    <div
      aria-live="polite"
      className="pointer-events-none fixed bottom-3 left-1/2 z-[60] flex w-[min(560px,calc(100vw-16px))] -translate-x-1/2 flex-col gap-2 max-md:bottom-16"
    >
      {refused.slice(0, SHOWN_REFUSALS).map(({ write, error }) => (
        <p
          key={write.id}
          role="alert"
          className="pointer-events-auto flex items-center justify-between gap-3 section-left bg-slate pr-4 py-2 text-slate-ink [--coat:var(--s-shut)]"
        >
          <span>
            An entry that had waited was refused ({write.what}): {refusalWords(error)}
          </span>
          <button
            type="button"
            className="figure min-h-11 px-2 underline"
            onClick={() => void seenRefusal(write.id)}
          >
            Seen
          </button>
        </p>
      ))}
      {refused.length > SHOWN_REFUSALS ? (
        <p className="pointer-events-auto bg-slate px-4 py-1 text-slate-ink">
          and {refused.length - SHOWN_REFUSALS} more that were refused
        </p>
      ) : null}
      {list.map((n) => (
        <NoticeLine key={n.id} notice={n} />
      ))}
    </div>
  );
}

function NoticeLine({ notice }: { readonly notice: Notice }) {
  const dismiss = useNotices((s) => s.dismiss);
  useEffect(() => {
    const timer = setTimeout(() => dismiss(notice.id), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [dismiss, notice.id]);
  return (
    <p
      role="status"
      className={`pointer-events-auto flex items-center justify-between gap-3 section-left bg-slate pr-4 py-1 text-slate-ink ${notice.tone === 'trouble' ? '[--coat:var(--s-shut)]' : '[--coat:var(--s-open)]'}`}
    >
      <span className="py-2">{notice.text}</span>
      {notice.action ? (
        <button
          type="button"
          className="figure min-h-11 px-3 underline underline-offset-4"
          onClick={() => {
            dismiss(notice.id);
            notice.action?.run();
          }}
        >
          {notice.action.label}
        </button>
      ) : null}
    </p>
  );
}
