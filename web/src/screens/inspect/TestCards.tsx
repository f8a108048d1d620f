import { useState } from 'react';
import {
  FACES,
  rubsResult,
  saltResult,
  SOUND_RUBS,
  TEST_CARDS,
  type CardResult,
  type FactBodies,
  type Face,
  type InspectView,
  type TestCard,
} from '@calvetta/core';
import { BROKE_AT_WORDS, cardWords, TEST_CARD_WORDS } from '@calvetta/contract/words';
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
  const store = (result: CardResult, more: Measured = {}): void => {
    if (!card) return;
    const of = view.card.faceCount > 1 ? face : null;
    log('card-tested', of, { card, result, ...more }, { done: () => setCard(null) });
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
              {moment(f.happenedAtMs, view.nowMs, view.zone)}: {cardWords(f.body)}
              {f.face === null ? '' : `, face ${f.face}`}
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
  readonly onResult: (result: CardResult, more?: Measured) => void;
}
/** What some tests measure beside their result. */
type Measured = Pick<FactBodies['card-tested'], 'mgM2' | 'rubs' | 'brokeAt'>;

function Card({ card, isBusy, onResult }: CardProps) {
  const words = TEST_CARD_WORDS[card];
  return (
    <div className="flex flex-col gap-2 border-l-4 border-wait bg-ground p-3 text-[14px]">
      {words.caution ? <p className="text-warn">{words.caution} Local rules come first.</p> : null}
      <p className="text-[15px]">{words.how}</p>
      <p className="text-quiet">{words.opens}</p>
      {card === 'salt' ? (
        <Counted
          label="Salt, mg/m²"
          hint="as the meter shows"
          most={10_000}
          log="Log the salt"
          isBusy={isBusy}
          onCount={(mgM2) => onResult(saltResult(mgM2), { mgM2 })}
        />
      ) : card === 'mek-rubs' ? (
        <Counted
          label="Double rubs"
          hint={`until something came off; ${SOUND_RUBS} if nothing did`}
          least={1}
          most={1000}
          log="Log the rubs"
          isBusy={isBusy}
          onCount={(n) => onResult(rubsResult(Math.round(n)), { rubs: Math.round(n) })}
        />
      ) : card === 'cut' ? (
        <div className="flex flex-wrap gap-2">
          <Button disabled={isBusy} onClick={() => onResult('good')}>
            {words.good}
          </Button>
          {LETS_GO.map((brokeAt) => (
            <Button key={brokeAt} disabled={isBusy} onClick={() => onResult('bad', { brokeAt })}>
              {BROKE_AT_WORDS[brokeAt]}
            </Button>
          ))}
        </div>
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

const LETS_GO = ['metal', 'between', 'within'] as const;

/** A test with a count or an amount: the figure is the result. */
function Counted({
  label,
  hint,
  least = 0,
  most,
  log,
  isBusy,
  onCount,
}: {
  readonly label: string;
  readonly hint: string;
  readonly least?: number;
  readonly most: number;
  /** What the button says. */
  readonly log: string;
  readonly isBusy: boolean;
  readonly onCount: (n: number) => void;
}) {
  const draft = useDraft({ n: number(label, least, most) }, { n: '' });
  return (
    <>
      <NumberField label={label} hint={hint} bound={draft.bind('n')} />
      <Button
        look="main"
        className="self-start"
        disabled={isBusy}
        onClick={() => {
          const v = draft.read();
          if (v) onCount(v.n);
        }}
      >
        {log}
      </Button>
    </>
  );
}
