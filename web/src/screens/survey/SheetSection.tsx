import { useEffect, useState, type ReactNode } from 'react';
import { isAsked, SURVEY_GROUPS, type AskedField, type Survey, type SurveyGroup } from '@calvetta/core';
import { useDialogs } from '../../state/dialogs.ts';
import { usePrefs } from '../../state/prefs.ts';
import { FieldRow } from './FieldRow.tsx';
import { saidWords } from './said.ts';
import { GROUP_TITLES, shownAnswer } from './surveyWords.ts';

interface Props {
  readonly survey: Survey;
  readonly onAnswer: (patch: Partial<Survey>) => void;
}
interface SheetProps extends Props {
  /** An answer asked for elsewhere on the page: its level opens, and the hand is put on it. */
  readonly asked: AskedField | null;
  readonly onAsked: () => void;
}

/** The whole sheet as a cut through the part: from the air over it down through old paint and rust to the metal and its joints. */
export function SheetSection({ survey, asked, onAsked, onAnswer }: SheetProps) {
  const [chosen, setOpen] = useState<SurveyGroup | null>(null);
  const own = asked === null ? undefined : SURVEY_GROUPS.find((g) => g.fields.includes(asked))?.group;
  const open = own ?? chosen;
  useEffect(() => {
    if (asked === null) return;
    const row = document.querySelector<HTMLElement>(`[data-field="${asked}"]`);
    row?.scrollIntoView({ block: 'center' });
    row?.querySelector<HTMLElement>('select, input, button')?.focus();
  }, [asked]);
  return (
    <section aria-label="The whole sheet" className="border-y border-line">
      {SURVEY_GROUPS.map(({ group, fields }) => (
        <Level
          key={group}
          group={group}
          fields={fields.filter((f) => isAsked(f, survey))}
          survey={survey}
          isOpen={open === group}
          onOpen={() => {
            setOpen(open === group ? null : group);
            onAsked();
          }}
          onAnswer={onAnswer}
        />
      ))}
    </section>
  );
}

interface LevelProps extends Props {
  readonly group: SurveyGroup;
  readonly fields: readonly AskedField[];
  readonly isOpen: boolean;
  readonly onOpen: () => void;
}

/** One level of the cut: drawn, with what is known there in a line and what is open as a count. */
function Level({ group, fields, survey, isOpen, onOpen, onAnswer }: LevelProps) {
  const units = usePrefs((s) => s.units);
  const openCount = fields.filter((f) => shownAnswer(f, survey) === null).length;
  const usual = fields.filter((f) => (survey.usual as readonly string[]).includes(f)).length;
  const known = fields.filter(
    (f) => f !== 'kind' && f !== 'substrate' && survey[f] !== false && shownAnswer(f, survey) !== null,
  );
  const there = known.filter((f) => says(f, survey));
  // Where nothing is there, a few of the noes say so.
  const words = (there.length > 0 ? there : known.slice(0, 3)).map((f) => saidWords(f, survey, units));
  return (
    <div className="border-t border-line/60 first:border-t-0" data-level={group}>
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={onOpen}
        className="grid min-h-11 w-full grid-cols-[44px_minmax(0,1fr)_auto] items-stretch gap-2 text-left hover:bg-ground"
      >
        <LevelDrawing group={group} survey={survey} />
        <span className="min-w-0 self-center py-1">
          <b className="figure text-[15px] font-semibold">{GROUP_TITLES[group]}</b>
          <span className="block truncate text-[13px] text-quiet">
            {words.length === 0 ? 'nothing said yet' : words.join(' · ')}
          </span>
        </span>
        <span className="figure self-center text-right text-[13px] leading-tight text-quiet">
          {openCount > 0 ? <b className="block text-ink">{openCount} open</b> : null}
          {usual > 0 ? <span className="block text-warn">{usual} usual</span> : null}
        </span>
      </button>
      {isOpen ? (
        <div className="flex flex-col gap-2 border-l-4 border-line py-2 pl-2">
          {fields.map((f) => (
            <div key={f} data-field={f}>
              <FieldRow field={f} survey={survey} onAnswer={onAnswer} />
            </div>
          ))}
          {fields.includes('areaM2') ? <ByShapes survey={survey} onAnswer={onAnswer} /> : null}
        </div>
      ) : null}
    </div>
  );
}

