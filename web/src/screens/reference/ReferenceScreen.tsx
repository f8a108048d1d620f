import { useEffect, useMemo, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { familiesOf, RULES, type Rule } from '@calvetta/core';
import {
  BINDER_WORDS,
  RULE_WORDS,
  SEVERITY_WORDS,
  SOURCE_KIND_WORDS,
  TOPIC_WORDS,
  WORKINGS,
} from '@calvetta/contract/words';
import { Refused } from '../../api/client.ts';
import { problemsOf } from '../../record/refusal.ts';
import { useSend } from '../../record/useSend.ts';
import { sheetWrite } from '../../record/write.ts';
import { useSheets, useShop } from '../../api/queries.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { ActsTable } from './ActsTable.tsx';
import { Followers } from './Followers.tsx';
import { Primers } from './Primers.tsx';
import { PutProductAway } from './PutProductAway.tsx';
import { SheetPicture } from './SheetPicture.tsx';
import { Words } from './Words.tsx';
import { useDialogs } from '../../state/dialogs.ts';
import { Button } from '../../ui/Button.tsx';
import { Heading } from '../../ui/Heading.tsx';

const SECTIONS = [
  ['words', 'Words'],
  ['acts', 'What each act takes off'],
  ['primers', 'First coats'],
  ['followers', 'What goes on what'],
  ['rules', 'Rules'],
  ['families', 'Families'],
  ['formulas', 'Formulas'],
] as const;

/** A place to learn: words, acts, first coats, what goes on what, rules, families and formulas, each with an address of its own. */
export default function ReferenceScreen() {
  const { hash } = useLocation();
  const wanted = hash === '' ? null : decodeURIComponent(hash.slice(1));
  const sheets = useSheets();
  const stored = sheets.data?.sheets;
  const families = useMemo(() => [...familiesOf(stored ?? []).values()], [stored]);
  useEffect(() => {
    if (wanted === null) return;
    const isSection = SECTIONS.some(([id]) => id === wanted);
    document.getElementById(wanted)?.scrollIntoView({ block: isSection ? 'start' : 'center' });
  }, [wanted]);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-6 p-4 lg:grid-cols-[190px_minmax(0,1100px)]">
      <nav aria-label="On this page" className="lg:sticky lg:top-4 lg:self-start print:hidden">
        <Heading title={['Reference']}>Reference</Heading>
        <ul className="flex flex-wrap gap-x-4 text-[14px] lg:flex-col">
          {SECTIONS.map(([id, title]) => (
            <li key={id}>
              <Link
                className="inline-flex min-h-8 items-center underline pointer-coarse:min-h-11"
                to={`#${id}`}
              >
                {title}
              </Link>
            </li>
          ))}
        </ul>
        <Button className="mt-2" onClick={() => window.print()}>
          Print
        </Button>
      </nav>
      <div className="flex min-w-0 flex-col gap-8">
        <Words wanted={wanted} />
        <ActsTable />
        <Primers families={families} />
        <Followers families={families} />
        <Rules wanted={wanted} />
        <Families />
        <section id="formulas" aria-label="Formulas" className="scroll-mt-4">
          <h2 className="text-[20px]">Formulas</h2>
          <ul>
            {Object.entries(WORKINGS).map(([name, w]) => (
              <li key={name} id={`formula.${name}`} className="border-t border-line/60 py-1.5">
                {w.formula} <span className="text-[13px] text-quiet">{w.source}</span>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </div>
  );
}

/** Every judgement by its topic, with how it speaks and where it is from. */
function Rules({ wanted }: { readonly wanted: string | null }) {
  const [text, setText] = useState('');
  const sought = text.trim().toLowerCase();
  const rules = RULES.filter(
    (r) => sought === '' || `${r.id} ${RULE_WORDS[r.id]}`.toLowerCase().includes(sought),
  );
  const topics = [...new Set(RULES.map((r) => r.id.split('.')[0]!))];
  return (
    <section id="rules" aria-label="Rules" className="scroll-mt-4">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 className="text-[20px]">
          Rules{' '}
          <span className="text-[14px] font-normal text-quiet">
            {rules.length} of {RULES.length}
          </span>
        </h2>
        <label className="flex items-center gap-2 text-[14px] print:hidden">
          Find a rule
          <input value={text} onChange={(e) => setText(e.target.value)} />
        </label>
      </div>
      {topics.map((t) => {
        const own = rules.filter((r) => r.id.startsWith(`${t}.`));
        return own.length === 0 ? null : (
          <section key={t} className="mt-3">
            <h3 className="text-[16px]">{TOPIC_WORDS[t] ?? t}</h3>
            <ul>
              {own.map((r) => (
                <RuleRow key={r.id} rule={r} isWanted={wanted === r.id} />
              ))}
            </ul>
          </section>
        );
      })}
      {rules.length === 0 ? <p className="text-quiet">No rule has these words.</p> : null}
    </section>
  );
}

function RuleRow({ rule, isWanted }: { readonly rule: Rule; readonly isWanted: boolean }) {
  const tone = rule.severity === 'refuse' ? 'text-bad' : rule.severity === 'warn' ? 'text-warn' : 'text-good';
  return (
    <li
      id={rule.id}
      className={`grid gap-x-4 border-t border-line/60 py-1.5 md:grid-cols-[72px_minmax(0,1fr)_minmax(0,260px)] ${isWanted ? 'bg-panel outline-2 outline-mark' : ''}`}
    >
      <span className={`figure ${tone}`}>{SEVERITY_WORDS[rule.severity]}</span>
      <span>{RULE_WORDS[rule.id]}</span>
      <span className="text-[13px] text-quiet">
        {SOURCE_KIND_WORDS[rule.source.kind]}
        {rule.source.kind === 'common-practice' ? '' : `: ${rule.source.text}`} · {rule.id}
      </span>
    </li>
  );
}

function Families() {
  const sheets = useSheets();
  const show = useDialogs((s) => s.show);
  const units = useUnits();
  const means = useShop().data?.means;
  const stored = new Set((sheets.data?.sheets ?? []).map((s) => s.sheetId));
  const families = [...familiesOf(sheets.data?.sheets ?? []).values()];
  return (
    <section id="families" aria-label="Families" className="scroll-mt-4">
      <h2 className="text-[20px]">Families</h2>
      <p className="flex flex-wrap items-center gap-3">
        <Button onClick={() => show({ kind: 'own-sheet', familyId: null })}>Type a sheet from the tin</Button>
        <SheetIn />
      </p>
      <div className="overflow-x-auto">
        <table className="w-full text-left text-[14px]">
          <thead className="figure text-[13px] text-quiet">
            <tr>
              {['', 'binder', 'a coat', 'stands', 'in the sun', 'on bare', 'sheet', ' '].map((h) => (
                <th key={h} className="py-1 pr-3 font-medium">
                  {h || 'family'}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {families.map((f) => (
              <tr key={f.familyId} id={`family.${f.familyId}`} className="border-t border-line/60 align-top">
                <td className="py-1 pr-3">
                  <span
                    className="mr-2 inline-block size-3 border border-ink/40 align-middle"
                    style={{ background: f.sheet.bandColour }}
                  />
                  {f.sheet.name}
                </td>
                <td className="pr-3">{BINDER_WORDS[f.sheet.binder]}</td>
                <td className="figure pr-3 whitespace-nowrap">{units.film(f.sheet.dftUm)}</td>
                <td className="figure pr-3 whitespace-nowrap">{units.temp(f.traits.heatMaxC, 0)}</td>
                <td className="pr-3">{f.traits.holdsSun ? 'yes' : 'no'}</td>
                <td className="pr-3">{f.traits.bareMetals.join(', ') || '—'}</td>
                <td className="text-[13px] text-quiet">
                  {f.sheet.source}{' '}
                  {stored.has(f.sheet.sheetId) ? (
                    <a
                      className="underline"
                      href={`/api/sheets/${encodeURIComponent(f.sheet.sheetId)}`}
                      download
                    >
                      JSON
                    </a>
                  ) : null}{' '}
                  {f.sheet.pictureId === undefined ? null : (
                    <SheetPicture pictureId={f.sheet.pictureId} name={f.sheet.name} />
                  )}
                </td>
                <td className="pl-3">{means ? <PutProductAway family={f} means={means} /> : null}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** A sheet of the shop's own, as JSON: it takes the family's place. */
function SheetIn() {
  const send = useSend();
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File): Promise<void> => {
    setProblem(null);
    try {
      await send(sheetWrite(JSON.parse(await file.text()) as object), `${file.name} taken in`);
    } catch (e) {
      if (!(e instanceof Refused)) setProblem('This is no JSON file.');
      else {
        const problems = problemsOf(e);
        setProblem(problems.map((p) => `${p.field}: accepted: ${p.accepts}`).join(' · ') || e.body.remedy);
      }
    }
  };
  return (
    <label className="my-2 flex flex-wrap items-center gap-2 text-[14px]">
      or take one in as JSON
      <input
        type="file"
        accept=".json,application/json"
        onChange={(e) => void (e.target.files?.[0] && take(e.target.files[0]))}
      />
      {problem ? (
        <span role="alert" className="text-bad">
          {problem}
        </span>
      ) : null}
    </label>
  );
}
