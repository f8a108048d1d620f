import { useState } from 'react';
import { newestSheet, type PlanAsk, type PlanView } from '@calvetta/core';
import { useOffered, useSheets } from '../../api/queries.ts';
import { SelectField } from '../../forms/fields.tsx';
import { Button } from '../../ui/Button.tsx';

interface Props {
  readonly view: PlanView;
  readonly ask: PlanAsk;
  readonly onTry: (ask: PlanAsk, what: string) => void;
}

/** What if another product took the place of one: judged part by part by the rules of a route, the plan with it beside the plan without. */
export function ProductForm({ view, ask, onTry }: Props) {
  const sheets = useOffered();
  const [from, setFrom] = useState(ask.product?.from ?? view.products[0]?.productId ?? '');
  const [to, setTo] = useState(ask.product?.to ?? '');
  const own = newestSheet(useSheets().data?.sheets ?? [], from);
  const others = [...new Set(sheets.map((s) => s.productId))]
    .flatMap((id) => newestSheet(sheets, id) ?? [])
    .filter((s) => s.productId !== from && s.role === own?.role)
    .sort((a, b) => a.name.localeCompare(b.name));
  const chosen = others.find((s) => s.productId === to) ?? others[0];
  if (view.products.length === 0) return null;
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3 border-t border-line pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (own && chosen)
          onTry(
            { ...ask, product: { from, to: chosen.productId } },
            `${chosen.name} in place of ${own.name.toLowerCase()}`,
          );
      }}
    >
      <SelectField
        label="What if in place of"
        value={from}
        options={view.products.map((p) => ({ value: p.productId, text: p.name }))}
        onChange={setFrom}
      />
      <SelectField
        label="we laid"
        hint="of the shop’s own sheets; a part that it does not suit keeps what it has"
        value={chosen?.productId ?? ''}
        options={others.map((s) => ({ value: s.productId, text: s.name }))}
        onChange={setTo}
      />
      <Button type="submit" disabled={!chosen}>
        Try it
      </Button>
      {ask.product ? (
        <Button onClick={() => onTry({ ...ask, product: null }, 'products as the routes say')}>
          As the routes say
        </Button>
      ) : null}
    </form>
  );
}
