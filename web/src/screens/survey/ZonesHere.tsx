import { useState } from 'react';
import { FLUIDS, ZONE_KINDS, type Fluid, type Survey, type Zone, type ZoneKind } from '@calvetta/core';
import { ANSWER_WORDS, ZONE_WORDS } from '@calvetta/contract/words';
import { Button } from '../../ui/Button.tsx';
import { AnyOf } from '../../ui/Toggle.tsx';
import { newId } from '../../ui/newId.ts';
import { Figure } from './FieldRow.tsx';

interface Props {
  readonly survey: Survey;
  readonly onAnswer: (patch: Partial<Survey>) => void;
}

/** Zones that live otherwise than the outside: a hot manifold beside its block, a tank's inside, a sliding face. */
export function ZonesHere({ survey, onAnswer }: Props) {
  const { zones } = survey;
  const put = (next: readonly Zone[]): void => onAnswer({ zones: next });
  const change = (id: string, over: Partial<Zone>): void =>
    put(zones.map((z) => (z.zoneId === id ? { ...z, ...over } : z)));
  return (
    <details className="border-t border-line pt-2" open={zones.length > 0}>
      <summary className="figure cursor-pointer text-[15px] font-semibold">
        Zones of its own <span className="text-[13px] font-normal text-quiet">{zones.length || 'none'}</span>
      </summary>
      <div className="mt-2 flex flex-col gap-3">
        {zones.map((z) => (
          <ZoneRow
            key={z.zoneId}
            zone={z}
            onChange={(over) => change(z.zoneId, over)}
            onRemove={() => put(zones.filter((x) => x.zoneId !== z.zoneId))}
          />
        ))}
        <AddZone
          taken={zones.map((z) => z.name)}
          onAdd={(name) =>
            put([
              ...zones,
              {
                zoneId: newId().slice(0, 8),
                name,
                kind: 'outside',
                heatC: survey.heatC,
                fluids: [],
                overrides: {},
              },
            ])
          }
        />
      </div>
    </details>
  );
}

function AddZone({
  taken,
  onAdd,
}: {
  readonly taken: readonly string[];
  readonly onAdd: (name: string) => void;
}) {
  const [name, setName] = useState('');
  const isTaken = taken.includes(name.trim());
  return (
    <div className="flex items-end gap-2">
      <label className="flex min-w-0 flex-1 flex-col text-[14px]">
        Name of a new zone
        <input
          className="min-h-8! py-0!"
          placeholder="manifold, tank inside"
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
      </label>
      <Button
        disabled={name.trim() === '' || isTaken}
        onClick={() => {
          onAdd(name.trim());
          setName('');
        }}
      >
        Add
      </Button>
    </div>
  );
}

interface RowProps {
  readonly zone: Zone;
  readonly onChange: (over: Partial<Zone>) => void;
  readonly onRemove: () => void;
}

function ZoneRow({ zone, onChange, onRemove }: RowProps) {
  const area = zone.overrides.areaM2 ?? null;
  return (
    <fieldset className="flex flex-col gap-1 border-l-2 border-line pl-2 text-[14px]">
      <legend className="flex w-full items-center justify-between">
        <b className="font-semibold">{zone.name}</b>
        <button type="button" className="underline pointer-coarse:min-h-11" onClick={onRemove}>
          take out
        </button>
      </legend>
      <label className="grid grid-cols-[minmax(0,1fr)_150px] items-center gap-2">
        What it is
        <select
          aria-label={`What ${zone.name} is`}
          className="min-h-8! py-0!"
          value={zone.kind}
          onChange={(e) => onChange({ kind: e.target.value as ZoneKind })}
        >
          {ZONE_KINDS.map((k) => (
            <option key={k} value={k}>
              {ZONE_WORDS[k]}
            </option>
          ))}
        </select>
      </label>
      <div className="grid grid-cols-[minmax(0,1fr)_150px] items-center gap-2">
        <span aria-hidden="true">Hottest</span>
        <Figure
          field="heatC"
          label={`Hottest of ${zone.name}`}
          value={zone.heatC}
          onChange={(heatC) => onChange({ heatC })}
        />
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_150px] items-center gap-2">
        <span aria-hidden="true">Area</span>
        <Figure
          field="areaM2"
          label={`Area of ${zone.name}`}
          value={area}
          onChange={(areaM2) => onChange({ overrides: { ...zone.overrides, areaM2 } })}
        />
      </div>
      {zone.kind === 'inside' ? (
        <AnyOf<Fluid>
          label={`What ${zone.name} holds`}
          size="small"
          options={FLUIDS.map((f) => ({ value: f, text: ANSWER_WORDS[f] ?? f }))}
          value={zone.fluids}
          onChange={(fluids) => onChange({ fluids })}
        />
      ) : null}
    </fieldset>
  );
}
