import { type Content, type ProductSheet, tinsFor } from '@calvetta/core';
import type { TinView } from '@calvetta/contract';
import { CAUTION_WORDS, CONTENT_WORDS } from '@calvetta/contract/words';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { MeasuredWith, useMeasuredWith } from '../../forms/MeasuredWith.tsx';
import { useSave } from '../../forms/useSave.ts';
import { useStock } from '../../record/useRecord.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../forms/Field.tsx';
import { newId } from '../../ui/newId.ts';
import { useUnits } from '../../ui/useUnits.ts';

interface PouringProps {
  readonly sheet: ProductSheet;
  readonly colour: string | null;
  readonly tins: Readonly<Record<Content, TinView | null>>;
  readonly all: readonly TinView[];
  readonly batch: { readonly aMl: number; readonly bMl: number; readonly thinnerMl: number } | null;
  readonly placeId: string | null;
  readonly onTin: (content: Content, tinId: string) => void;
  readonly onMixed: () => void;
}

const NEED = { paint: 'aMl', hardener: 'bMl', thinner: 'thinnerMl' } as const;

/** Which tins it comes from, what to mind, and the touch that starts its clock. */
export function Pouring({ sheet, colour, tins, all, batch, placeId, onTin, onMixed }: PouringProps) {
  const units = useUnits();
  const stock = useStock();
  const save = useSave();
  const gaugeId = useMeasuredWith('scale');
  const contents = (['paint', 'hardener', 'thinner'] as const).filter(
    (c) => c === 'paint' || (batch?.[NEED[c]] ?? 0) > 0,
  );
  const round = (ml: number): number => Number(ml.toFixed(1));
  const mix = (): void => {
    if (!batch || !tins.paint) return;
    const body = {
      mixId: newId(),
      sheetId: sheet.sheetId,
      colour,
      aTinId: tins.paint.tinId,
      bTinId: batch.bMl > 0 ? (tins.hardener?.tinId ?? null) : null,
      thinnerTinId: batch.thinnerMl > 0 ? (tins.thinner?.tinId ?? null) : null,
      aMl: round(batch.aMl),
      bMl: round(batch.bMl),
      thinnerMl: round(batch.thinnerMl),
      placeId,
      ...(gaugeId === null ? {} : { gaugeId }),
    };
    const about = `${sheet.name}${colour === null ? '' : `, ${colour}`}`;
    save.run(() => stock({ kind: 'mixed', about, body }), onMixed);
  };
  const isReady = batch !== null && tins.paint !== null && (batch.bMl === 0 || tins.hardener !== null);
  return (
    <section aria-label="Pouring" className="flex flex-col gap-2 border border-line bg-panel p-3">
      <h2 className="text-[18px]">From these tins</h2>
      <div className="grid gap-2 md:grid-cols-3">
        {contents.map((c) => {
          const list = tinsFor(all, sheet.productId, c, c === 'paint' ? colour : null);
          const tin = tins[c];
          const short = batch && tin ? batch[NEED[c]] - tin.levelMl : 0;
          return (
            <Field
              key={c}
              label={CONTENT_WORDS[c]}
              problem={
                tin === null
                  ? `no tin of ${CONTENT_WORDS[c]} on the shelf: receive one first`
                  : tin.isExpired
                    ? 'past its date: test it on scrap, or take a fresh one'
                    : short > 0.5
                      ? `${units.volume(short)} less in it than this takes`
                      : save.problemAt(c === 'paint' ? 'body.aTinId' : 'body.bTinId')
              }
              hint={tin?.turn === 0 ? 'its turn: first in, first out' : undefined}
            >
              <select
                aria-label={`Tin of ${CONTENT_WORDS[c]}`}
                value={tin?.tinId ?? ''}
                onChange={(e) => onTin(c, e.target.value)}
              >
                {list.length === 0 ? <option value="">none</option> : null}
                {list.map((t) => (
                  <option key={t.tinId} value={t.tinId}>
                    {t.batch ?? 'no batch'} · {units.volume(t.levelMl)}
                    {t.isExpired ? ' · past its date' : ''}
                  </option>
                ))}
              </select>
            </Field>
          );
        })}
      </div>
      <MeasuredWith kind="scale" />
      <Mind sheet={sheet} />
      <FormTrouble words={save.trouble} />
      <Button look="main" className="self-start" disabled={!isReady || save.isBusy} onClick={mix}>
        Mixed now: start its clock
      </Button>
    </section>
  );
}

const Mind = ({ sheet }: { readonly sheet: ProductSheet }) => (
  <ul className="list-[square] pl-5 text-[14px]">
    <li>Strain it into the gun; drain the moisture trap before you spray.</li>
    {sheet.stages.induction ? <li>Let it stand its induction time before it is used.</li> : null}
    {sheet.cautions.map((c) => (
      <li key={c}>{CAUTION_WORDS[c] ?? c}</li>
    ))}
  </ul>
);
