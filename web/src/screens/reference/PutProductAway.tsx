import type { Family } from '@calvetta/core';
import type { MeansInfo } from '@calvetta/contract';
import { refusedWords } from '../../record/refusal.ts';
import { useSend } from '../../record/useSend.ts';
import { meansWrite } from '../../record/write.ts';
import { useNotices } from '../../state/notices.ts';
import { Button } from '../../ui/Button.tsx';

/** A product that the shop does not use any more is not offered, and no route is advised with it; what was coated with it stands. */
export function PutProductAway({ family, means }: { readonly family: Family; readonly means: MeansInfo }) {
  const send = useSend();
  const say = useNotices((s) => s.say);
  const { familyId, sheet } = family;
  const isAway = means.putAway.includes(familyId);
  const { version, facilities, schools } = means;
  const set = (away: boolean): void => {
    const putAway = away ? [...means.putAway, familyId] : means.putAway.filter((id) => id !== familyId);
    send(
      meansWrite({ version, facilities, schools, putAway }),
      away ? `${sheet.name} is put away: it is not offered any more` : `${sheet.name} is offered again`,
    ).catch((e: unknown) =>
      say({ tone: 'trouble', text: refusedWords(e, 'It could not be stored; try again.') }),
    );
  };
  return (
    <Button
      isInRow
      look="quiet"
      aria-label={`${isAway ? 'Take back' : 'Put away'} ${sheet.name}`}
      onClick={() => set(!isAway)}
    >
      {isAway ? 'Take back' : 'Put away'}
    </Button>
  );
}
