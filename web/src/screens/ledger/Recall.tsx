import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Carrier, RecallView } from '@calvetta/core';
import { CONTENT_WORDS } from '@calvetta/contract/words';
import { useRecall } from '../../api/queries.ts';
import { Field } from '../../forms/Field.tsx';
import { Button } from '../../ui/Button.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';

/** Which parts carry a batch, in one act; and of which that cannot be excluded. */
export function Recall() {
  const [params, setParams] = useSearchParams();
  const batch = params.get('batch') ?? '';
  const [text, setText] = useState(batch);
  const found = useRecall(batch);
  return (
    <div className="flex max-w-[1000px] flex-col gap-4">
      <form
        className="flex flex-wrap items-start gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          setParams({ view: 'recall', batch: text.trim() });
        }}
      >
        <Field label="Batch" hint="as it stands on the tin; dashes, spaces and “batch” do not matter">
          <input
            className="w-72 text-[20px]"
            value={text}
            maxLength={40}
            onChange={(e) => setText(e.target.value)}
          />
        </Field>
        <Button look="main" type="submit" className="mt-6" disabled={text.trim() === ''}>
          Which parts carry it?
        </Button>
      </form>
      {batch === '' ? (
        <p className="text-quiet">
          Paint, hardener and thinner alike, by what was said with the coat or mixed in its cup.
        </p>
      ) : found.data ? (
        <Found
          view={found.data}
          onBatch={(b) => {
            setText(b);
            setParams({ view: 'recall', batch: b });
          }}
        />
      ) : (
        <Waiting error={found.error} what="record" />
      )}
    </div>
  );
}

function Found({ view, onBatch }: { readonly view: RecallView; readonly onBatch: (batch: string) => void }) {
  const units = useUnits();
  const { carriers, cannotBeExcluded, tins, known } = view;
  if (carriers.length + cannotBeExcluded.length + tins.length === 0)
    return (
      <div className="flex flex-col gap-2">
        <p role="status" className="border-l-4 border-warn bg-panel p-3 text-[16px]">
          <strong>Nobody noted a batch {view.asked}</strong>: no tin, no coat. That is no proof that nothing
          carries it: a coat without a batch may.
        </p>
        <p className="flex flex-wrap items-center gap-1 text-[14px]">
          On record:
          {known.map((b) => (
            <button
              key={b}
              type="button"
              className="figure min-h-8 border border-line px-2 hover:border-ink pointer-coarse:min-h-11"
              onClick={() => onBatch(b)}
            >
              {b}
            </button>
          ))}
        </p>
      </div>
    );
  return (
    <div className="flex flex-col gap-5">
      <p role="status" className="text-[18px]">
        <strong>{partsOf(carriers)}</strong> {partsOf(carriers) === 1 ? 'part carries' : 'parts carry'} it
        {cannotBeExcluded.length > 0 ? `; of ${partsOf(cannotBeExcluded)} it cannot be excluded` : ''}.
      </p>
      {tins.length > 0 ? (
        <p className="border-l-4 border-bad bg-panel p-3">
          Put aside:{' '}
          {tins
            .map((t) => `${t.productName}, ${CONTENT_WORDS[t.content]}, ${units.volume(t.leftMl)} left`)
            .join('; ')}
          .
        </p>
      ) : null}
      <Carriers zone={view.zone} title="Carry it" rows={carriers} />
      <Carriers
        zone={view.zone}
        title="Cannot be excluded"
        about="The same product, laid while the batch may have been here, and nobody noted which batch it was."
        rows={cannotBeExcluded}
      />
    </div>
  );
}
const partsOf = (rows: readonly Carrier[]): number => new Set(rows.map((r) => r.partId)).size;

const BY_WORDS = {
  coat: 'said with the coat',
  tin: 'by the tin its cup was mixed from',
  'nothing-else-known': 'no batch noted',
} as const;

function Carriers({
  zone,
  title,
  about,
  rows,
}: {
  readonly zone: string;
  readonly title: string;
  readonly about?: string;
  readonly rows: readonly Carrier[];
}) {
  if (rows.length === 0) return null;
  return (
    <section aria-label={title}>
      <h2 className="text-[18px]">{title}</h2>
      {about ? <p className="text-[14px] text-quiet">{about}</p> : null}
      <ul>
        {rows.map((r) => (
          <li
            key={`${r.factId}${r.as}`}
            className="flex flex-wrap items-baseline gap-x-3 border-t border-line/60 py-1"
          >
            <Link
              className="font-semibold underline underline-offset-2"
              to={`/parts/${encodeURIComponent(r.partId)}`}
            >
              {r.partName}
            </Link>
            <span className="text-quiet">{r.machineName}</span>
            <span>
              {r.productName}
              {r.as === 'paint' ? '' : `, as its ${CONTENT_WORDS[r.as]}`}
              {r.face === null ? '' : `, face ${r.face}`}
            </span>
            <span className="figure text-[13px] text-quiet">{dayAndTime(r.atMs, zone)}</span>
            <span className="text-[13px] text-quiet">
              {BY_WORDS[r.by]}
              {r.isCovered ? ', another coat over it' : ', nothing over it'}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
