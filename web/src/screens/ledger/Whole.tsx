import { useState } from 'react';
import type { ChainVerdict } from '@calvetta/contract';
import { CHAIN_FAULT_WORDS } from '@calvetta/contract/words';
import { useShop } from '../../api/queries.ts';
import { verifyLedger } from '../../api/client.ts';
import { Field } from '../../forms/Field.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { useSave } from '../../forms/useSave.ts';
import { Button } from '../../ui/Button.tsx';
import { dayAndTime } from '../../ui/time.ts';

/** Works the chain out again; and says what that shows and what it does not. */
export function Whole() {
  const [head, setHead] = useState('');
  const [seen, setSeen] = useState<ChainVerdict | null>(null);
  const save = useSave();
  const check = (): void =>
    save.run(async () => {
      setSeen(await verifyLedger(head.replace(/\s/g, '')));
    });
  return (
    <div className="flex max-w-[760px] flex-col gap-4 text-[16px]">
      <p>
        Every entry, sheet and picture, and every change of people and what they may do, leaves a link in a
        chain when it is stored. Whoever holds an earlier end of the chain can see whether anything before it
        was changed, taken out or put in since.
      </p>
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          check();
        }}
      >
        <Field
          label="An end that you wrote down"
          hint="may be left empty; 32 or 64 of 0…9 and a…f"
          problem={save.problemAt('head')}
        >
          <input
            className="figure max-w-[560px]"
            value={head}
            maxLength={90}
            spellCheck={false}
            onChange={(e) => setHead(e.target.value)}
          />
        </Field>
        <Button look="main" type="submit" className="self-start" disabled={save.isBusy}>
          {save.isBusy ? 'Working it out…' : 'Work it out'}
        </Button>
        <FormTrouble words={save.problemAt('head') === null ? save.trouble : null} />
      </form>
      {seen ? <Verdict seen={seen} /> : null}
      <p className="border-t border-line pt-3 text-[14px] text-quiet">
        It does not show that what was written is true, nor that clocks were right, nor anything after the
        last end that somebody holds elsewhere. Write the end down where this computer cannot reach it: on
        paper, in a letter, in another’s book.
      </p>
    </div>
  );
}

const inFours = (hex: string): string => hex.slice(0, 32).replace(/(.{4})(?=.)/g, '$1 ');

function Verdict({ seen }: { readonly seen: ChainVerdict }) {
  const zone = useShop().data?.zone ?? 'UTC';
  return (
    <div role="status" className={`border-l-4 bg-panel p-3 ${seen.isWhole ? 'border-good' : 'border-bad'}`}>
      <p className="text-[18px]">
        {seen.isWhole ? (
          <strong className="text-good">Whole</strong>
        ) : (
          <strong className="text-bad">Not whole</strong>
        )}
        , {seen.links} links.
        {typeof seen.known === 'number'
          ? ` Your end is link ${seen.known}: nothing up to it was changed.`
          : seen.known === 'missing'
            ? ' The end that you wrote down is not in it: what it stood for was changed or cut off.'
            : ''}
      </p>
      {seen.faults.length > 0 ? (
        <ul className="mt-2 text-[14px]">
          {seen.faults.map((f) => (
            <li key={`${f.seq}${f.id}${f.what}`}>
              {f.seq === 0 ? '' : `Link ${f.seq}, `}
              {f.kind} <span className="figure">{f.id}</span>: {CHAIN_FAULT_WORDS[f.what]}
            </li>
          ))}
        </ul>
      ) : null}
      <p className="mt-2 text-[14px]">
        {seen.sealedToMs === null
          ? 'No reading is sealed yet: that is done every hour.'
          : `Readings that came in before ${dayAndTime(seen.sealedToMs, zone)} are sealed, hour by hour.`}
      </p>
      {seen.kept > 0 ? (
        <p className="mt-2 text-[14px]">
          {seen.kept === 1 ? 'One end was' : `${seen.kept} ends were`} kept outside the database, with
          dossiers, backups and sign-offs and once a day
          {seen.lost.length === 0 ? ': the chain holds every one of them.' : '.'}
        </p>
      ) : null}
      <ul className="text-[14px]">
        {seen.lost.map((h) => (
          <li key={`${h.seq}${h.hash}`} className={h.isRestored ? '' : 'text-bad'}>
            The end of {new Date(h.atMs).toISOString().slice(0, 16).replace('T', ' ')} UTC, link {h.seq}, is
            not in it:{' '}
            {h.isRestored ? 'a backup of before was put back since.' : 'it was cut off, or made anew.'}
          </li>
        ))}
      </ul>
      <p className="mt-2 text-[14px] text-quiet">
        The end now: <span className="figure text-[16px] text-ink">{inFours(seen.head.hash)}</span>
        {' · '}
        <a className="underline underline-offset-2" href="/api/ledger/head" download="calvetta-end.json">
          with its signature, as a file
        </a>
      </p>
    </div>
  );
}
