import { useDoor } from '../api/queries.ts';
import { useDialogs } from '../state/dialogs.ts';
import { Button } from './Button.tsx';

interface Props {
  readonly of: 'part' | 'machine';
  readonly id: string;
  readonly name: string;
}

/** Opens the page to sign on, for an inspector; nothing for anybody else. */
export function SignOffLink({ of, id, name }: Props) {
  const me = useDoor().data?.me;
  const show = useDialogs((s) => s.show);
  if (!me?.isInspector || me.personId === null) return null;
  return (
    <Button isInRow onClick={() => show({ kind: 'sign-off', of, id, name })}>
      Sign off
    </Button>
  );
}
