import type { StockFactOf } from '@calvetta/core';
import { NumberField } from '../forms/fields.tsx';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { number } from '../forms/read.ts';
import { useDraft } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { useStock } from '../record/useRecord.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';

interface Props {
  readonly fact: StockFactOf<'mixed'>;
  readonly onClose: () => void;
}
const READERS = {
  aMl: number('mL', 0.1, 20_000),
  bMl: number('mL', 0, 20_000),
  thinnerMl: number('mL', 0, 20_000),
};
const FIELDS = [
  ['aMl', 'A, or the paint'],
  ['bMl', 'B, hardener'],
  ['thinnerMl', 'Thinner'],
] as const;

/** The amounts of a mix as they really were: tins, coats and money follow. */
export function CorrectMixDialog({ fact, onClose }: Props) {
  const stock = useStock();
  const save = useSave();
  const { body } = fact;
  const draft = useDraft(READERS, {
    aMl: String(body.aMl),
    bMl: String(body.bMl),
    thinnerMl: String(body.thinnerMl),
  });
  const store = (): void => {
    const amounts = draft.read();
    if (!amounts) return;
    const about = 'amounts corrected';
    // Its pot life runs from when it was mixed, not from when it was set right.
    const happenedMs = fact.happenedAtMs;
    save.run(
      () =>
        stock({ kind: 'mixed', about, supersedes: fact.factId, happenedMs, body: { ...body, ...amounts } }),
      onClose,
    );
  };
  return (
    <Panel title="Correct a mix" subtitle="What really went into the cup, mL" onClose={onClose}>
      <div className="flex flex-col gap-3">
        <div className="grid grid-cols-3 gap-3">
          {FIELDS.map(([name, label]) => (
            <NumberField
              key={name}
              label={label}
              bound={draft.bind(name)}
              refused={save.problemAt(`body.${name}`)}
            />
          ))}
        </div>
        <FormTrouble words={save.trouble} />
        <Foot>
          <Button look="main" disabled={save.isBusy} onClick={store}>
            Save correction
          </Button>
        </Foot>
      </div>
    </Panel>
  );
}
