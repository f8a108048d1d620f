import { useState } from 'react';
import { Link } from 'react-router';
import { CARE_JOBS, type CareLine, type CareView, type LifeBand } from '@calvetta/core';
import { CARE_WORDS } from '@calvetta/contract/words';
import { useCare } from '../../api/queries.ts';
import { YearWheel, type WheelMark } from '../../drawings/YearWheel.tsx';
import { Heading } from '../../ui/Heading.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { CareRow } from './CareRow.tsx';
import { TouchUps } from './TouchUps.tsx';
import { Reminders } from './Reminders.tsx';

const DAY_MS = 86_400_000;
const idOf = (l: CareLine): string => `${l.partId} ${l.job}`;
/** A wheel is one year: what falls due later is on the list alone. */
const YEAR_MS = 365 * DAY_MS;

/** What finished parts are to be looked after by: the year as a wheel, what is due now, decisions that come back. */
export default function AftercareScreen() {
  const care = useCare();
  if (!care.data) return <Waiting isPage error={care.error} what="care" />;
  return <Of view={care.data} />;
}

function Of({ view }: { readonly view: CareView }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const due = view.lines.filter((l) => l.status === 'due');
  const soon = view.lines.filter((l) => l.status === 'soon');
  const later = view.lines.filter((l) => l.status === 'later');
  const picked = view.lines.find((l) => idOf(l) === chosen) ?? null;
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-x-5 border-b border-line bg-panel px-4 py-3">
        <Heading title={['Aftercare']}>Aftercare</Heading>
        <p className="text-quiet">
          {due.length === 0 ? 'Nothing is due' : `${due.length} due`}
          {soon.length > 0 ? `, ${soon.length} within a month` : ''}.
        </p>
        <a className="link-alone" href="/api/aftercare.ics">
          as a calendar
        </a>
      </header>
      <div className="grid gap-5 p-4 lg:grid-cols-[minmax(320px,440px)_minmax(0,1fr)]">
        <div className="flex flex-col gap-3">
          <YearWheel
            nowMs={view.nowMs}
            marks={marksOf(view)}
            chosenId={chosen}
            onChoose={(id) => setChosen(id === chosen ? null : id)}
          />
          <p className="text-[13px] text-quiet">
            Rings from the rim: {CARE_JOBS.map((j) => CARE_WORDS[j].name).join(', ')}. Shaded: the wet half of
            the year.
          </p>
          <Wet view={view} />
        </div>
        <div className="flex min-w-0 flex-col gap-5">
          {picked ? <Group title="Chosen on the wheel" rows={[picked]} view={view} isOpen /> : null}
          {view.lines.length === 0 ? (
            <p className="border border-line bg-panel p-4 text-quiet">
              Nothing is finished yet. When the last coat of a part has cured its care stands here.
            </p>
          ) : null}
          <Group title="Due" rows={due} view={view} isOpen />
          <Group title="Within a month" rows={soon} view={view} isOpen />
          <Reminders view={view} />
          <Group title="Later" rows={later} view={view} />
          <TouchUps view={view} />
          <Lives lives={view.lives} nowMs={view.nowMs} />
        </div>
      </div>
    </>
  );
}

/** Marks that would lie on one another are moved apart along their ring, by days. */
const APART_MS = 5 * DAY_MS;
function apart(marks: readonly WheelMark[]): WheelMark[] {
  const last = new Map<number, number>();
  return marks.map((m) => {
    const atMs = Math.max(m.atMs, (last.get(m.ring) ?? -Infinity) + APART_MS);
    last.set(m.ring, atMs);
    return { ...m, atMs };
  });
}

function marksOf(view: CareView): WheelMark[] {
  const marks = view.lines.flatMap((l): WheelMark[] =>
    l.dueMs - view.nowMs > YEAR_MS
      ? []
      : [
          {
            id: idOf(l),
            atMs: Math.max(l.dueMs, view.nowMs),
            isDue: l.status === 'due',
            ring: CARE_JOBS.indexOf(l.job),
            words: `${l.partName}: ${CARE_WORDS[l.job].name}`,
          },
        ],
  );
  // What is due lies on top of what comes round again.
  return apart(marks).sort((a, b) => Number(a.isDue) - Number(b.isDue));
}

