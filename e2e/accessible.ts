import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { AxeResults, RunOptions } from 'axe-core';
import type { Page } from 'playwright-core';
import { go, open, type Stage } from './browser.ts';
import { isWhole } from '../server/src/test/inCi.ts';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
const LEVELS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** Waits until nothing fades and the page stood still for a tenth of a second: half-way between two colours nothing has contrast. */
const settled = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    const ends = document
      .getAnimations()
      .filter((a) => Number.isFinite(Number(a.effect?.getComputedTiming().endTime ?? Infinity)));
    await Promise.allSettled(ends.map((a) => a.finished));
    await new Promise<void>((done) => {
      // A clock that runs never stands still.
      setTimeout(done, 3000);
      let still = setTimeout(done, 100);
      const seen = new MutationObserver(() => {
        clearTimeout(still);
        still = setTimeout(done, 100);
      });
      seen.observe(document, { subtree: true, childList: true, characterData: true, attributes: true });
    });
  });

/**
 * Runs in the page: takes out of sight, or brings back, rows that hold nothing but what two rows before them hold, made the same but for
 * what it says: those stand for all.
 */
function alikeRows(isSeen: boolean): void {
  for (const row of document.querySelectorAll<HTMLElement>('[data-alike]')) {
    row.style.removeProperty('display');
    delete row.dataset['alike'];
  }
  if (isSeen) return;
  const markOf = (e: Element): string => {
    const says = e.childElementCount === 0 && e.textContent.trim() !== '';
    // The colour of what has no words is nobody's to read.
    const counts =
      e.textContent.trim() === '' ? /^(role|type|disabled)$/ : /^(class|style|role|type|disabled)$/;
    const marks = [...e.attributes].map((a) => (counts.test(a.name) ? `${a.name}=${a.value}` : a.name));
    return `${e.tagName} ${marks.join()} ${says}`;
  };
  const kinds = new Map<string, number>();
  const kindOf = (e: Element): number => {
    const within = e instanceof SVGElement ? [] : [...e.children].map(kindOf);
    const made = `${markOf(e)} ${within.join()}`;
    if (!kinds.has(made)) kinds.set(made, kinds.size);
    return kinds.get(made)!;
  };
  for (const list of document.querySelectorAll('main ul, main ol, main tbody')) {
    const seen = new Map<number | string, number>();
    for (const row of list.children) {
      const holds = [markOf(row), ...[...row.children].map(kindOf)];
      if (holds.some((k) => (seen.get(k) ?? 0) < 2)) {
        for (const k of holds) seen.set(k, (seen.get(k) ?? 0) + 1);
      } else if (row instanceof HTMLElement && row.style.display === '') {
        row.style.setProperty('display', 'none', 'important');
        row.dataset['alike'] = '';
      }
    }
  }
}

/**
 * WCAG 2.2 A and AA by axe-core (general-purpose open-source checker): each violation with where it is. Asks it for what is broken
 * only: naming every place where all is well takes it three times as long. The page has no frames.
 */
export async function violations(page: Page, rules?: readonly string[]): Promise<string[]> {
  await settled(page);
  // As the debugger, for the page lets no script in but its own.
  if (await page.evaluate(() => !('axe' in globalThis))) await page.evaluate(AXE);
  const options: RunOptions = {
    runOnly: rules ? { type: 'rule', values: [...rules] } : { type: 'tag', values: LEVELS },
    // Of 2.2, and asleep in axe until it is woken: what is touched is 24 px either way, or has room about it (2.5.8).
    ...(rules ? {} : { rules: { 'target-size': { enabled: true } } }),
    resultTypes: ['violations'],
  };
  await page.evaluate(alikeRows, false);
  const broken = await page.evaluate(async (o) => {
    const { axe } = globalThis as unknown as {
      axe: { run(on: Document, o: RunOptions): Promise<AxeResults> };
    };
    const { violations: all } = await axe.run(document, o);
    // Work on a plan is drawn to the scale of time, which 2.5.8 excepts; by keys each is reached as well.
    const isDrawn = (at: string): boolean =>
      document.querySelector(at)?.matches('[data-plan-block]') ?? false;
    return all.map((v) => ({
      ...v,
      nodes: v.nodes.filter((n) => v.id !== 'target-size' || !isDrawn(String(n.target[0]))),
    }));
  }, options);
  await page.evaluate(alikeRows, true);
  return broken
    .filter((v) => v.nodes.length > 0)
    .map(
      (v) =>
        `${v.id}: ${v.nodes
          .slice(0, 3)
          .map((n) => n.target.join(' '))
          .join(' | ')}`,
    );
}

