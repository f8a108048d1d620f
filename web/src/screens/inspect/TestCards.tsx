import { useState } from 'react';
import {
  FACES,
  saltResult,
  TEST_CARDS,
  type CardResult,
  type Face,
  type InspectView,
  type TestCard,
} from '@calvetta/core';
import { CARD_RESULT_WORDS, TEST_CARD_WORDS } from '@calvetta/contract/words';
import { Choice } from '../../forms/Field.tsx';
import { NumberField } from '../../forms/fields.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { number } from '../../forms/read.ts';
import { useDraft } from '../../forms/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { moment } from '../../ui/time.ts';
import { useFinds } from './useFinding.ts';

/** Short tests: how each is made, what to see, what it opens. Their results speak when a fault is weighed. */
export function TestCards({ view }: { readonly view: InspectView }) {
  const [card, setCard] = useState<TestCard | null>(null);
  const [face, setFace] = useState<Face>('A');
  const { log, save } = useFinds(view);
  const store = (result: CardResult, mgM2?: number): void => {
    if (!card) return;
    const of = view.card.faceCount > 1 ? face : null;
    log(
      'card-tested',
      of,
      { card, result, ...(mgM2 === undefined ? {} : { mgM2 }) },
      { done: () => setCard(null) },
    );
  };
  return (
    <section aria-label="Short tests" className="flex flex-col gap-2 border border-line bg-panel p-3">
      <h2 className="text-[16px]">Short tests</h2>
      <OneOf<TestCard>
        label="Test"
        size="small"
        value={card}
        onChange={setCard}
        options={TEST_CARDS.map((value) => ({ value, text: TEST_CARD_WORDS[value].name }))}
      />
      {card ? (
        <>
          {view.card.faceCount > 1 ? (
            <Choice<Face>
              label="Face"
              value={face}
              options={FACES.map((f) => ({ value: f, text: f }))}
              onChange={setFace}
            />
          ) : null}
          <Card key={card} card={card} isBusy={save.isBusy} onResult={store} />
        </>
      ) : null}
      <FormTrouble words={save.trouble} />
      {view.cards.length > 0 ? (
        <ul className="text-[14px]" aria-label="Tested so far">
          {[...view.cards].reverse().map((f) => (
            <li key={f.factId} className="border-t border-line/60 py-1">
              {moment(f.happenedAtMs, view.nowMs, view.zone)}: {TEST_CARD_WORDS[f.body.card].name}
              {f.face === null ? '' : `, face ${f.face}`}
              {f.body.mgM2 === undefined ? '' : `, ${f.body.mgM2} mg/m²`} ·{' '}
              <strong className={f.body.result === 'bad' ? 'text-bad' : ''}>
                {CARD_RESULT_WORDS[f.body.result]}
              </strong>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  );
}

interface CardProps {
  readonly card: TestCard;
  readonly isBusy: boolean;
  readonly onResult: (result: CardResult, mgM2?: number) => void;
}

function Card({ card, isBusy, onResult }: CardProps) {
  const words = TEST_CARD_WORDS[card];
  const draft = useDraft({ mgM2: number('mg/m²', 0, 10_000) }, { mgM2: '' });
  return (
    <div className="flex flex-col gap-2 border-l-4 border-wait bg-ground p-3 text-[14px]">
      {words.caution ? <p className="text-warn">{words.caution} Local rules come first.</p> : null}
      <p className="text-[15px]">{words.how}</p>
      <p className="text-quiet">{words.opens}</p>
      {card === 'salt' ? (
        <>
          <NumberField label="Salt, mg/m²" hint="as the meter shows" bound={draft.bind('mgM2')} />
          <Button
            look="main"
            className="self-start"
            disabled={isBusy}
            onClick={() => {
              const v = draft.read();
              if (v) onResult(saltResult(v.mgM2), v.mgM2);
            }}
          >
            Log the salt
          </Button>
        </>
      ) : (
        <div className="flex flex-wrap gap-2">
          <Button disabled={isBusy} onClick={() => onResult('good')}>
            {words.good}
          </Button>
          <Button disabled={isBusy} onClick={() => onResult('bad')}>
            {words.bad}
          </Button>
          <Button look="quiet" disabled={isBusy} onClick={() => onResult('unclear')}>
            not clear
          </Button>
        </div>
      )}
    </div>
  );
}
