import { useOffered } from '../../api/queries.ts';
import type { ReactNode } from 'react';
import { TOOLS, type Face, type ProductSheet } from '@calvetta/core';
import type { FactView, PartDetail } from '@calvetta/contract';
import { CAUTION_WORDS, coatRefusalWords, FACT_WORDS } from '@calvetta/contract/words';
import { Choice } from '../../forms/Field.tsx';
import { NumberField, QuantityField, SelectField, TextField } from '../../forms/fields.tsx';
import { Foot } from '../../forms/Foot.tsx';
import type { Save } from '../../forms/useSave.ts';
import { Button } from '../../ui/Button.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import type { SubmitBody } from '../submit.ts';
import { FromCup } from './FromCup.tsx';
import { LessonsHere } from './LessonsHere.tsx';
import { HowLaid } from './HowLaid.tsx';
import { Gates } from './Gates.tsx';
import { useCoat } from './useCoat.ts';

interface Props {
  readonly part: PartDetail;
  readonly face: Face | null;
  /** Logged as done at this moment. */
  readonly isNow: boolean;
  readonly correct?: FactView;
  readonly save: Save;
  readonly submit: SubmitBody;
  /** Who and when: asked by every form, above its buttons. */
  readonly children: ReactNode;
}

/** Filled in from the route, the last coat and the air: product, film, tool, batch. The second touch stores it. */
export function CoatForm({ part, face, isNow, correct, save, submit, children }: Props) {
  const coat = useCoat({ part, face, isNow, correct, submit });
  const { sheet, draft, refusal, gates } = coat;
  const needsReason = save.refused?.body.code === 'coat-refused';
  return (
    <>
      {refusal && save.refused === null ? (
        <p className="border-l-4 border-bad bg-ground p-3">{capital(coatRefusalWords(refusal))}</p>
      ) : null}
      {gates ? <Gates verdict={gates} /> : null}
      {sheet ? <Cautions sheet={sheet} /> : null}
      {sheet ? <LessonsHere productId={sheet.productId} /> : null}
      <ProductAndFilm coat={coat} save={save} />
      <Choice
        label="Tool"
        value={coat.tool}
        options={TOOLS.map((t) => ({ value: t, text: t }))}
        onChange={coat.setTool}
      />
      {coat.mixes.length > 0 ? (
        <FromCup
          mixes={coat.mixes}
          chosen={coat.chosenMixId}
          used={coat.used}
          nowMs={part.nowMs}
          onMix={coat.setMixId}
        />
      ) : null}
      {coat.mix ? null : (
        <div className="grid grid-cols-2 gap-3">
          <TextField label="Batch" hint="on the tin; left and right from one" bound={draft.bind('batch')} />
          <NumberField
            label="Thinner, % of A+B"
            bound={draft.bind('thinner')}
            refused={save.problemAt('body.thinnerPct')}
          />
        </div>
      )}
      <HowLaid
        laid={coat.laid}
        onLaid={coat.setLaid}
        last={coat.lastLaid}
        isGun={coat.tool === 'gun' || coat.tool === 'aerosol'}
        isTwoPack={sheet?.packs === 2}
      />
      {needsReason || refusal ? (
        <TextField
          label="Why it was done all the same"
          bound={draft.bind('reason')}
          autoFocus={needsReason}
        />
      ) : null}
      {children}
      <Foot>
        {coat.isMarginal && !correct && !needsReason ? (
          <AcceptWith isForbidden={gates?.status === 'fail'} isBusy={save.isBusy} onReason={coat.log} />
        ) : (
          <Button
            look="main"
            autoFocus={!needsReason}
            disabled={save.isBusy || (needsReason && draft.texts.reason.trim() === '')}
            onClick={() => coat.log(draft.texts.reason)}
          >
            {correct ? 'Save correction' : `${FACT_WORDS.coated}: log it`}
          </Button>
        )}
      </Foot>
    </>
  );
}

interface ProductProps {
  readonly coat: ReturnType<typeof useCoat>;
  readonly save: Save;
}

function ProductAndFilm({ coat, save }: ProductProps) {
  const units = useUnits();
  const { sheet, draft } = coat;
  const offered = useOffered(coat.sheetId);
  return (
    <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
      <SelectField
        label="Product"
        problem={save.problemAt('body.sheetId')}
        hint={sheet ? sheet.source : 'choose what was put on'}
        value={coat.sheetId}
        options={[{ value: '', text: '—' }, ...offered.map((s) => ({ value: s.sheetId, text: s.name }))]}
        onChange={coat.setSheetId}
      />
      <QuantityField
        label="Dry film"
        hint={
          sheet
            ? `${units.film(sheet.dftMinUm)} to ${units.film(sheet.dftMaxUm)} by the sheet${coat.wetUm === null ? '' : `; lay it ${units.film(coat.wetUm)} wet`}`
            : undefined
        }
        bound={draft.bind('film')}
        refused={save.problemAt('body.dftUm')}
      />
    </div>
  );
}

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

function Cautions({ sheet }: { readonly sheet: ProductSheet }) {
  if (sheet.cautions.length === 0) return null;
  return (
    <ul className="list-[square] border-l-4 border-mark bg-ground py-1.5 pr-3 pl-7 text-[14px]">
      {sheet.cautions.map((c) => (
        <li key={c}>{CAUTION_WORDS[c] ?? c}</li>
      ))}
    </ul>
  );
}

/** Reasons a person may accept a marginal or unknown gate with: one chip is the second touch. */
const GATE_REASONS = [
  'metal felt and measured dry',
  'heat is on and rising',
  'checked with a second instrument',
  'accepted: small, indoors, working finish',
];

interface AcceptProps {
  readonly isForbidden: boolean;
  readonly isBusy: boolean;
  readonly onReason: (reason: string) => void;
}

function AcceptWith({ isForbidden, isBusy, onReason }: AcceptProps) {
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="mb-1">
        {isForbidden
          ? 'The air forbids it. If it was done all the same, say why:'
          : 'Not a clear pass. Accept it with a reason; the touch logs the coat:'}
      </legend>
      <div className="flex flex-wrap gap-2">
        {GATE_REASONS.map((r) => (
          <Button key={r} disabled={isBusy} onClick={() => onReason(r)}>
            {r}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}