interface GroupProps {
  readonly title: string;
  readonly rows: readonly CareLine[];
  readonly view: CareView;
  readonly isOpen?: boolean;
}
function Group({ title, rows, view, isOpen = false }: GroupProps) {
  if (rows.length === 0) return null;
  const list = (
    <ul>
      {rows.map((l) => (
        <CareRow key={idOf(l)} line={l} nowMs={view.nowMs} zone={view.zone} />
      ))}
    </ul>
  );
  return isOpen ? (
    <section aria-label={title}>
      <h2 className="text-[18px]">{title}</h2>
      {list}
    </section>
  ) : (
    <details>
      <summary className="figure min-h-9 cursor-pointer text-[18px]">
        {title} <span className="text-[14px] text-quiet">{rows.length}</span>
      </summary>
      {list}
    </details>
  );
}

function Wet({ view }: { readonly view: CareView }) {
  if (view.wet.length === 0)
    return (
      <p className="text-[13px] text-quiet">
        How wet your places are is not known yet: it takes a month of readings. Until then the usual intervals
        hold.
      </p>
    );
  return (
    <ul className="text-[14px]" aria-label="How wet it is">
      {view.wet.map((w) => (
        <li key={w.placeName}>
          {w.placeName}: wet some {Math.round(w.hours / 10) * 10} hours a year
          {w.factor < 1
            ? `, so care falls due after ${Math.round(100 * w.factor)} % of the usual time`
            : ', no wetter than usual'}
        </li>
      ))}
    </ul>
  );
}

/** How long the films are meant to last, and how far they are: a band, never a promise. */
function Lives({ lives, nowMs }: { readonly lives: readonly LifeBand[]; readonly nowMs: number }) {
  if (lives.length === 0) return null;
  const years = (l: LifeBand): number => (nowMs - l.sinceMs) / (365.25 * DAY_MS);
  return (
    <details>
      <summary className="figure min-h-9 cursor-pointer text-[18px]">
        How long it is meant to last <span className="text-[14px] text-quiet">{lives.length}</span>
      </summary>
      <p className="text-[13px] text-quiet">
        Years to the first major maintenance by the durability the survey asked for (ISO 12944-1, quoted from
        memory): a design aim, no promise and no guarantee.
      </p>
      <ul>
        {lives.map((l) => (
          <li
            key={l.partId}
            className="grid grid-cols-[minmax(0,1fr)_minmax(120px,240px)_auto] items-center gap-3 border-t border-line/60 py-1 text-[14px]"
          >
            <Link className="underline underline-offset-2" to={`/parts/${encodeURIComponent(l.partId)}`}>
              {l.partName}
            </Link>
            <Band from={l.fromYears} to={l.toYears} now={years(l)} />
            <span className="figure text-quiet">
              {years(l).toFixed(1)} of{' '}
              {l.toYears === null ? `over ${l.fromYears}` : `${l.fromYears}–${l.toYears}`} years
              {l.rust === null
                ? ''
                : `; by ${l.rust.looks} looks ${l.rust.toPct} % rust after ${l.rust.years.toFixed(0)} years (${l.rust.fromYears.toFixed(0)} to ${l.rust.toYears.toFixed(0)})`}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
const LONGEST = 30;
function Band({
  from,
  to,
  now,
}: {
  readonly from: number;
  readonly to: number | null;
  readonly now: number;
}) {
  const x = (y: number): number => (100 * Math.min(y, LONGEST)) / LONGEST;
  return (
    <svg viewBox="0 0 100 10" preserveAspectRatio="none" className="block h-[12px] w-full" aria-hidden="true">
      <path d="M0 9.500h100" stroke="var(--line)" />
      <rect
        x={x(from)}
        width={x(to ?? LONGEST) - x(from)}
        y={2}
        height={6}
        fill="var(--s-closing)"
        opacity={0.6}
      />
      <rect width={Math.max(0.8, x(now))} height={10} fill="var(--chosen)" />
    </svg>
  );
}
