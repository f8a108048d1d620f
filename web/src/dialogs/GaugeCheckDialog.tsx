import { useState } from 'react';
import { judgeCheck, USUAL_LIMITS, type GaugeLimits } from '@calvetta/core';
import { Foot } from '../forms/Foot.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useStock } from '../record/useRecord.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';

interface Props {
  readonly gaugeId: string;
  readonly name: string;
  readonly onClose: () => void;
}
/** Bare plate and three foils, as most sets have them; each thickness is as printed on its own foil. */
const SET = ['0', '50', '125', '250'];

const figure = (text: string): number | null => {
  const n = Number(text.replace(',', '.'));
  return text.trim() === '' || !Number.isFinite(n) ? null : n;
};

/** A gauge tried on foils of known thickness. What it may be out by is its maker's. */
export function GaugeCheckDialog({ gaugeId, name, onClose }: Props) {
  const stock = useStock();
  const save = useSave();
  const [rows, setRows] = useState(SET.map((foil) => ({ foil, read: '' })));
  const [tol, setTol] = useState({ um: String(USUAL_LIMITS.tolUm), pct: String(USUAL_LIMITS.tolPct) });
  const set = (i: number, patch: object): void =>
    setRows(rows.map((r, k) => (k === i ? { ...r, ...patch } : r)));
  const foils = rows.flatMap((r) => {
    const [foilUm, readUm] = [figure(r.foil), figure(r.read)];
    return foilUm === null || readUm === null ? [] : [{ foilUm, readUm }];
  });
  const limits = { tolUm: figure(tol.um) ?? 0, tolPct: figure(tol.pct) ?? 0 };
  const said = judgeCheck(foils, limits);
  const store = (): void =>
    save.run(
      () => stock({ kind: 'gauge-checked', about: name, body: { gaugeId, foils, ...limits } }),
      onClose,
    );
  return (
    <Panel title={`Check ${name}`} subtitle="on its own foils, set as you will use it" onClose={onClose}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (foils.length > 0) store();
        }}
      >
        <Foils rows={rows} set={set} limits={limits} />
        <MayBeOut tol={tol} onChange={setTol} />
        {foils.length > 0 ? (
          <p role="status" className={`border-l-4 pl-3 ${said.passed ? 'border-ink' : 'border-bad'}`}>
            {said.passed
              ? 'It passes.'
              : 'It fails: whatever was read with it since its last good check is in doubt.'}
          </p>
        ) : null}
        <FormTrouble words={save.trouble} />
        <Foot>
          <Button type="submit" look="main" disabled={foils.length === 0 || save.isBusy}>
            Store the check
          </Button>
        </Foot>
      </form>
    </Panel>
  );
}

interface FoilsProps {
  readonly rows: readonly { readonly foil: string; readonly read: string }[];
  readonly set: (i: number, patch: object) => void;
  readonly limits: GaugeLimits;
}
function Foils({ rows, set, limits }: FoilsProps) {
  return (
    <table className="w-full max-w-[420px] text-left">
      <thead className="figure text-[13px] text-quiet">
        <tr>
          <th className="font-normal">Foil, µm</th>
          <th className="font-normal">It reads, µm</th>
          <th className="font-normal">Out by</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r, i) => (
          // Rows have no names of their own, and none is taken out.
          <tr key={i}>
            <td className="pr-2">
              <input
                aria-label={`Foil ${i + 1}, µm`}
                inputMode="decimal"
                className="w-24"
                value={r.foil}
                onChange={(e) => set(i, { foil: e.target.value })}
              />
            </td>
            <td className="pr-2">
              <input
                aria-label={`It reads foil ${i + 1} as, µm`}
                inputMode="decimal"
                className="w-24"
                value={r.read}
                onChange={(e) => set(i, { read: e.target.value })}
              />
            </td>
            <OutBy foil={figure(r.foil)} read={figure(r.read)} limits={limits} />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface TolProps {
  readonly tol: { readonly um: string; readonly pct: string };
  readonly onChange: (tol: { readonly um: string; readonly pct: string }) => void;
}
function MayBeOut({ tol, onChange }: TolProps) {
  return (
    <p className="flex flex-wrap items-center gap-2 text-[14px]">
      It may be out by
      <input
        aria-label="It may be out by, µm"
        inputMode="decimal"
        className="w-16"
        value={tol.um}
        onChange={(e) => onChange({ ...tol, um: e.target.value })}
      />
      µm or
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

function OutBy({
  foil,
  read,
  limits,
}: {
  readonly foil: number | null;
  readonly read: number | null;
  readonly limits: GaugeLimits;
}) {
  if (foil === null || read === null) return <td />;
  const { passed, off } = judgeCheck([{ foilUm: foil, readUm: read }], limits);
  const { offUm, mayUm } = off[0]!;
  return (
    <td className={passed ? 'text-quiet' : 'text-bad'}>
      {offUm > 0 ? '+' : ''}
      {offUm.toFixed(1)} of {mayUm.toFixed(1)} µm
    </td>
  );
}
