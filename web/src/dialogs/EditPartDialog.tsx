import { useState } from 'react';
import type { Substrate } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { SUBSTRATE_WORDS } from '@calvetta/contract/words';
import { usePart } from '../api/queries.ts';
import { theirsOf } from '../forms/theirsOf.ts';
import { useSave } from '../forms/useSave.ts';
import { useSend } from '../record/useSend.ts';
import { partWrite } from '../record/write.ts';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { PartFields } from './PartFields.tsx';
import { numberText, usePartForm } from './usePartForm.ts';
import { SaveEnd } from './SaveEnd.tsx';

interface Props {
  readonly partId: string;
  readonly onClose: () => void;
}

/** What a part is: name, metal, sizes. Two tablets editing at once both see both versions. */
export function EditPartDialog({ partId, onClose }: Props) {
  const part = usePart(partId);
  return (
    <Panel title="Edit the part" subtitle={part.data?.card.name ?? ''} onClose={onClose}>
      {part.data ? (
        <EditForm part={part.data} onClose={onClose} />
      ) : (
        <Waiting error={part.error} what="part" />
      )}
    </Panel>
  );
}

interface Stored {
  readonly name: string;
  readonly massKg: number | null;
  readonly areaM2: number | null;
  readonly thicknessMm: number | null;
  readonly colourGroup: string | null;
  readonly substrate: Substrate;
  readonly version: number;
}

function EditForm({ part, onClose }: { readonly part: PartDetail; readonly onClose: () => void }) {
  const send = useSend();
  const save = useSave();
  const { card } = part;
  // What the person started from stays, though the part behind may be read again meanwhile.
  const [version] = useState(part.version);
  const form = usePartForm(card.machineId, {
    name: card.name,
    substrate: card.substrate,
    assemblyId: card.assemblyId,
    faceCount: card.faceCount === 2 ? 2 : 1,
    pairPartId: part.pairPartId,
    isBrightMetal: part.isBrightMetal,
    massKg: part.massKg,
    areaM2: card.areaM2,
    thicknessMm: part.thicknessMm,
    colourGroup: part.colourGroup,
    comesFrom: part.comesFrom,
  });
  const theirs = theirsOf(save) as Stored | null;
  const store = (over: number): void => {
    const v = form.read();
    if (!v) return;
    save.run(() => send(partWrite(card.partId, { ...v, version: over }), `Stored: ${v.name}`), onClose);
  };
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        store(version);
      }}
    >
      <PartFields form={form} save={save} partId={card.partId} />
      <SaveEnd
        save={save}
        what="this part"
        button={'Save'}
        theirs={
          theirs && {
            words: [
              theirs.name,
              SUBSTRATE_WORDS[theirs.substrate],
              `${numberText(theirs.massKg)} kg`,
              `${numberText(theirs.areaM2)} m²`,
              `${numberText(theirs.thicknessMm)} mm`,
              theirs.colourGroup ?? '',
            ].join(' · '),
            version: theirs.version,
          }
        }
        onKeep={onClose}
        onMine={store}
      />
    </form>
  );
}
