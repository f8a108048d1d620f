import { useState } from 'react';
import type { TinView } from '@calvetta/contract';
import { dayWords } from '@calvetta/contract/words';
import { Field } from '../forms/Field.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useStock } from '../record/useRecord.ts';
import { Button } from '../ui/Button.tsx';
import { tinName } from '../words/tinWords.ts';

/** Papers that came with the batch of a tin: certificates, and days up to which its maker vouches for it again. */
export function BatchPapers({ tin }: { readonly tin: TinView }) {
  const stock = useStock();
  const save = useSave();
  const [text, setText] = useState('');
  const [until, setUntil] = useState('');
  if (tin.batch === null)
    return (
      <p className="border-t border-line pt-3 text-[14px] text-quiet">
        With its batch known, its certificates can be kept here.
      </p>
    );
  const store = (): void =>
    save.run(
      () =>
        stock({
          kind: 'batch-certified',
          about: `${tinName(tin)}, batch ${tin.batch}`,
          body: {
            tinId: tin.tinId,
            certificate: text.trim(),
            ...(until === '' ? {} : { goodUntil: until }),
          },
        }),
      () => {
        setText('');
        setUntil('');
      },
    );
  return (
    <form
      aria-label="Papers of the batch"
      className="flex flex-col gap-2 border-t border-line pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (text.trim() !== '') store();
      }}
    >
      <h3 className="text-[16px]">Papers of batch {tin.batch}</h3>
      {tin.certificates.length === 0 ? (
        <p className="text-[14px] text-quiet">None yet.</p>
      ) : (
        <ul className="text-[14px]">
          {tin.certificates.map((c) => (
            <li key={c.factId}>
              {c.certificate}
              {c.goodUntil === null ? '' : `; its maker vouches for it until ${dayWords(c.goodUntil)}`}
            </li>
          ))}
        </ul>
      )}
      <div className="grid grid-cols-2 gap-3">
        <Field label="Certificate" hint="its number, and whose" problem={save.problemAt('body.certificate')}>
          <input value={text} maxLength={120} onChange={(e) => setText(e.target.value)} />
        </Field>
        <Field
          label="Good until"
          hint="only where its maker tried it again and says so"
          problem={save.problemAt('body.goodUntil')}
        >
          <input type="date" value={until} onChange={(e) => setUntil(e.target.value)} />
        </Field>
      </div>
      <FormTrouble words={save.trouble} />
      <Button type="submit" className="self-start" disabled={save.isBusy || text.trim() === ''}>
        Keep it with the batch
      </Button>
    </form>
  );
}
