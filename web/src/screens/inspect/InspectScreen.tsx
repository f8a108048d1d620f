import { Link } from 'react-router';
import type { InspectList, OpenFinding } from '@calvetta/core';
import { findingName, REMEDY_WORDS } from '@calvetta/contract/words';
import { useInspectList, useMachines } from '../../api/queries.ts';
import { FindingSwatch } from '../../drawings/FaultSwatch.tsx';
import { Heading } from '../../ui/Heading.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { moment } from '../../ui/time.ts';
import { FallingCurve } from './FallingCurve.tsx';

const at = (partId: string, findingId?: string): string =>
  `/parts/${encodeURIComponent(partId)}/inspect${findingId ? `?finding=${findingId}` : ''}`;

/** All that was found in the shop and is open: what holds a part first, then what is being mended, then what waits. */
export default function InspectScreen() {
  const list = useInspectList();
  if (!list.data) return <Waiting isPage error={list.error} what="findings" />;
  const { open, levelling, closed } = list.data;
  const holds = open.filter((o) => o.finding.holds);
  const mending = open.filter((o) => !o.finding.holds && o.finding.remedy);
  const waits = open.filter((o) => !o.finding.holds && !o.finding.remedy);
  return (
    <>
      <header className="border-b border-line bg-panel px-4 py-3">
        <Heading title={['Inspect']}>Inspect</Heading>
        <p className="text-quiet">
          {open.length === 0 ? 'Nothing is open' : `${open.length} open`}
          {closed > 0 ? `, ${closed} closed` : ''}. A fault goes on with its cause, or it comes again.
        </p>
      </header>
      <div className="grid gap-5 p-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <div className="flex flex-col gap-5">
          <Group title="Waits for a licensed person" list={list.data} rows={holds} />
          <Group title="Being mended" list={list.data} rows={mending} />
          <Group title="Found, and nothing done yet" list={list.data} rows={waits} />
          <Begin />
        </div>
        <div className="flex flex-col gap-4">
          <h2 className="text-[18px]">Levelling</h2>
          {levelling.length === 0 ? (
            <p className="text-quiet">
              Nothing is being levelled. Begin on a part: set the standard, log a cycle.
            </p>
          ) : null}
          {levelling.map(({ partId, partName, machineName, level }) => (
            <Link
              key={`${partId}${level.face}`}
              to={at(partId)}
              className="border border-line bg-panel p-3 hover:border-ink"
            >
              <span className="font-semibold">{partName}</span>
              <span className="text-quiet"> · {machineName}</span>
              {level.standard && level.cycles.length > 0 ? (
                <FallingCurve level={level} standard={level.standard} />
              ) : (
                <span className="block text-quiet">no cycle yet</span>
              )}
            </Link>
          ))}
        </div>
      </div>
    </>
  );
}

interface GroupProps {
  readonly title: string;
  readonly list: InspectList;
  readonly rows: readonly OpenFinding[];
}

function Group({ title, list, rows }: GroupProps) {
  if (rows.length === 0) return null;
  return (
    <section aria-label={title}>
      <h2 className="text-[18px]">{title}</h2>
      <ul>
        {rows.map(({ partId, partName, machineName, finding, foundMs }) => {
          return (
            <li key={finding.findingId} data-row={partId} className="border-t border-line">
              <Link
                to={at(partId, finding.findingId)}
                className="flex min-h-14 items-center gap-3 py-1 hover:bg-panel"
              >
                <FindingSwatch body={finding.fact.body} />
                <span className="min-w-0 flex-1">
                  <span className="text-[16px] font-semibold">{findingName(finding)}</span>
                  <span className="block truncate text-[14px] text-quiet">
                    {partName} · {machineName} · found {moment(foundMs, list.nowMs, list.zone)}
                  </span>
                </span>
                {finding.remedy ? (
                  <span className="max-w-[220px] text-right text-[14px]">
                    {REMEDY_WORDS[finding.remedy.body.remedy]}
                  </span>
                ) : null}
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Something is found on a part: which? */
function Begin() {
  const machines = useMachines().data?.machines ?? [];
  const withParts = machines
    .filter((m) => !m.isAway)
    .map((m) => ({ ...m, parts: m.assemblies.flatMap((a) => a.parts).filter((x) => !x.isAway) }))
    .filter((m) => m.parts.length > 0);
  if (withParts.length === 0)
    return <p className="text-quiet">No parts yet: make a machine and its parts first.</p>;
  return (
    <section aria-label="Found something?" className="flex flex-col gap-1">
      <h2 className="text-[18px]">Found something?</h2>
      <p className="text-quiet">Choose the part it is on.</p>
      {withParts.map((m) => (
        <details key={m.machineId} className="border-t border-line py-1">
          <summary className="min-h-8 cursor-pointer text-[15px]">
            {m.name} <span className="text-quiet">{m.parts.length} parts</span>
          </summary>
          <ul className="columns-2 gap-4 max-md:columns-1">
            {m.parts.map((p) => (
              <li key={p.partId}>
                <Link
                  className="inline-flex min-h-8 items-center underline underline-offset-2"
                  to={at(p.partId)}
                >
                  {p.name}
                </Link>
              </li>
            ))}
          </ul>
        </details>
      ))}
    </section>
  );
}
