import { useState } from 'react';
import {
  areaFromMassM2,
  CASTING_FACTOR,
  isCasting,
  MATERIALS,
  SHAPE_FIELDS,
  totalAreaM2,
  type Pieces,
  type Shape,
  type ShapeKind,
  type Survey,
} from '@calvetta/core';
import { SHAPE_FIELD_WORDS, SHAPE_WORDS } from '@calvetta/contract/words';
import { Button } from '../ui/Button.tsx';
import { SelectField } from '../forms/fields.tsx';
import { Field } from '../forms/Field.tsx';
import { Panel } from '../ui/Panel.tsx';
import { useUnits } from '../ui/useUnits.ts';
import { failureWords } from '../forms/failureWords.ts';

interface Props {
  readonly survey: Survey;
  readonly onUse: (areaM2: number) => void;
  readonly onClose: () => void;
}

interface Line {
  readonly shape: ShapeKind;
  readonly count: string;
  readonly figures: Readonly<Record<string, string>>;
}
const FIRST: Line = { shape: 'plate', count: '1', figures: { faces: '2' } };
const numberOf = (text: string | undefined): number =>
  text === undefined || text.trim() === '' ? NaN : Number(text.replace(',', '.'));

/** A line as a shape; figures not typed yet are not numbers, and are asked for by field. */
function piecesOf(line: Line): Pieces {
  const figures = Object.fromEntries(SHAPE_FIELDS[line.shape].map((f) => [f, numberOf(line.figures[f])]));
  return { of: { shape: line.shape, ...figures } as unknown as Shape, count: numberOf(line.count) };
}

/** The area worked out by shapes added up, or from mass and wall. */
export function AreaDialog({ survey, onUse, onClose }: Props) {
  const units = useUnits();
  const [lines, setLines] = useState<readonly Line[]>([FIRST]);
  const casting = isCasting(survey.substrate);
  const [factor, setFactor] = useState(casting ? CASTING_FACTOR.usual : 1);
  const total = totalAreaM2(lines.map(piecesOf), factor);
  const byMass =
    survey.massKg !== null && survey.thicknessMm !== null
      ? areaFromMassM2(survey.massKg, survey.thicknessMm, MATERIALS[survey.substrate].densityKgM3)
      : null;
  const use = (areaM2: number): void => {
    onUse(areaM2);
    onClose();
  };
  const change = (i: number, patch: Partial<Line>): void =>
    setLines(lines.map((l, k) => (k === i ? { ...l, ...patch } : l)));
  return (
    <Panel title="Work the area out" subtitle="Shapes added up; outside measures in mm" onClose={onClose}>
      <div className="flex flex-col gap-3">
        {lines.map((l, i) => (
          <ShapeLine
            key={i}
            line={l}
            onChange={(patch) => change(i, patch)}
            onRemove={lines.length > 1 ? () => setLines(lines.filter((_, k) => k !== i)) : null}
          />
        ))}
        <div className="flex flex-wrap items-end gap-3">
          <Button onClick={() => setLines([...lines, FIRST])}>Another shape</Button>
          {casting ? (
            <SelectField
              label="Casting factor"
              hint="1.1 plain to 1.6 ribbed; common practice"
              value={String(factor)}
              options={['1', '1.1', '1.2', '1.3', '1.4', '1.5', '1.6'].map((f) => ({ value: f, text: f }))}
              onChange={(f) => setFactor(Number(f))}
            />
          ) : null}
        </div>
        <p role="status" className="figure text-[22px]">
          {total.ok ? (
            units.area(total.value)
          ) : (
            <span className="text-[15px] text-quiet">
              {SHAPE_FIELD_WORDS[total.error.field] ?? total.error.field}:{' '}
              {total.error.got === null ? 'not given yet' : failureWords(total.error)}
            </span>
          )}
        </p>
        <div className="flex flex-wrap gap-2">
          <Button look="main" disabled={!total.ok} onClick={() => total.ok && use(total.value)}>
            Use this area
          </Button>
          {byMass?.ok ? (
            <Button onClick={() => use(byMass.value)}>
              By mass and wall: {units.area(byMass.value)} (2m/ρt, a thin shell)
            </Button>
          ) : null}
        </div>
      </div>
    </Panel>
  );
}

interface LineProps {
  readonly line: Line;
  readonly onChange: (patch: Partial<Line>) => void;
  readonly onRemove: (() => void) | null;
}

function ShapeLine({ line, onChange, onRemove }: LineProps) {
  const figure = (f: string) => (
    <Field key={f} label={SHAPE_FIELD_WORDS[f] ?? f}>
      <input
        inputMode="decimal"
        className="w-20"
        value={line.figures[f] ?? ''}
        onChange={(e) => onChange({ figures: { ...line.figures, [f]: e.target.value } })}
      />
    </Field>
  );
  return (
    <div className="flex flex-wrap items-end gap-2 border-b border-line pb-2">
      <Field label="Pieces">
        <input
          inputMode="numeric"
          className="w-14"
          value={line.count}
          onChange={(e) => onChange({ count: e.target.value })}
        />
      </Field>
      <SelectField<ShapeKind>
        label="Shape"
        value={line.shape}
        options={(Object.keys(SHAPE_WORDS) as ShapeKind[]).map((k) => ({ value: k, text: SHAPE_WORDS[k] }))}
        onChange={(shape) => onChange({ shape, figures: FIRST.figures })}
      />
      {SHAPE_FIELDS[line.shape].map(figure)}
      {onRemove ? (
        <Button look="quiet" onClick={onRemove}>
          Remove
        </Button>
      ) : null}
    </div>
  );
}