/**
 * Presses the keys and says what they went to that lay wholly under something else (WCAG 2.2, 2.4.11 Focus Not Obscured): what, and
 * under what. Looked at in the middle and near three corners.
 */
export async function obscured(page: Page, keys: readonly string[]): Promise<string[]> {
  const found = new Set<string>();
  for (const key of keys) {
    await page.keyboard.press(key);
    const under = await page.evaluate(() => {
      const e = document.activeElement;
      const box = e?.getBoundingClientRect();
      if (!e || !box || e === document.body || box.width === 0) return null;
      const points = [
        [box.left + box.width / 2, box.top + box.height / 2],
        [box.left + 4, box.top + 4],
        [box.right - 4, box.bottom - 4],
        [box.left + 4, box.bottom - 4],
      ] as const;
      const over = points.map(([x, y]) => document.elementFromPoint(x, y));
      if (over.some((t) => t && (e.contains(t) || t.contains(e) || t.closest('label')?.contains(e))))
        return null;
      return `${e.getAttribute('aria-label') ?? e.textContent} under ${over[0]?.tagName ?? 'the edge'}`;
    });
    if (under !== null) found.add(under);
  }
  return [...found];
}

// The rows of the Bench are alike: one machine's stand for all.
export const SCREENS = [
  '/?machine=van',
  '/air/leanto',
  '/machines',
  '/parts/pump.cylinder-block',
  '/reference',
  '/parts/van.leaf-springs/route',
  '/mix',
  '/shelf',
  '/shelf/labels',
  '/plan',
];
/**
 * What breaks which rule on the page as it stands, by day; and by night, where names and structure are the same, in contrast: that in
 * `.ci/run`.
 */
export async function brokenHere(page: Page): Promise<{ day: string[]; night: string[] }> {
  const theme = (to: string): Promise<unknown> =>
    page.evaluate((t) => (document.documentElement.dataset['theme'] = t), to);
  const day = await violations(page);
  if (!isWhole) return { day, night: [] };
  await theme('dark');
  const night = await violations(page, ['color-contrast']);
  await theme('light');
  return { day, night };
}

/** Every screen, the coat dialog and Why?: what breaks which rule, by where. */
export async function brokenRules(stage: Stage): Promise<Record<string, object>> {
  const page = await stage.desk();
  await open(stage, page, '/settings');
  // How a hand sets what is set below by its mark.
  for (const [words, mark] of [
    ['night and booth', 'dark'],
    ['day', 'light'],
  ] as const) {
    await page.getByRole('radio', { name: words }).click();
    await page.locator(`:root[data-theme="${mark}"]`).waitFor();
  }
  const found: Record<string, { day: string[]; night: string[] }> = { '/settings': await brokenHere(page) };
  for (const path of SCREENS) {
    await go(page, path);
    found[path] = await brokenHere(page);
  }
  await go(page, '/parts/quarry.main-frame-left');
  for (const name of ['Coat now', 'Why?']) {
    await page.getByRole('button', { name }).click();
    await page.getByRole('dialog').locator('button:enabled').first().waitFor();
    found[name] = await brokenHere(page);
    await page.keyboard.press('Escape');
  }
  return Object.fromEntries(Object.entries(found).filter(([, b]) => b.day.length + b.night.length > 0));
}
