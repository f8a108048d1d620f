import { useState } from 'react';
import type { Comes, Person } from '@calvetta/core';
import { dayWords, WEEKDAY_SHORT } from '@calvetta/contract/words';
import { useShop } from '../api/queries.ts';
import { Field } from '../forms/Field.tsx';
import { useThings } from '../record/useThings.ts';
import { Button } from '../ui/Button.tsx';
import { TickBox } from '../ui/TickBox.tsx';

const WHENEVER: Comes = { weekdays: null, days: [] };

/** When somebody comes, of the days on which the shop meets; and days that are otherwise: away, or there for once. Each touch is stored. */
export function ComesForm({ person }: { readonly person: Person }) {
  const things = useThings();
  const weekly = useShop().data?.attendance.weekly ?? [];
  const comes = person.comes ?? WHENEVER;
  const store = (next: Comes): void => {
    const isNothing = next.weekdays === null && next.days.length === 0;
    things.quietly(
      things.change('people', person.personId, person.name, {
        version: person.version,
        comes: isNothing ? null : next,
      }),
    );
  };
  const meets = [...new Set(weekly.map((w) => w.weekday))].sort((a, b) => a - b);
  const setDay = (day: number, isOn: boolean): void => {
    const had = comes.weekdays ?? meets;
    const next = isOn ? [...had, day].sort((a, b) => a - b) : had.filter((d) => d !== day);
    store({ ...comes, weekdays: meets.every((d) => next.includes(d)) ? null : next });
  };
  return (
    <section aria-label="When they come" className="flex flex-col gap-2 border-t border-line pt-3">
      <h3 className="text-[16px]">When they come</h3>
      {meets.length === 0 ? (
        <p className="text-[14px] text-quiet">Say first, under Settings, when the shop meets.</p>
      ) : (
        <div className="flex flex-wrap gap-x-4">
          {meets.map((day) => (
            <span key={day} className="flex items-center gap-1">
              <TickBox
                label={`${WEEKDAY_SHORT[day - 1]}, ${person.name}`}
                isOn={comes.weekdays === null || comes.weekdays.includes(day)}
                onChange={(isOn) => setDay(day, isOn)}
              />
              {WEEKDAY_SHORT[day - 1]}
            </span>
          ))}
        </div>
      )}
      <ul className="text-[14px]">
        {comes.days.map((d, i) => (
          <li key={`${d.fromDay}${d.toDay}${i}`} className="flex items-center gap-2">
            <span>
              {d.comes ? 'There' : 'Away'} {dayWords(d.fromDay)}
              {d.toDay === d.fromDay ? '' : ` to ${dayWords(d.toDay)}`}
            </span>
            <Button
              isInRow
              look="quiet"
              aria-label={`Take out: ${d.fromDay} to ${d.toDay}`}
              onClick={() => store({ ...comes, days: comes.days.filter((_, k) => k !== i) })}
            >
              Take out
            </Button>
          </li>
        ))}
      </ul>
      <Otherwise onAdd={(d) => store({ ...comes, days: [...comes.days, d] })} />
    </section>
  );
}

/** Days that are otherwise than the week says. */
function Otherwise({ onAdd }: { readonly onAdd: (d: Comes['days'][number]) => void }) {
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const toDay = to === '' ? from : to;
  const isBackwards = from !== '' && toDay < from;
  const add = (comes: boolean): void => {
    onAdd({ fromDay: from, toDay, comes });
    setFrom('');
    setTo('');
  };
  return (
    <div className="flex flex-wrap items-end gap-2">
      <Field label="From">
        <input type="date" value={from} onChange={(e) => setFrom(e.target.value)} />
      </Field>
      <Field
        label="To"
        hint="empty: that day alone"
        problem={isBackwards ? 'Not before the first day.' : null}
      >
        <input type="date" value={to} onChange={(e) => setTo(e.target.value)} />
      </Field>
      <Button disabled={from === '' || isBackwards} onClick={() => add(false)}>
        Away
      </Button>
      <Button disabled={from === '' || isBackwards} onClick={() => add(true)}>
        There for once
      </Button>
    </div>
  );
}
