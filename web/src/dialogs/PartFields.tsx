import { SUBSTRATES, type Substrate } from '@calvetta/core';
import { SUBSTRATE_WORDS } from '@calvetta/contract/words';
import { useMachines } from '../api/queries.ts';
import { Choice } from '../forms/Field.tsx';
import { QuantityField, SelectField, TextField } from '../forms/fields.tsx';
import type { Save } from '../forms/useSave.ts';
import type { PartForm } from './usePartForm.ts';

interface Props {
  readonly form: PartForm;
  readonly save: Save;
  /** The part itself, which is not its own pair. */
  readonly partId: string;
  /** It is put into a machine, and its own words for its metal come with the survey. */
  readonly isNew?: boolean;
}

/** Name, metal, where it belongs, sizes, faces, colour and pair. */
export function PartFields({ form, save, partId, isNew = false }: Props) {
  const { draft, chosen, choose, areaUnit } = form;
  const machines = useMachines();
  const all = (machines.data?.machines ?? []).filter(
    (m) => m.machineId === form.machineId || (!isNew && !m.isAway),
  );
  const assemblies = all.flatMap((m) => m.assemblies.filter((a) => !a.isAway).map((a) => ({ m, a })));
  const mates = assemblies.filter(({ m }) => m.machineId === form.machineId).flatMap(({ a }) => a.parts);
  return (
    <>
      <TextField label="Name" autoFocus bound={draft.bind('name')} refused={save.problemAt('name')} />
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        <SelectField<Substrate>
          label="Metal"
          value={chosen.substrate}
          options={SUBSTRATES.map((s) => ({ value: s, text: SUBSTRATE_WORDS[s] }))}
          onChange={(substrate) => choose({ substrate })}
        />
        <SelectField
          label="Belongs to"
          value={chosen.assemblyId}
          options={assemblies.map(({ m, a }) => ({ value: a.assemblyId, text: `${m.name}: ${a.name}` }))}
          onChange={(assemblyId) => choose({ assemblyId })}
        />
      </div>
      <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
        <QuantityField label="Mass" hint="kg, or write 120 lb" bound={draft.bind('massKg')} />
        <QuantityField
          label="Area"
          hint={areaUnit === 'ft2' ? 'ft², or write 2 m2' : 'm², or write 20 ft2'}
          bound={draft.bind('areaM2')}
        />
        <QuantityField label="Thickest web" hint="mm, or write 1/2 in" bound={draft.bind('thicknessMm')} />
      </div>
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        <Choice<'1' | '2'>
          label="Coated"
          value={chosen.faceCount === 2 ? '2' : '1'}
          options={[
            { value: '1', text: 'all round at once' },
            { value: '2', text: 'front, then back' },
          ]}
          onChange={(n) => choose({ faceCount: n === '2' ? 2 : 1 })}
        />
        {isNew ? null : (
          <Choice<'no' | 'yes'>
            label="Its metal"
            value={chosen.isBrightMetal ? 'yes' : 'no'}
            options={[
              { value: 'no', text: 'dull or painted' },
              { value: 'yes', text: 'bright' },
            ]}
            onChange={(b) => choose({ isBrightMetal: b === 'yes' })}
          />
        )}
      </div>
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        <TextField
          label="Colour group"
          hint="parts that must come from one batch"
          bound={draft.bind('colourGroup')}
        />
        <SelectField
          label="The other of its pair"
          value={chosen.pairPartId ?? ''}
          options={[
            { value: '', text: 'none' },
            ...mates.filter((p) => p.partId !== partId).map((p) => ({ value: p.partId, text: p.name })),
          ]}
          onChange={(id) => choose({ pairPartId: id === '' ? null : id })}
        />
      </div>
      {isNew ? null : <ComesFrom form={form} save={save} />}
    </>
  );
}

const ComesFrom = ({ form, save }: Pick<Props, 'form' | 'save'>) => (
  <TextField
    label="Comes from"
    hint="original, made new, off another machine: for the dossier"
    bound={form.draft.bind('comesFrom')}
    refused={save.problemAt('comesFrom')}
    maxLength={300}
  />
);
