import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import type { Save } from '../forms/useSave.ts';
import { Button } from '../ui/Button.tsx';
import { Theirs } from './Theirs.tsx';

interface Props {
  readonly save: Save;
  /** What it is called, in the middle of a sentence: “this place”. */
  readonly what: string;
  readonly button: string;
  /** What someone else stored first, in words, with its version; null where nobody did. */
  readonly theirs: { readonly words: string; readonly version: number } | null;
  readonly onKeep: () => void;
  readonly onMine: (version: number) => void;
}

/** The end of a form about a thing that others edit too: what went wrong, both versions where there are two, and the button. */
export function SaveEnd({ save, what, button, theirs, onKeep, onMine }: Props) {
  return (
    <>
      {theirs ? (
        <Theirs what={what} stored={theirs.words} onKeep={onKeep} onMine={() => onMine(theirs.version)} />
      ) : (
        <FormTrouble words={save.trouble} />
      )}
      <Foot>
        <Button type="submit" look="main" disabled={save.isBusy}>
          {button}
        </Button>
      </Foot>
    </>
  );
}
