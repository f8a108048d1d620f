import type { PlanAsk, PlanGoal } from '@calvetta/core';
import { PLAN_GOALS } from '@calvetta/core';
import type { MachineView, PlaceInfo } from '@calvetta/contract';
import { GOAL_WORDS } from '@calvetta/contract/words';
import { Field } from '../../forms/Field.tsx';
import { SelectField } from '../../forms/fields.tsx';
import { TickBox } from '../../ui/TickBox.tsx';

interface Props {
  readonly ask: PlanAsk;
  readonly machines: readonly MachineView[];
  readonly places: readonly PlaceInfo[];
  readonly todayIso: string;
  readonly onChange: (ask: PlanAsk) => void;
}

/** What a plan is asked for: which machines by when, who comes, and where coats are laid. */
export function AskForm({ ask, machines, places, todayIso, onChange }: Props) {
  const set = (patch: Partial<PlanAsk>): void => onChange({ ...ask, ...patch });
  const whole = (key: 'people' | 'painters' | 'weeks', label: string, hint: string, most: number) => (
    <Field label={label} hint={hint}>
      <input
        type="number"
        min={1}
        max={most}
        value={ask[key] ?? ''}
        onChange={(e) => {
          const n = Math.round(Number(e.target.value));
          if (n >= 1) set({ [key]: Math.min(most, n) });
        }}
      />
    </Field>
  );
  return (
    <div className="grid gap-3 md:grid-cols-[minmax(260px,1fr)_minmax(0,2fr)]">
      <fieldset>
        <legend className="figure text-[15px]">Which machines, by when</legend>
        <ul className="flex flex-col">
          {machines.map((m) => (
            <MachineLine key={m.machineId} machine={m} ask={ask} todayIso={todayIso} set={set} />
          ))}
        </ul>
      </fieldset>
      <div className="grid content-start gap-x-3 gap-y-1 sm:grid-cols-3">
        <SelectField
          label="Who comes"
          hint={ask.people === null ? 'days and skills stand under Settings, People' : undefined}
          value={ask.people === null ? 'each' : 'count'}
          options={[
            { value: 'each', text: 'each as they said' },
            { value: 'count', text: 'so many, whoever it is' },
          ]}
          onChange={(v) => set({ people: v === 'each' ? null : 2 })}
        />
        {ask.people === null ? null : (
          <>
            {whole('people', 'People who come', 'as a rule', 40)}
            {whole('painters', 'Of them spray', 'at one time', 10)}
          </>
        )}
        {whole('weeks', 'Weeks ahead', '1 to 26', 26)}
        <SelectField
          label="Coats are laid"
          value={ask.coatPlaceId ?? ''}
          options={[
            { value: '', text: 'where each part stands' },
            ...places.map((p) => ({ value: p.placeId, text: `in: ${p.name}` })),
          ]}
          onChange={(v) => set({ coatPlaceId: v === '' ? null : v })}
        />
        <Field label="Room to hang, m²" hint="painted faces at once; empty: enough">
          <input
            type="number"
            min={1}
            max={10000}
            value={ask.roomM2 ?? ''}
            onChange={(e) => {
              const n = Number(e.target.value);
              set({ roomM2: e.target.value === '' || !(n > 0) ? null : Math.min(n, 10_000) });
            }}
          />
        </Field>
        <SelectField
          label="Best at"
          value={ask.goal}
          options={PLAN_GOALS.map((g) => ({ value: g, text: GOAL_WORDS[g] }))}
          onChange={(goal: PlanGoal) => set({ goal })}
        />
      </div>
    </div>
  );
}

function MachineLine({
  machine,
  ask,
  todayIso,
  set,
}: {
  readonly machine: MachineView;
  readonly ask: PlanAsk;
  readonly todayIso: string;
  readonly set: (patch: Partial<PlanAsk>) => void;
}) {
  const { machineId, name } = machine;
  const mine = ask.machines.find((m) => m.machineId === machineId);
  const others = ask.machines.filter((m) => m.machineId !== machineId);
  return (
    <li className="flex min-h-11 flex-wrap items-center gap-2">
      <TickBox
        label={`Plan ${name}`}
        isOn={mine !== undefined}
        onChange={(isOn) =>
          set({ machines: isOn ? [...others, { machineId, dueDay: null, weight: 1 }] : others })
        }
      />
      <span>{name}</span>
      {mine?.dueDay != null && mine.dueDay < todayIso ? (
        <span role="alert" className="text-[13px] text-bad">
          that day is gone: every plan is late by it
        </span>
      ) : null}
      {mine ? (
        <label className="ml-auto flex items-center gap-1 text-[13px] text-quiet">
          by
          <input
            type="date"
            aria-label={`${name} is due`}
            min={todayIso}
            value={mine.dueDay ?? ''}
            onChange={(e) =>
              set({
                machines: [...others, { ...mine, dueDay: e.target.value === '' ? null : e.target.value }],
              })
            }
          />
        </label>
      ) : null}
    </li>
  );
}
