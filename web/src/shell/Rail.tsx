import { NavLink } from 'react-router';
import { RAIL } from '../screens.ts';
import { useDoor } from '../api/queries.ts';
import { useDialogs } from '../state/dialogs.ts';
import { usePin } from '../state/pin.ts';
import { useOutbox } from '../record/outbox.ts';

/** The mark that stands on a ruler: where one is. */
const POINTER =
  'relative before:absolute before:bg-mark max-md:before:top-0 max-md:before:h-[5px] max-md:before:w-[14px] max-md:before:[clip-path:polygon(0_0,100%_0,50%_100%)] md:before:left-0 md:before:h-[16px] md:before:w-[9px] md:before:[clip-path:polygon(0_0,100%_50%,0_100%)]';

/** The places, in the order of the work: a rail beside the screen, a bar under it on a phone. */
export function Rail() {
  const waiting = useOutbox((s) => s.waiting.length);
  return (
    <nav
      aria-label="Places"
      className="flex shrink-0 print:hidden bg-slate text-slate-ink max-md:h-14 max-md:overflow-x-auto md:w-[76px] md:flex-col"
    >
      <span className="figure px-2 py-3 text-center text-[16px] max-md:hidden">Calvetta</span>
      <div className="flex flex-1 md:ruler-left md:flex-none md:flex-col md:text-slate-ink/45 max-md:contents">
        {RAIL.map(({ to, word, Icon }) => (
          <NavLink
            key={to}
            to={to}
            end={to === '/'}
            className={({ isActive }) =>
              `figure flex flex-1 flex-col items-center justify-center gap-1 text-[13px] max-md:min-w-[52px] max-md:text-[11px] md:h-[58px] md:flex-none ${
                isActive ? `bg-ground text-ink ${POINTER}` : 'text-slate-ink hover:bg-white/10'
              }`
            }
          >
            <Icon size={20} strokeWidth={1.6} aria-hidden="true" />
            {word}
          </NavLink>
        ))}
      </div>
      <Hands />
      {waiting > 0 ? (
        <span role="status" className="figure m-1 bg-mark p-1 text-center text-[12px] text-white">
          {waiting} waiting to be sent
        </span>
      ) : null}
    </nav>
  );
}

/** Who is signed in; on a tablet of the shop, where the next entry can be signed with a pin. */
function Hands() {
  const me = useDoor().data?.me;
  const isHeld = usePin((s) => s.held !== null);
  const show = useDialogs((s) => s.show);
  const look =
    'figure m-1 p-1 text-center text-[12px] leading-tight break-words max-md:hidden md:mt-auto hover:bg-white/10';
  if (!me) return <span className="md:mt-auto" />;
  if (me.tabletId === null)
    return (
      <NavLink to="/settings" className={look} title="Who is signed in">
        {me.name}
      </NavLink>
    );
  return (
    <button type="button" className={look} onClick={() => show({ kind: 'pin' })}>
      {isHeld ? 'Next entry is signed' : 'Sign with a pin'}
    </button>
  );
}
