import type { NonConformance } from '@calvetta/core';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { TextField } from '../forms/fields.tsx';
import { asIs, maybe, words } from '../forms/read.ts';
import { useDraft } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { useRecord } from '../record/useRecord.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';

interface Props {
  readonly partId: string;
  readonly partName: string;
  readonly about: NonConformance;
  /** What does not conform, in words. */
  readonly said: string;
  readonly onClose: () => void;
}

/** What does not conform may stay: who allowed it, why, and by what paper. */
export function ConcedeDialog({ partId, partName, about, said, onClose }: Props) {
  const record = useRecord();
  const save = useSave();
  const draft = useDraft(
    { allowedBy: words, reason: words, reference: maybe(words), until: asIs },
    { allowedBy: '', reason: '', reference: '', until: '' },
  );
  const store = (): void => {
    const v = draft.read();
    if (!v) return;
    const { allowedBy, reason, reference, until } = v;
    save.run(
      () =>
        record({
          kind: 'conceded',
          partId,
          partName,
          face: about.face,
          happenedMs: Date.now(),
          endedMs: null,
          body: {
            aboutId: about.factId,
            allowedBy,
            reason,
            ...(reference === null || reference === '' ? {} : { reference }),
            ...(until === '' ? {} : { until }),
          },
        }),
      onClose,
    );
  };
  return (
    <Panel title="It may stay as it is" subtitle={partName} onClose={onClose}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          store();
        }}
      >
        <p className="border-l-4 border-bad bg-ground p-3">{said}</p>
        <TextField
          label="Allowed by"
          hint="whoever answers for it: the owner, the inspector, the licensed person"
          bound={draft.bind('allowedBy')}
          refused={save.problemAt('body.allowedBy')}
          maxLength={120}
        />
        <TextField
          label="Why it may stay"
          bound={draft.bind('reason')}
          refused={save.problemAt('body.reason')}
          maxLength={300}
        />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="By which paper"
            hint="letter, report; may be left empty"
            bound={draft.bind('reference')}
            maxLength={80}
          />
          <TextField
            label="Until"
            type="date"
            hint="empty: for good"
            bound={draft.bind('until')}
            refused={save.problemAt('body.until')}
          />
        </div>
        <Limits />
        <FormTrouble words={save.trouble} />
        <Foot>
          <Button type="submit" look="main" disabled={save.isBusy}>
            It may stay
          </Button>
        </Foot>
      </form>
    </Panel>
  );
}

const Limits = () => (
  <p className="text-[13px] text-quiet">
    A concession is about the coating alone. Airworthiness, pressure, structure and lifting are licensed
    people’s.
  </p>
);
