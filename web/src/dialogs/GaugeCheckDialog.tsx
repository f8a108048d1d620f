import { useState } from 'react';
import {
  judgeCheck,
  judgeScale,
  USUAL_LIMITS,
  USUAL_SCALE,
  type GaugeKind,
  type StockBodies,
} from '@calvetta/core';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useStock } from '../record/useRecord.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';

interface Props {
  readonly gaugeId: string;
  readonly name: string;
  readonly of: GaugeKind;
  readonly onClose: () => void;
}
/** What is known and what was read of it, in the unit of the kind. */
interface Tried {
  readonly known: number;
  readonly read: number;
}
/** So many of the unit, or so many per cent of what is known, whichever is more. */
interface MayBe {
  readonly least: number;
  readonly pct: number;
}
interface Judged {
  readonly passed: boolean;
  readonly off: readonly { readonly off: number; readonly may: number }[];
}

interface Kind {
  readonly unit: string;
  readonly what: string;
  /** What it is tried with, as most sets have it. */
  readonly set: readonly string[];
  readonly usual: MayBe;
  readonly subtitle: string;
  readonly judge: (tried: readonly Tried[], may: MayBe) => Judged;
}
const KINDS: Readonly<Record<GaugeKind, Kind>> = {
  film: {
    unit: 'µm',
    what: 'Foil',
    // Bare plate and three foils; each thickness is as printed on its own foil.
    set: ['0', '50', '125', '250'],
    usual: { least: USUAL_LIMITS.tolUm, pct: USUAL_LIMITS.tolPct },
    subtitle: 'on its own foils, set as you will use it',
    judge: (tried, { least, pct }) => {
      const said = judgeCheck(foilsOf(tried), { tolUm: least, tolPct: pct });
      return { passed: said.passed, off: said.off.map((o) => ({ off: o.offUm, may: o.mayUm })) };
    },
  },
  scale: {
    unit: 'g',
    what: 'Mass',
    // Empty, and what lies between a cup and a tin; each mass is as marked on it.
    set: ['0', '100', '500', '2000'],
    usual: { least: USUAL_SCALE.tolG, pct: USUAL_SCALE.tolPct },
    subtitle: 'with known masses, on a level bench',
    judge: (tried, { least, pct }) => {
      const said = judgeScale(massesOf(tried), { tolG: least, tolPct: pct });
      return { passed: said.passed, off: said.off.map((o) => ({ off: o.offG, may: o.mayG })) };
    },
  },
};
const foilsOf = (tried: readonly Tried[]) => tried.map((t) => ({ foilUm: t.known, readUm: t.read }));
const massesOf = (tried: readonly Tried[]) => tried.map((t) => ({ massG: t.known, readG: t.read }));

const figure = (text: string): number | null => {
  const n = Number(text.replace(',', '.'));
  return text.trim() === '' || !Number.isFinite(n) ? null : n;
};

