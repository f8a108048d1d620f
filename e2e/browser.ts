import { afterAll, afterEach, beforeAll } from '@jest/globals';
import { chromium, type Browser, type BrowserContext, type Page } from 'playwright-core';
import { AS_OF_MS, startTestApp, type TestApp } from '../server/src/test/testApp.ts';

/** A Thursday evening in the shop, the scenario's own moment. */
export const STORY_MS = AS_OF_MS;

/** Runs in the page before anything else: its clock is the server's. */
function moveClock(byMs: number): void {
  const Real = Date;
  class Moved extends Real {
    constructor(...given: readonly never[]) {
      // A moment given is that moment; only "now" is moved.
      if (given.length === 0) super(Real.now() + byMs);
      else super(...(given as unknown as [number]));
    }
    static override now(): number {
      return Real.now() + byMs;
    }
  }
  globalThis.Date = Moved as DateConstructor;
}

/** Runs in the page before anything else: the device knows who holds it, as after its first entry. */
function heldBy(personId: string): void {
  localStorage['calvetta-prefs'] ??= JSON.stringify({ state: { personId }, version: 0 });
}

let started: Promise<Browser> | null = null;
let standing = 0;
const LEFT_MS = 60_000;
/** One browser for all the stories of this process: pages of one story see nothing of another's. It goes when no stage stands any more. */
function theBrowser(): Promise<Browser> {
  standing++;
  started ??= chromium.launch({
    // Debian's Chromium without its windows: half the work of the whole one.
    executablePath: '/usr/bin/chromium-headless-shell',
    args: [
      '--no-sandbox',
      // A page of a story lives for seconds: the slowest compiler costs it more than it brings.
      '--js-flags=--no-turbofan',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  return started;
}
function leaveBrowser(): void {
  standing--;
  setTimeout(() => {
    if (standing > 0 || started === null) return;
    void started.then((b) => b.close());
    started = null;
  }, LEFT_MS);
}

/** The whole thing, running: database, server with the demo, Debian's Chromium. */
export interface Stage {
  readonly app: TestApp;
  readonly browser: Browser;
  /** The stage's own time. */
  nowMs(): number;
  desk(): Promise<Page>;
  phone(): Promise<Page>;
  /** Closes every page: a browser keeps few lines open to one server. */
  closePages(): Promise<void>;
  close(): Promise<void>;
}

/** With the demo in it; `empty`: with nothing, and held by nobody. */
export async function startStage({ empty = false } = {}): Promise<Stage> {
  const holder = empty ? null : 'ines';
  const webFolder = process.env['WEB_FOLDER'];
  if (webFolder === undefined) throw new Error('WEB_FOLDER is not set: run the browser tests with bin/test');
  // Every story begins at the same moment, server and page alike: what the air does then is known.
  const runsAheadMs = STORY_MS - Date.now();
  const app = await startTestApp({ shop: empty ? null : 'demo', webFolder, runsAheadMs });
  const browser = await theBrowser();
  const contexts: BrowserContext[] = [];
  const page = async (width: number, height: number, isPhone: boolean): Promise<Page> => {
    const context = await browser.newContext({
      viewport: { width, height },
      hasTouch: isPhone,
      isMobile: isPhone,
    });
    context.setDefaultTimeout(20_000);
    await context.addInitScript(moveClock, runsAheadMs);
    if (holder !== null) await context.addInitScript(heldBy, holder);
    contexts.push(context);
    return context.newPage();
  };
  return {
    app,
    browser,
    nowMs: () => Date.now() + runsAheadMs,
    desk: () => page(1280, 800, false),
    phone: () => page(390, 844, true),
    async closePages() {
      for (const c of contexts.splice(0)) await c.close();
    },
    async close() {
      for (const c of contexts) await c.close();
      leaveBrowser();
      await app.close();
    },
  };
}

/**
 * The stage of a file's stories, with the demo in it: set up before the first, its pages closed after each, taken down after the last.
 * `prepare` brings what the stories find there besides.
 */
export function storyStage(prepare: (stage: Stage) => Promise<unknown> = () => Promise.resolve()): Stage {
  let held: Stage | null = null;
  const standing = (): Stage => {
    if (held === null) throw new Error('a stage stands only while a story runs');
    return held;
  };
  beforeAll(async () => {
    held = await startStage();
    await prepare(held);
  }, 120_000);
  afterEach(() => held?.closePages());
  afterAll(() => held?.close());
  return {
    get app() {
      return standing().app;
    },
    get browser() {
      return standing().browser;
    },
    nowMs: () => standing().nowMs(),
    desk: () => standing().desk(),
    phone: () => standing().phone(),
    closePages: () => standing().closePages(),
    close: () => standing().close(),
  };
}

/** Goes to another screen of the page that is open, as a touch on a link does. */
export async function go(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    for (const h of document.querySelectorAll('h1')) h.dataset['left'] = '';
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: null }));
  }, path);
  // A screen's heading comes with what the server said.
  await page.locator('h1:not([data-left])').first().waitFor();
}

/** Opens a path and waits until it shows what the server said; from another screen of the page, as a touch on a link does. */
export async function open(stage: Stage, page: Page, path: string): Promise<void> {
  const at = page.url();
  // What is not the page (an answer of the API) leads nowhere, and another question at the same address is asked anew.
  const stands = at.startsWith(stage.app.base) && !at.startsWith(`${stage.app.base}/api/`);
  if (stands && new URL(at).pathname !== path.split('?')[0]) return go(page, path);
  await page.goto(stage.app.base + path);
  await page.locator('h1').first().waitFor();
}

/** A part's row on the Bench. */
export const rowOf = (page: Page, partId: string) => page.locator(`[data-part="${partId}"]`);

/** Polls until the row shows one of the states. */
export async function stateBecomes(page: Page, partId: string, states: readonly string[]): Promise<string> {
  // Half a minute: a machine that runs every other test meanwhile is slow, and slow is not wrong.
  for (let i = 0; i < 300; i++) {
    const state = await rowOf(page, partId)
      .getAttribute('data-state')
      .catch(() => null);
    if (state !== null && states.includes(state)) return state;
    await page.waitForTimeout(100);
  }
  throw new Error(`${partId} never became ${states.join(' or ')}`);
}
