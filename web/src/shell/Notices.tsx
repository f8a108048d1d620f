import { useEffect } from 'react';
import { useNotices, type Notice } from '../state/notices.ts';
import { seenRefusal, useOutbox } from '../record/outbox.ts';
import { refusalWords } from '../record/refusal.ts';

const SHOWN_MS = 9000;
/** As many as leave the screen behind them in sight. */
const SHOWN_REFUSALS = 3;

/**
 * What just happened, with its undo; and what a returning server refused, which stays until it is seen. It stands below the page and
 * takes room of its own: over it, it would lie on the very button that comes next.
 */
export function Notices() {
  const list = useNotices((s) => s.list);
  const refused = useOutbox((s) => s.refused);
  return (
    // Above a dialog's shade: what a dialog says is said while it is open.
    <div aria-live="polite" className="relative z-[60] flex flex-col gap-px print:hidden">
      {refused.slice(0, SHOWN_REFUSALS).map(({ write, error }) => (
        <p key={write.id} role="alert" className={`${LINE} [--coat:var(--s-shut)]`}>
          <span className="py-2">
            An entry that had waited was refused ({write.what}): {refusalWords(error)}
          </span>
          <button type="button" className={TOUCH} onClick={() => void seenRefusal(write.id)}>
            Seen
          </button>
        </p>
      ))}
      {refused.length > SHOWN_REFUSALS ? (
        <p className="bg-slate px-4 py-1 text-slate-ink">
          and {refused.length - SHOWN_REFUSALS} more that were refused
        </p>
      ) : null}
      {list.map((n) => (
        <NoticeLine key={n.id} notice={n} />
      ))}
    </div>
  );
}
const LINE =
  'pointer-events-auto flex items-center gap-4 section-left bg-slate pr-2 text-slate-ink max-md:justify-between';
const TOUCH = 'figure min-h-11 min-w-11 px-2 underline underline-offset-4';

function NoticeLine({ notice }: { readonly notice: Notice }) {
  const dismiss = useNotices((s) => s.dismiss);
  useEffect(() => {
    const timer = setTimeout(() => dismiss(notice.id), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [dismiss, notice.id]);
  return (
    <p
      role="status"
      className={`${LINE} ${notice.tone === 'trouble' ? '[--coat:var(--s-shut)]' : '[--coat:var(--s-open)]'}`}
    >
      <span className="py-2">{notice.text}</span>
      {notice.action ? (
        <button
          type="button"
          className={TOUCH}
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
