import { useState } from 'react';
import type { StockFact, StockFactOf } from '@calvetta/core';
import type { ShelfResponse } from '@calvetta/contract';
import { STOCK_WORDS, WASTE_WORDS } from '@calvetta/contract/words';
import { useShop } from '../../api/queries.ts';
import { isRefusal } from '../../dialogs/refusal.ts';
import { useStock } from '../../record/useRecord.ts';
import { useNotices } from '../../state/notices.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Foot } from '../../ui/Foot.tsx';
import { Panel } from '../../ui/Panel.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { tinName } from './tinWords.ts';

const SHOWN = 14;

interface Props {
  readonly shelf: ShelfResponse;
  readonly zone: string;
}

/** What happened to the stock, newest first: each can be voided, a mix corrected; the original is kept. */
export function StockHistory({ shelf, zone }: Props) {
  const shop = useShop();
  const units = useUnits();
  const stock = useStock();
  const say = useNotices((s) => s.say);
  const [correcting, setCorrecting] = useState<StockFactOf<'mixed'> | null>(null);
  const facts = [...shelf.facts].reverse().slice(0, SHOWN);
  const tinWords = (tinId: string | undefined): string => {
    const tin = shelf.tins.find((t) => t.tinId === tinId);
    return tin ? `${tinName(tin)}${tin.batch === null ? '' : ` ${tin.batch}`}` : 'a tin';
  };
  const words = (f: StockFact): string => {
    switch (f.kind) {
      case 'mixed':
        return `${tinWords(f.body.aTinId)}: ${units.volume(f.body.aMl)} + ${units.volume(f.body.bMl)} + ${units.volume(f.body.thinnerMl)} thinner`;
      case 'wasted':
        return `${units.volume(f.body.ml)}, ${WASTE_WORDS[f.body.why]}`;
      case 'tin-weighed':
        return `${tinWords(f.body.tinId)}: ${units.volume(f.body.ml)}, ${f.body.by}`;
      case 'tin-received':
        return `${tinWords(f.body.tinId)}: ${units.volume(f.body.ml)}`;
      case 'tin-opened':
      case 'tin-binned':
        return tinWords(f.body.tinId);
      case 'stock-voided':
        return '';
    }
  };
  const undo = (f: StockFact): void =>
    void stock({ kind: 'stock-voided', about: STOCK_WORDS[f.kind], supersedes: f.factId, body: {} }).catch(
      (e: unknown) =>
        say({ tone: 'trouble', text: isRefusal(e) ? e.body.remedy : 'It could not be voided; try again.' }),
    );
  return (
    <section aria-label="Stock history" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">What happened to it</h2>
      <ul>
        {facts.map((f) => (
          <li
            key={f.factId}
            className="grid min-h-8 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-2 border-t border-line/60 text-[14px]"
          >
            <span>
              <strong>{STOCK_WORDS[f.kind]}</strong> {words(f)}{' '}
              <span className="text-[12px] text-quiet">
                {dayAndTime(f.happenedAtMs, zone)} ·{' '}
                {shop.data?.people.find((p) => p.personId === f.personId)?.name ?? f.personId}
              </span>
            </span>
            <span className="flex gap-1">
              {f.kind === 'mixed' ? (
                <Button isInRow look="quiet" onClick={() => setCorrecting(f)}>
                  Correct
                </Button>
              ) : null}
              <Button isInRow look="quiet" onClick={() => undo(f)}>
                Void
              </Button>
            </span>
          </li>
        ))}
      </ul>
      {correcting ? <CorrectMix fact={correcting} onClose={() => setCorrecting(null)} /> : null}
    </section>
  );
}

interface CorrectProps {
  readonly fact: StockFactOf<'mixed'>;
  readonly onClose: () => void;
}

/** The amounts of a mix as they really were: tins, coats and money follow. */
function CorrectMix({ fact, onClose }: CorrectProps) {
  const stock = useStock();
  const [v, setV] = useState({
    aMl: String(fact.body.aMl),
    bMl: String(fact.body.bMl),
    thinnerMl: String(fact.body.thinnerMl),
  });
  const [problem, setProblem] = useState<string | null>(null);
  const read = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));
  const amounts = { aMl: read(v.aMl), bMl: read(v.bMl), thinnerMl: read(v.thinnerMl) };
  const isGood = Object.values(amounts).every((x) => Number.isFinite(x) && x >= 0) && amounts.aMl > 0;
  const store = (): void =>
    void stock({
      kind: 'mixed',
      about: 'amounts corrected',
      supersedes: fact.factId,
      // Its pot life runs from when it was mixed, not from when it was set right.
      happenedMs: fact.happenedAtMs,
      body: { ...fact.body, ...amounts },
    })
      .then(onClose)
      .catch((e: unknown) => setProblem(isRefusal(e) ? e.body.remedy : 'It could not be stored; try again.'));
  return (
    <Panel title="Correct a mix" subtitle="What really went into the cup, mL" onClose={onClose}>
      <div className="flex flex-col gap-3">
        <div className="grid grid-cols-3 gap-3">
          {(
            [
              ['aMl', 'A, or the paint'],
              ['bMl', 'B, hardener'],
              ['thinnerMl', 'Thinner'],
            ] as const
          ).map(([key, label]) => (
            <Field key={key} label={label}>
              <input
                inputMode="decimal"
                value={v[key]}
                onChange={(e) => setV({ ...v, [key]: e.target.value })}
              />
            </Field>
          ))}
        </div>
        {problem ? (
          <p role="alert" className="text-bad">
            {problem}
          </p>
        ) : null}
        <Foot>
          <Button look="main" disabled={!isGood} onClick={store}>
            Save correction
          </Button>
        </Foot>
      </div>
    </Panel>
  );
}
