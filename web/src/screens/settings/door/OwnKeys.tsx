import { useState } from 'react';
import { setMine } from '../../../api/doorClient.ts';
import { SecretField } from '../../../forms/SecretField.tsx';
import { FormTrouble } from '../../../forms/FormTrouble.tsx';
import { useSave } from '../../../forms/useSave.ts';
import { useNotices } from '../../../state/notices.ts';
import { Button } from '../../../ui/Button.tsx';

const KEYS = {
  phrase: { label: 'New phrase', hint: '12 characters at least', fits: /^.{12,200}$/ },
  pin: { label: 'New pin', hint: 'six figures, for the tablets of the shop', fits: /^\d{6}$/ },
} as const;

/** A phrase or a pin of one's own, changed with the phrase. */
export function OwnKeys() {
  const save = useSave();
  const say = useNotices((s) => s.say);
  const [which, setWhich] = useState<keyof typeof KEYS | null>(null);
  const [old, setOld] = useState('');
  const [text, setText] = useState('');
  const close = (): void => {
    setWhich(null);
    setOld('');
    setText('');
    save.clear();
  };
  if (which === null)
    return (
      <p className="flex flex-wrap gap-2">
        <Button look="quiet" isInRow onClick={() => setWhich('phrase')}>
          Change my phrase
        </Button>
        <Button look="quiet" isInRow onClick={() => setWhich('pin')}>
          Set my pin
        </Button>
      </p>
    );
  const { label, hint, fits } = KEYS[which];
  const isFit = fits.test(text);
  return (
    <form
      className="flex flex-col gap-3 border-l-4 border-line pl-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!isFit || old === '') return;
        const sent = { phrase: old, ...(which === 'phrase' ? { newPhrase: text } : { newPin: text }) };
        save.run(
          () => setMine(sent),
          () => {
            say({ tone: 'done', text: which === 'phrase' ? 'Your phrase is changed' : 'Your pin is set' });
            close();
          },
        );
      }}
    >
      <SecretField
        label="Phrase you have now"
        autoComplete="current-password"
        value={old}
        onChange={(text) => setOld(text)}
      />
      <SecretField
        label={label}
        hint={hint}
        autoComplete="new-password"
        value={text}
        onChange={(text) => setText(text)}
        isFigures={which === 'pin'}
      />
      <FormTrouble words={save.trouble} />
      <p className="flex gap-2">
        <Button type="submit" look="main" disabled={!isFit || old === '' || save.isBusy}>
          Keep it
        </Button>
        <Button onClick={close}>Leave it</Button>
      </p>
    </form>
  );
}
