import { useState } from 'react';
import type { ShopInfo } from '@calvetta/contract';
import { dayWords } from '@calvetta/contract/words';
import { Field } from '../../forms/Field.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { useSave } from '../../forms/useSave.ts';
import { useSend } from '../../record/useSend.ts';
import { shopWrite } from '../../record/write.ts';
import { Button } from '../../ui/Button.tsx';

type Day = ShopInfo['attendance']['exceptions'][number];

/** Days on which the shop meets otherwise: a painter's day, a work week, or nobody at all. */
export function DaysOtherwise({ shop }: { readonly shop: ShopInfo }) {
  const send = useSend();
  const save = useSave();
  const days = [...shop.attendance.exceptions].sort((a, b) => (a.day < b.day ? -1 : 1));
  const store = (exceptions: readonly Day[], done?: () => void): void =>
    save.run(
      () =>
        send(
          shopWrite({
            version: shop.version,
            exceptions: exceptions.map((d) => ({
              day: d.day,
              from: d.from?.slice(0, 5) ?? null,
              to: d.to?.slice(0, 5) ?? null,
            })),
          }),
          'Stored: days that are otherwise',
        ),
      done,
    );
  return (
    <section aria-label="Days that are otherwise" className="flex flex-col gap-2 border-t border-line pt-3">
      <h3 className="text-[16px]">Days that are otherwise</h3>
      <ul className="text-[14px]">
        {days.map((d) => (
          <li key={d.day} className="flex items-center gap-2">
            <span>
              {dayWords(d.day)}:{' '}
              {d.from === null || d.to === null ? 'nobody' : `${d.from.slice(0, 5)} to ${d.to.slice(0, 5)}`}
            </span>
            <Button
              isInRow
              look="quiet"
              aria-label={`As usual again: ${d.day}`}
              disabled={save.isBusy}
              onClick={() => store(days.filter((x) => x.day !== d.day))}
            >
              As usual again
            </Button>
          </li>
        ))}
      </ul>
      <OneMore
        isBusy={save.isBusy}
        onAdd={(d, done) => store([...days.filter((x) => x.day !== d.day), d], done)}
      />
      <FormTrouble words={save.trouble} />
    </section>
  );
}

interface OneMoreProps {
  readonly isBusy: boolean;
  readonly onAdd: (day: Day, done: () => void) => void;
}
function OneMore({ isBusy, onAdd }: OneMoreProps) {
  const [day, setDay] = useState('');
  const [from, setFrom] = useState('09:30');
  const [to, setTo] = useState('16:30');
  const isBackwards = to <= from;
  const clear = (): void => setDay('');
  return (
    <div className="flex flex-wrap items-end gap-2">
      <Field label="Day">
        <input type="date" value={day} onChange={(e) => setDay(e.target.value)} />
      </Field>
      <Field label="From, that day">
        <input type="time" value={from} onChange={(e) => setFrom(e.target.value)} />
      </Field>
      <Field
        label="Until, that day"
        problem={isBackwards ? 'Later the same day; a night is two sessions.' : null}
      >
        <input type="time" value={to} onChange={(e) => setTo(e.target.value)} />
      </Field>
      <Button disabled={isBusy || day === '' || isBackwards} onClick={() => onAdd({ day, from, to }, clear)}>
        We meet then
      </Button>
      <Button disabled={isBusy || day === ''} onClick={() => onAdd({ day, from: null, to: null }, clear)}>
        Nobody comes
      </Button>
    </div>
  );
}
