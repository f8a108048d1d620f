import { Button } from '../ui/Button.tsx';

interface Props {
  /** What it is called, in the middle of a sentence: “this place”. */
  readonly what: string;
  /** What stands stored now, in words. */
  readonly stored: string;
  readonly onKeep: () => void;
  readonly onMine: () => void;
}

/** Someone else stored first: both stand side by side until a person says which. */
export function Theirs({ what, stored, onKeep, onMine }: Props) {
  return (
    <div role="alert" className="border-l-4 border-bad bg-ground p-3">
      <p>
        Someone changed {what} meanwhile. Stored now: {stored}. Yours is in the form.
      </p>
      <div className="mt-2 flex gap-2">
        <Button onClick={onKeep}>Keep theirs</Button>
        <Button onClick={onMine}>Save mine over it</Button>
      </div>
    </div>
  );
}
