import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { redeemInvite, signIn } from '../api/doorClient.ts';
import { SecretField } from '../forms/SecretField.tsx';
import { useSave, type Save } from '../forms/useSave.ts';
import { Doorway } from './Doorway.tsx';

const SHORTEST = 12;

/** Takes an invitation up: a person chooses a phrase and waits to be let in; a tablet of the shop’s own is in at once. */
export default function Redeem({ token }: { readonly token: string }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const save = useSave();
  const [phrase, setPhrase] = useState('');
  const [again, setAgain] = useState('');
  const [waits, setWaits] = useState<string | null>(null);
  const isTooShort = phrase !== '' && phrase.length < SHORTEST;
  const isOther = again !== '' && again !== phrase;
  const enter = async (): Promise<void> => {
    await client.resetQueries();
    await navigate('/', { replace: true });
  };
  const take = async (): Promise<void> => {
    const done = await redeemInvite(token, phrase === '' ? undefined : phrase);
    if (done.isWaiting) {
      setWaits(done.name);
      return;
    }
    if (phrase !== '') await signIn(done.name, phrase);
    await enter();
  };
  const submit = (): void => {
    if (!isTooShort && phrase === again) save.run(take);
  };
  if (waits !== null)
    return (
      <NearlyIn
        name={waits}
        save={save}
        onLetIn={async () => {
          await signIn(waits, phrase);
          await enter();
        }}
      />
    );
  return (
    <Doorway
      title="You are invited"
      button="Take it up"
      isBusy={save.isBusy}
      trouble={save.trouble}
      onSubmit={submit}
    >
      <p>
        Choose a phrase: a short sentence that you remember and nobody guesses. For a tablet that hangs in the
        shop leave both fields empty.
      </p>
      <SecretField
        label="Phrase"
        hint={`${SHORTEST} characters at least; blanks count`}
        problem={isTooShort ? `${SHORTEST - phrase.length} more` : null}
        autoComplete="new-password"
        value={phrase}
        onChange={(text) => setPhrase(text)}
      />
      <SecretField
        label="The same again"
        problem={isOther ? 'not the same' : null}
        autoComplete="new-password"
        value={again}
        onChange={(text) => setAgain(text)}
      />
    </Doorway>
  );
}

interface NearlyProps {
  readonly name: string;
  readonly save: Save;
  readonly onLetIn: () => Promise<void>;
}
/** Whoever invited has to see who came. */
function NearlyIn({ name, save, onLetIn }: NearlyProps) {
  return (
    <Doorway
      title={`Nearly in, ${name}`}
      button="I have been let in"
      isBusy={save.isBusy}
      trouble={save.trouble}
      onSubmit={() => save.run(onLetIn)}
    >
      <p>
        Whoever invited you sees your name under Settings, The door, and lets you in there. Then come in here,
        or sign in by name and phrase whenever you like.
      </p>
    </Doorway>
  );
}
