import {
  TRANSFER,
  WORK_SHAPES,
  type Applicator,
  type WorkShape,
  MARGIN_PCT,
  BATCH_MODES,
  type JobGroup,
  type JobTotal,
  type PartNeed,
  type BatchMode,
} from '@calvetta/core';
import { APPLICATOR_WORDS, WORK_SHAPE_WORDS } from '@calvetta/contract/words';
import { SelectField } from '../../forms/fields.tsx';
import { Field } from '../../forms/Field.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { StateWord } from '../../ui/StateWord.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import type { MixJob } from './mixJob.ts';

export interface ProductOption {
  readonly key: string;
  readonly text: string;
}

interface Props {
  readonly job: MixJob;
  readonly options: readonly ProductOption[];
  readonly group: JobGroup | null;
  readonly needs: readonly PartNeed[];
  readonly total: JobTotal;
  readonly volumeProblem: string | null;
  readonly onChange: (patch: Partial<MixJob>) => void;
}

const MODE_WORDS: Readonly<Record<BatchMode, string>> = {
  parts: 'for parts',
  volume: 'by volume',
  tins: 'all in the tins',
};

/** What is being coated, and how: the parts that take this product next, or a volume, or all that is left. */
export function JobPanel({ job, options, group, needs, total, volumeProblem, onChange }: Props) {
  const units = useUnits();
  const toggle = (id: string): void =>
    onChange({
      partIds: job.partIds.includes(id) ? job.partIds.filter((p) => p !== id) : [...job.partIds, id],
    });
  return (
    <section
      aria-label="What is being coated"
      className="flex flex-col gap-3 border border-line bg-panel p-3"
    >
      <h2 className="text-[18px]">What is being coated</h2>
      <SelectField
        label="Product"
        value={job.key}
        options={options.map((o) => ({ value: o.key, text: o.text }))}
        onChange={(key) => onChange({ key, partIds: [], tins: {} })}
      />
      <OneOf
        label="How much"
        className="flex gap-1 [&>*]:flex-1 [&>*]:px-1 [&>*]:whitespace-nowrap"
        options={BATCH_MODES.map((m) => ({ value: m, text: MODE_WORDS[m] }))}
        value={job.mode}
        onChange={(mode) => onChange({ mode })}
      />
      {job.mode === 'parts' ? (
        <PartList group={group} needs={needs} chosen={job.partIds} onToggle={toggle} />
      ) : null}
      {job.mode === 'volume' ? (
        <Field label="Mixed paint, without thinner" hint="mL, or 1/2 pt, 0.4 L" problem={volumeProblem}>
          <input
            value={job.volume}
            aria-label="Mixed paint"
            onChange={(e) => onChange({ volume: e.target.value })}
          />
        </Field>
      ) : null}
      <div className="grid grid-cols-2 gap-2">
        <SelectField<Applicator>
          label="Laid on by"
          hint={`${Math.round(TRANSFER[job.by].te * 100)} % stays on, ${Math.round(TRANSFER[job.by].least * 100)}–${Math.round(TRANSFER[job.by].most * 100)} in the field`}
          value={job.by}
          options={(Object.keys(APPLICATOR_WORDS) as Applicator[]).map((k) => ({
            value: k,
            text: APPLICATOR_WORDS[k],
          }))}
          onChange={(by) => onChange({ by })}
        />
        <SelectField<WorkShape>
          label="Work"
          hint="a lattice loses as much again"
          value={job.shape}
          options={WORK_SHAPES.map((k) => ({ value: k, text: WORK_SHAPE_WORDS[k] }))}
          onChange={(shape) => onChange({ shape })}
        />
      </div>
      {job.mode === 'parts' && job.partIds.length > 0 ? (
        <p className="text-[14px] text-quiet">
          {units.volume(total.mixedMl)} with {MARGIN_PCT} % for cup and gun; {units.volume(total.leastMl)} to{' '}
          {units.volume(total.mostMl)} as the tool’s transfer varies (common practice).
          {total.without.length > 0
            ? ` Without ${total.without.join(', ')}: area not known, give it under Edit.`
            : ''}
        </p>
      ) : null}
    </section>
  );
}

interface ListProps {
  readonly group: JobGroup | null;
  readonly needs: readonly PartNeed[];
  readonly chosen: readonly string[];
  readonly onToggle: (partId: string) => void;
}

function PartList({ group, needs, chosen, onToggle }: ListProps) {
  const units = useUnits();
  if (!group)
    return <p className="text-quiet">No part in motion takes this next. Mix by volume, or from the tins.</p>;
  return (
    <ul aria-label="Parts that take it next" className="max-h-[300px] overflow-y-auto border-y border-line">
      {group.parts.map((c) => {
        const need = needs.find((n) => n.card.partId === c.partId)?.need;
        return (
          <li key={c.partId} data-row={c.partId} className="border-t border-line/60 first:border-t-0">
            <label className="grid min-h-(--row) cursor-pointer grid-cols-[20px_minmax(0,1fr)_64px_62px] items-center gap-2 hover:bg-ground">
              <input
                type="checkbox"
                checked={chosen.includes(c.partId)}
                onChange={() => onToggle(c.partId)}
              />
              <span className="truncate" title={`${c.name}, ${c.machineName}`}>
                {c.name}
              </span>
              <StateWord headline={c.headline} />
              <span className="figure text-right text-[14px]">
                {need?.ok ? units.volume(need.value.mixedMl) : '—'}
              </span>
            </label>
          </li>
        );
      })}
    </ul>
  );
}
