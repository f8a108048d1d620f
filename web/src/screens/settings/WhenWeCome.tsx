import { useState } from 'react';
import type { ShopInfo } from '@calvetta/contract';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { useSave } from '../../forms/useSave.ts';
import { useSend } from '../../record/useSend.ts';
import { shopWrite } from '../../record/write.ts';
import { Button } from '../../ui/Button.tsx';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
interface Session {
  readonly weekday: number;
  readonly from: string;
  readonly to: string;
}
const NEXT: Session = { weekday: 6, from: '09:00', to: '17:00' };

/** The evenings and Saturdays on which somebody is usually there: what is lost before the next of them comes first. */
export function WhenWeCome({ shop }: { readonly shop: ShopInfo }) {
  const send = useSend();
  const save = useSave();
  const stored = shop.attendance.weekly.map((w) => ({
    ...w,
    from: w.from.slice(0, 5),
    to: w.to.slice(0, 5),
  }));
  const [edited, setEdited] = useState<readonly Session[] | null>(null);
  const sessions = edited ?? stored;
  const set = (i: number, patch: Partial<Session>): void =>
    setEdited(sessions.map((s, k) => (k === i ? { ...s, ...patch } : s)));
  const backwards = sessions.some((s) => s.from === '' || s.to === '' || s.to <= s.from);
  const store = (): void =>
    save.run(
      () => send(shopWrite({ version: shop.version, weekly: sessions }), 'Stored: when we come'),
      () => setEdited(null),
    );
  return (
    <div className="flex flex-col gap-2">
      {sessions.length === 0 ? <p className="text-quiet">Nobody has said yet when people come.</p> : null}
      <ul className="flex flex-col gap-1">
        {sessions.map((s, i) => (
          <li key={`${i}`} className="flex flex-wrap items-center gap-2">
            <select
              aria-label={`Day of session ${i + 1}`}
              value={s.weekday}
              onChange={(e) => set(i, { weekday: Number(e.target.value) })}
            >
              {DAYS.map((d, k) => (
                <option key={d} value={k + 1}>
                  {d}
                </option>
              ))}
            </select>
            <input
              type="time"
              aria-label={`Session ${i + 1} from`}
              value={s.from}
              onChange={(e) => set(i, { from: e.target.value })}
            />
            to
            <input
              type="time"
              aria-label={`Session ${i + 1} until`}
              value={s.to}
              onChange={(e) => set(i, { to: e.target.value })}
            />
            <Button
              look="quiet"
              isInRow
              aria-label={`Remove session ${i + 1}`}
              onClick={() => setEdited(sessions.filter((_, k) => k !== i))}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      {backwards ? (
        <p role="alert" className="text-[13px] text-bad">
          A session ends later the same day than it begins.
        </p>
      ) : null}
      <FormTrouble words={save.trouble} />
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => setEdited([...sessions, NEXT])}>Add a session</Button>
        {edited === null ? null : (
          <Button look="main" disabled={save.isBusy || backwards} onClick={store}>
            Save when we come
          </Button>
        )}
      </div>
    </div>
  );
}
