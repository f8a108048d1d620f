import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { wholeSurvey, type Survey } from '@calvetta/core';

/** Answers given on this device that are not on record yet. */
export interface SurveyDraft {
  readonly survey: Survey;
  /** The survey on record when they were begun, as text: it tells whether somebody stored another since. */
  readonly begunFrom: string;
}
/** Where a part lives and what is wanted of it: mostly the same all over a machine. */
export type Life = Partial<Pick<Survey, (typeof LIFE_FIELDS)[number]>>;
export const LIFE_FIELDS = ['category', 'sun', 'durability', 'finish'] as const;

interface Drafts {
  /** What was last said of a part of each machine. */
  readonly lives: Readonly<Record<string, Life>>;
  rememberLife: (machineId: string, life: Life) => void;
  readonly surveys: Readonly<Record<string, SurveyDraft>>;
  put: (partId: string, draft: SurveyDraft) => void;
  drop: (partId: string) => void;
}

export const useDrafts = create<Drafts>()(
  persist(
    (set) => ({
      lives: {},
      rememberLife: (machineId, life) =>
        set((s) => ({ lives: { ...s.lives, [machineId]: { ...s.lives[machineId], ...life } } })),
      surveys: {},
      put: (partId, draft) => set((s) => ({ surveys: { ...s.surveys, [partId]: draft } })),
      drop: (partId) =>
        set((s) => ({
          surveys: Object.fromEntries(Object.entries(s.surveys).filter(([id]) => id !== partId)),
        })),
    }),
    {
      name: 'calvetta-drafts',
      // A draft of an earlier version lacks what was not asked then.
      merge: (kept, now) => ({
        ...now,
        lives: (kept as Partial<Drafts> | undefined)?.lives ?? {},
        surveys: Object.fromEntries(
          Object.entries((kept as Partial<Drafts> | undefined)?.surveys ?? {}).map(([id, d]) => [
            id,
            { ...d, survey: wholeSurvey(d.survey) },
          ]),
        ),
      }),
    },
  ),
);
