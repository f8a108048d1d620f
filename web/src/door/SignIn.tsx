import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { signIn } from '../api/doorClient.ts';
import { Field } from '../forms/Field.tsx';
import { SecretField } from '../forms/SecretField.tsx';
import { useSave } from '../forms/useSave.ts';
import { useOutbox } from '../record/outbox.ts';
import { Doorway, InTheClear } from './Doorway.tsx';

/** Name and phrase. What waited on this device goes out once somebody is in. */
export default function SignIn({ isEncrypted }: { readonly isEncrypted: boolean }) {
  const client = useQueryClient();
  const save = useSave();
  const waiting = useOutbox((s) => s.waiting.length);
  const [name, setName] = useState('');
  const [phrase, setPhrase] = useState('');
  const submit = (): void => {
    if (name.trim() === '' || phrase === '') return;
    save.run(
      () => signIn(name.trim(), phrase),
      () => void client.resetQueries(),
    );
  };
  return (
    <Doorway title="Sign in" button="Sign in" isBusy={save.isBusy} trouble={save.trouble} onSubmit={submit}>
      {isEncrypted || location.hostname === 'localhost' || location.hostname.startsWith('127.') ? null : (
        <InTheClear />
      )}
      {waiting > 0 ? (
        <p role="status">
          {waiting} {waiting === 1 ? 'entry waits' : 'entries wait'} on this device and{' '}
          {waiting === 1 ? 'is' : 'are'} sent once you are in.
        </p>
      ) : null}
      <Field label="Name">
        <input autoComplete="username" value={name} onChange={(e) => setName(e.target.value)} />
      </Field>
      <SecretField
        label="Phrase"
        autoComplete="current-password"
        value={phrase}
        onChange={(text) => setPhrase(text)}
      />
      <p className="text-[13px] text-quiet">
        Lost it? An owner of the shop invites you anew under Settings. An owner who lost it runs{' '}
        <span className="figure">bin/owner</span> on the shop’s computer.
      </p>
    </Doorway>
  );
}
