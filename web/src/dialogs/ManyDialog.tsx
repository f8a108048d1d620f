import { useState } from 'react';
import { sharedMinutes, type FactBodies, type FactKind } from '@calvetta/core';
import { FACT_WORDS } from '@calvetta/contract/words';
import { useMachines, useShop } from '../api/queries.ts';
import { Field } from '../forms/Field.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useRecordMany, type RefusedOne } from '../record/useRecordMany.ts';
import { useTicked } from '../state/ticked.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';
import { fromLocalInput, toLocalInput } from '../ui/time.ts';
import { Waiting } from '../ui/Trouble.tsx';
import { firstValues } from './factValues.ts';
import { SimpleForm } from './SimpleForm.tsx';
import { Foot } from '../forms/Foot.tsx';

/** What is done to many parts in one act. A coat is not: each part has its own window, area and paint. */
const MANY_KINDS: readonly FactKind[] = [
  'moved',
  'sent',
  'came-back',
  'degreased',
  'stripped',
  'pretreated',
  'abraded',
  'wiped',
  'contaminated',
  'wetted',
  'worked',
  'noted',
];

interface Props {
  readonly parts: readonly { readonly partId: string; readonly name: string }[];
  readonly factKind: FactKind;
  readonly onClose: () => void;
}

/** The same done to many parts: one form, one time, one person; a touch on a part leaves it out. */
export function ManyDialog({ parts, factKind, onClose }: Props) {
  const shop = useShop();
  const [kind, setKind] = useState(factKind);
  const [refused, setRefused] = useState<readonly RefusedOne[] | null>(null);
  return (
    <Panel title={FACT_WORDS[kind]} subtitle={`${parts.length} parts at once`} onClose={onClose}>
      {refused ? (
        <Refusals refused={refused} onClose={onClose} />
      ) : shop.data ? (
        <ManyForm
          key={kind}
          parts={parts}
          kind={kind}
          onKind={setKind}
          zone={shop.data.zone}
          onDone={(list) => (list.length === 0 ? onClose() : setRefused(list))}
        />
      ) : (
        <Waiting error={shop.error} what="shop" />
      )}
    </Panel>
  );
}

interface FormProps {
  readonly parts: Props['parts'];
  readonly kind: FactKind;
  readonly onKind: (kind: FactKind) => void;
  readonly zone: string;
  readonly onDone: (refused: readonly RefusedOne[]) => void;
}

/** The area of a part, where it is known. */
function useAreas(): (part: { readonly partId: string }) => number | null {
  const machines = useMachines();
  const cards = machines.data?.machines.flatMap((m) => m.assemblies.flatMap((a) => a.parts)) ?? [];
  return ({ partId }) => cards.find((p) => p.partId === partId)?.areaM2 ?? null;
}

/** Hours are shared by what there is of each part; everything else of an entry is the same of all. */
function shared(
  body: FactBodies['worked'],
  areas: readonly (number | null)[],
): (i: number) => FactBodies['worked'] {
  const shares = sharedMinutes(body.minutes, areas);
  return (i) => ({ ...body, minutes: Number(shares[i]!.toFixed(1)) });
}

function ManyForm({ parts, kind, onKind, zone, onDone }: FormProps) {
  const recordMany = useRecordMany();
  const save = useSave();
  const untick = useTicked((s) => s.set);
  const areaOf = useAreas();
  const [out, setOut] = useState<ReadonlySet<string>>(new Set());
  const [atMs, setAtMs] = useState<number | null>(null);
  const taken = parts.filter((p) => !out.has(p.partId));
  const toggle = (id: string): void =>
    setOut((old) => (old.has(id) ? new Set([...old].filter((x) => x !== id)) : new Set([...old, id])));
  const submit = (body: Record<string, unknown>): void => {
    if (taken.length === 0) return;
    const draft = { kind, parts: taken, happenedMs: atMs ?? Date.now(), body: body as FactBodies[FactKind] };
    const bodyOf = kind === 'worked' ? shared(draft.body as FactBodies['worked'], taken.map(areaOf)) : null;
    save.run(async () => {
      const refused = await recordMany(draft, bodyOf);
      const no = new Set(refused.map((r) => r.partId));
      untick(
        taken.filter((p) => !no.has(p.partId)),
        false,
      );
      onDone(refused);
    });
  };
  return (
    <div className="flex flex-col gap-4">
      <label className="figure flex items-center gap-2 text-[13px] text-quiet">
        What was done
        <select value={kind} onChange={(e) => onKind(e.target.value as FactKind)}>
          {MANY_KINDS.map((k) => (
            <option key={k} value={k}>
              {FACT_WORDS[k]}
            </option>
          ))}
        </select>
      </label>
      <ul
        className="flex max-h-40 flex-wrap gap-1 overflow-y-auto"
        aria-label="Parts; touch one to leave it out"
      >
        {parts.map((p) => (
          <li key={p.partId}>
            <button
              type="button"
              aria-pressed={!out.has(p.partId)}
              className="min-h-8 border border-line px-2 text-[13px] aria-pressed:border-chosen aria-pressed:bg-chosen aria-pressed:text-chosen-ink pointer-coarse:min-h-11 [&[aria-pressed=false]]:line-through"
              onClick={() => toggle(p.partId)}
            >
              {p.name}
            </button>
          </li>
        ))}
      </ul>
      {kind === 'worked' ? (
        <p className="text-[14px] text-quiet">The minutes are shared among the parts by their area.</p>
      ) : null}
      <FormTrouble words={save.trouble} />
      <SimpleForm kind={kind} first={firstValues(kind, null)} save={save} submit={submit}>
        <Field label="Finished" hint={atMs === null ? 'now, unless you set a time' : undefined}>
          <input
            type="datetime-local"
            aria-label="Finished"
            value={atMs === null ? '' : toLocalInput(atMs, zone)}
            onChange={(e) => setAtMs(fromLocalInput(e.target.value, zone))}
          />
        </Field>
      </SimpleForm>
    </div>
  );
}

function Refusals({
  refused,
  onClose,
}: {
  readonly refused: readonly RefusedOne[];
  readonly onClose: () => void;
}) {
  return (
    <div className="flex flex-col gap-3">
      <p role="alert">
        The others are logged. {refused.length === 1 ? 'One was' : `${refused.length} were`} refused, and
        nothing was stored of {refused.length === 1 ? 'it' : 'them'}:
      </p>
      <ul className="flex flex-col gap-1">
        {refused.map((r) => (
          <li key={r.partId} className="border-l-4 border-bad bg-ground px-3 py-1">
            <span className="font-semibold">{r.name}</span>: {r.why}
          </li>
        ))}
      </ul>
      <Foot>
        <Button look="main" onClick={onClose}>
          Seen
        </Button>
      </Foot>
    </div>
  );
}