/** A gauge tried on foils, a scale with masses that are known. What it may be out by is its maker's. */
export function GaugeCheckDialog({ gaugeId, name, of, onClose }: Props) {
  const stock = useStock();
  const save = useSave();
  const kind = KINDS[of];
  const [rows, setRows] = useState(kind.set.map((known) => ({ known, read: '' })));
  const [tol, setTol] = useState({ least: String(kind.usual.least), pct: String(kind.usual.pct) });
  const set = (i: number, patch: object): void =>
    setRows(rows.map((r, k) => (k === i ? { ...r, ...patch } : r)));
  const tried = rows.flatMap((r): Tried[] => {
    const [known, read] = [figure(r.known), figure(r.read)];
    return known === null || read === null ? [] : [{ known, read }];
  });
  const may = { least: figure(tol.least) ?? 0, pct: figure(tol.pct) ?? 0 };
  const said = kind.judge(tried, may);
  const film = (): StockBodies['gauge-checked'] => ({
    gaugeId,
    foils: foilsOf(tried),
    tolUm: may.least,
    tolPct: may.pct,
  });
  const scale = (): StockBodies['scale-checked'] => ({
    gaugeId,
    masses: massesOf(tried),
    tolG: may.least,
    tolPct: may.pct,
  });
  const store = (): void =>
    save.run(
      () =>
        of === 'film'
          ? stock({ kind: 'gauge-checked', about: name, body: film() })
          : stock({ kind: 'scale-checked', about: name, body: scale() }),
      onClose,
    );
  return (
    <Panel title={`Check ${name}`} subtitle={kind.subtitle} onClose={onClose}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (tried.length > 0) store();
        }}
      >
        <Readings kind={kind} rows={rows} set={set} may={may} />
        <MayBeOut unit={kind.unit} tol={tol} onChange={setTol} />
        {tried.length > 0 ? (
          <p role="status" className={`border-l-4 pl-3 ${said.passed ? 'border-ink' : 'border-bad'}`}>
            {said.passed
              ? 'It passes.'
              : `It fails: whatever was ${of === 'film' ? 'read' : 'weighed'} with it since its last good check is in doubt.`}
          </p>
        ) : null}
        <FormTrouble words={save.trouble} />
        <Foot>
          <Button type="submit" look="main" disabled={tried.length === 0 || save.isBusy}>
            Store the check
          </Button>
        </Foot>
      </form>
    </Panel>
  );
}

interface ReadingsProps {
  readonly kind: Kind;
  readonly rows: readonly { readonly known: string; readonly read: string }[];
  readonly set: (i: number, patch: object) => void;
  readonly may: MayBe;
}
function Readings({ kind, rows, set, may }: ReadingsProps) {
  const { what, unit } = kind;
  return (
    <table className="w-full max-w-[420px] text-left">
      <thead className="figure text-[13px] text-quiet">
        <tr>
          <th className="font-normal">
            {what}, {unit}
          </th>
          <th className="font-normal">It reads, {unit}</th>
          <th className="font-normal">Out by</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r, i) => (
          // Rows have no names of their own, and none is taken out.
          <tr key={i}>
            <td className="pr-2">
              <input
                aria-label={`${what} ${i + 1}, ${unit}`}
                inputMode="decimal"
                className="w-24"
                value={r.known}
                onChange={(e) => set(i, { known: e.target.value })}
              />
            </td>
            <td className="pr-2">
              <input
                aria-label={`It reads ${what.toLowerCase()} ${i + 1} as, ${unit}`}
                inputMode="decimal"
                className="w-24"
                value={r.read}
                onChange={(e) => set(i, { read: e.target.value })}
              />
            </td>
            <OutBy kind={kind} known={figure(r.known)} read={figure(r.read)} may={may} />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface TolProps {
  readonly unit: string;
  readonly tol: { readonly least: string; readonly pct: string };
  readonly onChange: (tol: { readonly least: string; readonly pct: string }) => void;
}
function MayBeOut({ unit, tol, onChange }: TolProps) {
  return (
    <p className="flex flex-wrap items-center gap-2 text-[14px]">
      It may be out by
      <input
        aria-label={`It may be out by, ${unit}`}
        inputMode="decimal"
        className="w-16"
        value={tol.least}
        onChange={(e) => onChange({ ...tol, least: e.target.value })}
      />
      {unit} or
      <input
        aria-label="It may be out by, per cent"
        inputMode="decimal"
        className="w-16"
        value={tol.pct}
        onChange={(e) => onChange({ ...tol, pct: e.target.value })}
      />
      %, whichever is more: its maker’s sheet says.
    </p>
  );
}

interface OutByProps {
  readonly kind: Kind;
  readonly known: number | null;
  readonly read: number | null;
  readonly may: MayBe;
}
function OutBy({ kind, known, read, may }: OutByProps) {
  if (known === null || read === null) return <td />;
  const { passed, off } = kind.judge([{ known, read }], may);
  const one = off[0]!;
  return (
    <td className={passed ? 'text-quiet' : 'text-bad'}>
      {one.off > 0 ? '+' : ''}
      {one.off.toFixed(1)} of {one.may.toFixed(1)} {kind.unit}
    </td>
  );
}
