import { useDoor, usePeople, usePeopleView } from '../../api/queries.ts';
import { useStock, useWriter } from '../../record/useRecord.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { useNotices } from '../../state/notices.ts';
import { usePrefs } from '../../state/prefs.ts';
import { refusedWords } from '../../record/refusal.ts';
import { Button } from '../../ui/Button.tsx';
import { clockTime, dayAndTime } from '../../ui/time.ts';

/** Who is in, and what the last session left: one line over the Bench. */
export function InToday({ zone }: { readonly zone: string }) {
  const view = usePeopleView().data;
  const people = usePeople();
  const held = usePrefs((s) => s.personId);
  const me = useDoor().data?.me?.personId ?? held;
  const show = useDialogs((s) => s.show);
  const say = useNotices((s) => s.say);
  const stock = useStock();
  const writer = useWriter();
  if (!view) return null;
  const isIn = view.people.filter((p) => p.inSinceMs !== null);
  const nameOf = (personId: string): string =>
    people.find((p) => p.personId === personId)?.name ?? 'somebody';
  const last = view.handovers[0];
  const come = async (): Promise<void> => {
    const { personId } = await writer();
    await stock({ kind: 'came', about: 'signed in for today', body: { whoId: personId } });
  };
  const amIn = isIn.some((p) => p.personId === me);
  return (
    <section
      aria-label="Who is in"
      className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-4 py-1 text-[14px] max-md:px-2"
    >
      <span>
        {isIn.length === 0 ? (
          <span className="text-quiet">Nobody has signed in today</span>
        ) : (
          <>
            <strong>In:</strong>{' '}
            {isIn.map((p) => `${nameOf(p.personId)} ${clockTime(p.inSinceMs!, zone)}`).join(', ')}
          </>
        )}
      </span>
      {amIn ? (
        <Button isInRow look="quiet" onClick={() => show({ kind: 'handover', isGoing: true })}>
          I go home
        </Button>
      ) : (
        <Button
          isInRow
          look="quiet"
          onClick={() =>
            void come().catch((e: unknown) =>
              say({ tone: 'trouble', text: refusedWords(e, 'It could not be stored; try again.') }),
            )
          }
        >
          I’m in
        </Button>
      )}
      {last ? (
        <span className="min-w-0 flex-1 truncate" title={last.text}>
          <span className="text-quiet">
            {last.personName ?? 'Somebody'}, {dayAndTime(last.atMs, zone)}:
          </span>{' '}
          {last.text}
        </span>
      ) : null}
      <Button isInRow look="quiet" onClick={() => show({ kind: 'handover', isGoing: false })}>
        Leave a note
      </Button>
    </section>
  );
}
