import { useState } from 'react';
import {
  ALL_FAULTS,
  FINDING_KINDS,
  REFER_SIGNS,
  seenAfter,
  type AnyFault,
  type FactBodies,
  type FindingKind,
  type InspectView,
} from '@calvetta/core';
import { FAULT_WORDS, FINDING_WORDS, SIGN_WORDS } from '@calvetta/contract/words';
import { FaultSwatch, SignSwatch } from '../../drawings/FaultSwatch.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { Field } from '../../forms/Field.tsx';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import type { Spot } from './FaceMap.tsx';
import { useFinds } from './useFinding.ts';

interface Props {
  readonly view: InspectView;
  readonly spot: Spot | null;
  readonly onStored: () => void;
}

/** What did you find? A kind, and for a fault its look: the second touch stores it. */
export function NewFinding({ view, spot, onStored }: Props) {
  const [kind, setKind] = useState<FindingKind | null>(null);
  const [note, setNote] = useState('');
  const { log, save } = useFinds(view);
  const store = (body: Omit<FactBodies['found'], 'what'> & { readonly what: FindingKind }): void => {
    const coats = view.coats.filter((c) => spot?.face == null || c.face === spot.face);
    const top = coats[coats.length - 1];
    log(
      'found',
      spot?.face ?? null,
      {
        ...body,
        ...(spot ? { x: spot.x, y: spot.y } : {}),
        ...(note.trim() === '' ? {} : { note: note.trim() }),
        ...(body.what === 'fault' && top ? { coatFactId: top.factId } : {}),
        ...(body.what === 'fault' && top ? { seenAfter: seenAfter(top.t0Ms, view.nowMs) } : {}),
      },
      {
        done: () => {
          setKind(null);
          setNote('');
          onStored();
        },
      },
    );
  };
  return (
    <section aria-label="What did you find?" className="flex flex-col gap-2 border border-line bg-panel p-3">
      <h2 className="text-[16px]">What did you find?</h2>
      <p className="text-[13px] text-quiet">
        {spot ? 'It is put where you touched.' : 'Touch the drawing first to say where; it can be left out.'}
      </p>
      <OneOf<FindingKind>
        label="Kind of finding"
        size="small"
        value={kind}
        onChange={setKind}
        options={FINDING_KINDS.map((k) => ({ value: k, text: FINDING_WORDS[k] }))}
      />
      <FormTrouble words={save.trouble} />
      {kind === 'fault' ? (
        <Looks isBusy={save.isBusy} onPick={(fault) => store({ what: 'fault', fault })} />
      ) : kind === 'sign' ? (
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(220px,1fr))] gap-2">
          {REFER_SIGNS.map((sign) => (
            <li key={sign}>
              <button
                type="button"
                className="flex w-full items-center gap-2 border-2 border-transparent p-1 text-left text-[13px] hover:border-line"
                disabled={save.isBusy}
                onClick={() => store({ what: 'sign', sign })}
              >
                <SignSwatch sign={sign} />
                {SIGN_WORDS[sign]}
              </button>
            </li>
          ))}
        </ul>
      ) : kind !== null ? (
        <div className="flex flex-col gap-2">
          <Field label="What exactly" hint="may be left empty">
            <input value={note} maxLength={2000} onChange={(e) => setNote(e.target.value)} />
          </Field>
          <Button
            look="main"
            className="self-start"
            disabled={save.isBusy}
            onClick={() => store({ what: kind })}
          >
            Log {FINDING_WORDS[kind]}
          </Button>
        </div>
      ) : null}
    </section>
  );
}

interface LooksProps {
  readonly isBusy: boolean;
  readonly onPick: (fault: AnyFault) => void;
}

/** Every look, drawn; people choose by what they see and not by a name. */
function Looks({ isBusy, onPick }: LooksProps) {
  return (
    <>
      <p className="text-[13px] text-quiet">Touch the one that looks like it.</p>
      <ul className="grid max-h-[372px] grid-cols-[repeat(auto-fill,minmax(100px,1fr))] gap-1 overflow-y-auto">
        {ALL_FAULTS.map((fault) => (
          <li key={fault}>
            <button
              type="button"
              className="flex w-full flex-col gap-0.5 border-2 border-transparent p-1 text-left text-[13px] leading-tight hover:border-line"
              title={FAULT_WORDS[fault].look}
              disabled={isBusy}
              onClick={() => onPick(fault)}
            >
              <FaultSwatch fault={fault} />
              {FAULT_WORDS[fault].name}
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
