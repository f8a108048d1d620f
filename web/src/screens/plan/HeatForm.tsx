import { useState } from 'react';
import type { PlanAsk, PlanView } from '@calvetta/core';
import type { PlaceInfo } from '@calvetta/contract';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../forms/Field.tsx';
import { SelectField } from '../../forms/fields.tsx';
import { quantity } from '../../forms/read.ts';
import { fromLocalInput, toLocalInput } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';

/** Warm enough to be worth a heater, and no oven. */
const HEAT = { field: 'airC', dimension: 'temperature', min: -10, max: 40 } as const;

interface Props {
  readonly places: readonly PlaceInfo[];
  readonly view: PlanView;
  readonly onTry: (heat: PlanAsk['heat'][number], what: string) => void;
}

/** What if a place were kept warm for a while: the plan with it beside the plan without. */
export function HeatForm({ places, view, onTry }: Props) {
  const units = useUnits();
  const [placeId, setPlaceId] = useState(places[0]?.placeId ?? '');
  const [warm, setWarm] = useState(units.temp(18, 0));
  const [from, setFrom] = useState(toLocalInput(view.nowMs, view.zone));
  const [to, setTo] = useState(toLocalInput(Math.min(view.endMs, view.nowMs + 14 * 86_400_000), view.zone));
  const read = quantity({ ...HEAT, bareUnit: units.units.temperature })(warm);
  const fromMs = fromLocalInput(from, view.zone);
  const toMs = fromLocalInput(to, view.zone);
  const isBackwards = fromMs === null || toMs === null || toMs <= fromMs;
  const place = places.find((p) => p.placeId === placeId);
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3 border-t border-line pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!read.ok || isBackwards || !place) return;
        onTry(
          { placeId, airC: read.value, fromMs, toMs },
          `${place.name} kept at ${units.temp(read.value, 0)}`,
        );
      }}
    >
      <SelectField
        label="What if we keep warm"
        value={placeId}
        options={places.map((p) => ({ value: p.placeId, text: p.name }))}
        onChange={setPlaceId}
      />
      <Field label="At" problem={read.ok ? null : read.problem}>
        <input value={warm} className="w-24" onChange={(e) => setWarm(e.target.value)} />
      </Field>
      <Field label="From">
        <input type="datetime-local" value={from} onChange={(e) => setFrom(e.target.value)} />
      </Field>
      <Field label="Until" problem={isBackwards ? 'later than it begins' : null}>
        <input type="datetime-local" value={to} onChange={(e) => setTo(e.target.value)} />
      </Field>
      <Button type="submit" disabled={!read.ok || isBackwards}>
        Try it
      </Button>
      <p className="w-full text-[13px] text-quiet">
        Dry heat, on before the session: castings follow hours later. A heater without a flue adds water.
        Windows shut sooner where it is warmer.
      </p>
    </form>
  );
}
