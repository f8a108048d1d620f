import { stepName } from '@calvetta/contract/words';
import { useState } from 'react';
import type { RouteStepView } from '@calvetta/contract';
import { usePart } from '../api/queries.ts';
import { Choice, Field } from '../forms/Field.tsx';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useRecord } from '../record/useRecord.ts';
import { HAS_RESULT } from '../words/stepWords.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';
import { fromLocalInput, toLocalInput } from '../ui/time.ts';
import { Waiting } from '../ui/Trouble.tsx';

interface Props {
  readonly partId: string;
  readonly stepId: string;
  readonly onClose: () => void;
}

/** A step of the route, recorded: by whom, when, what was found, and how it came out. */
export function StepDialog({ partId, stepId, onClose }: Props) {
  const part = usePart(partId);
  const step = part.data?.route.find((s) => s.stepId === stepId);
  return (
    <Panel title={step ? stepName(step) : 'A step'} subtitle={part.data?.card.name ?? ''} onClose={onClose}>
      {part.data && step ? (
        <StepForm
          part={{ partId, name: part.data.card.name, zone: part.data.zone }}
          step={step}
          onClose={onClose}
        />
      ) : (
        <Waiting error={part.error} what="step" />
      )}
    </Panel>
  );
}

type When = 'now' | 'then' | 'unknown';
interface FormProps {
  readonly part: { readonly partId: string; readonly name: string; readonly zone: string };
  readonly step: RouteStepView;
  readonly onClose: () => void;
}

function StepForm({ part, step, onClose }: FormProps) {
  const record = useRecord();
  const save = useSave();
  const [found, setFound] = useState('');
  const [when, setWhen] = useState<When>('now');
  const [atMs, setAtMs] = useState<number | null>(null);
  const hasResult = HAS_RESULT.includes(step.kind);
  const store = (passed?: boolean): void => {
    const happenedMs = when === 'then' && atMs !== null ? atMs : Date.now();
    const body = {
      stepId: step.stepId,
      ...(found.trim() === '' ? {} : { found: found.trim() }),
      ...(passed === undefined ? {} : { passed }),
      ...(when === 'unknown' ? { isTimeUnknown: true } : {}),
    };
    const what = { partId: part.partId, partName: part.name, face: null, endedMs: null };
    save.run(() => record({ ...what, kind: 'step-done', happenedMs, body }), onClose);
  };
  const isSet = when !== 'then' || atMs !== null;
  return (
    <div className="flex flex-col gap-4">
      <Field label="What was found" hint="leave empty where there is nothing to say">
        <textarea rows={2} maxLength={300} value={found} onChange={(e) => setFound(e.target.value)} />
      </Field>
      <Choice<When>
        label="When"
        value={when}
        options={[
          { value: 'now', text: 'just now' },
          { value: 'then', text: 'at another time' },
          { value: 'unknown', text: 'done, time not known' },
        ]}
        onChange={setWhen}
      />
      {when === 'then' ? (
        <input
          type="datetime-local"
          aria-label="Finished"
          className="self-start"
          value={atMs === null ? '' : toLocalInput(atMs, part.zone)}
          onChange={(e) => setAtMs(fromLocalInput(e.target.value, part.zone))}
        />
      ) : null}
      <FormTrouble words={save.trouble} />
      <Foot>
        {hasResult ? (
          <>
            <Button look="main" disabled={save.isBusy || !isSet} onClick={() => store(true)}>
              Done, it passed
            </Button>
            <Button disabled={save.isBusy || !isSet} onClick={() => store(false)}>
              Done, it failed
            </Button>
          </>
        ) : (
          <Button look="main" disabled={save.isBusy || !isSet} onClick={() => store()}>
            Done
          </Button>
        )}
      </Foot>
    </div>
  );
}