/** Worth a word in the line: an answer that says something is there. */
const says = (f: AskedField, s: Survey): boolean => {
  const v = s[f];
  return (
    shownAnswer(f, s) !== null &&
    v !== 'no' &&
    v !== 'none' &&
    v !== false &&
    v !== null &&
    !(Array.isArray(v) && v.length === 0)
  );
};

function ByShapes({ survey, onAnswer }: Props) {
  const show = useDialogs((s) => s.show);
  return (
    <button
      type="button"
      className="self-start text-[14px] underline pointer-coarse:min-h-11"
      onClick={() =>
        show({ kind: 'area', survey, onUse: (areaM2) => onAnswer({ areaM2: Number(areaM2.toPrecision(3)) }) })
      }
    >
      work the area out by shapes
    </button>
  );
}

const PAINT = '#2f5a4c';
/** A slice of the part at this level, as wide as the drawing column and as tall as the row. */
function LevelDrawing({ group, survey: s }: { readonly group: SurveyGroup; readonly survey: Survey }) {
  return (
    <svg
      viewBox="0 0 44 44"
      preserveAspectRatio="none"
      aria-hidden="true"
      className="h-full min-h-11 w-11"
      fill="none"
    >
      {DRAWN[group](s)}
    </svg>
  );
}
const DRAWN: Readonly<Record<SurveyGroup, (s: Survey) => ReactNode>> = {
  life: (s) => (
    <>
      <path
        d="M6 12h8M20 8h8M32 14h8M10 22h8M26 24h8M4 34h8M20 36h8M34 32h6"
        stroke="var(--quiet)"
        strokeWidth={1.2}
      />
      {s.category === 'immersed' ? <rect width={44} height={44} fill="#7fa7c4" fillOpacity={0.45} /> : null}
    </>
  ),
  finish: () => (
    <rect x={1} y={4} width={42} height={36} stroke="var(--quiet)" strokeWidth={1.4} strokeDasharray="4 3" />
  ),
  coats: (s) =>
    s.coating === 'none' ? (
      <path d="M0 40H44" stroke="var(--line)" strokeWidth={1.4} />
    ) : s.coating === 'unknown' ? (
      <rect y={6} width={44} height={38} fill="url(#t-unknown)" />
    ) : (
      <>
        <rect y={6} width={44} height={38} fill={PAINT} />
        {s.coating === 'sound' ? null : (
          <path
            d={
              s.coating === 'partly'
                ? 'M12 6L16 44H24L20 6ZM34 6L36 28L40 6Z'
                : 'M2 6L6 44H18L14 6ZM20 6L24 44H34L30 6ZM36 6L38 30L42 6Z'
            }
            fill="#8a4a22"
          />
        )}
      </>
    ),
  face: (s) => (
    <>
      <rect width={44} height={44} fill="var(--metal)" />
      {s.rust === 'none' ? null : (
        <path
          d={
            s.rust === 'D' || s.pits === 'deep'
              ? 'M0 0H44V16L38 34L32 14L24 38L17 12L10 32L4 14L0 18Z'
              : 'M0 0H44V12L36 17L28 11L20 18L12 11L5 16L0 12Z'
          }
          fill={s.rust === 'unknown' ? 'url(#t-unknown)' : s.rust === 'A' ? '#454f5e' : '#8a4a22'}
        />
      )}
    </>
  ),
  metal: () => (
    <>
      <rect width={44} height={44} fill="var(--metal)" />
      <path
        d="M0 12L12 0M0 28L28 0M0 44L44 0M16 44L44 16M32 44L44 32"
        stroke="var(--ink)"
        strokeOpacity={0.22}
      />
    </>
  ),
  joints: () => (
    <>
      <rect width={44} height={44} fill="var(--metal)" />
      <rect x={15} width={14} height={44} fill="var(--panel)" />
      <path d="M15 8L29 13M15 17L29 22M15 26L29 31M15 35L29 40" stroke="var(--ink)" strokeOpacity={0.6} />
    </>
  ),
};
