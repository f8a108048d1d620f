import { describe, expect, it } from '@jest/globals';
import { violations } from './accessible.ts';
import { open, storyStage } from './browser.ts';
import { itInCi } from '../server/src/test/inCi.ts';

const stage = storyStage();

interface Stored {
  readonly kind: string;
  readonly isStanding: boolean;
  readonly body: Readonly<Record<string, unknown>>;
}
const factsOf = async (partId: string, kind: string): Promise<readonly Stored[]> =>
  ((await stage.app.call('GET', `/api/parts/${partId}`)).body.facts as readonly Stored[]).filter(
    (f) => f.kind === kind && f.isStanding,
  );

describe('the film, read where it is', () => {
  it('is touched on the drawing, typed, and shown there as thin, right or thick', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/quarry.dome-cover/inspect');
    await page.getByRole('button', { name: 'read the film here' }).click();
    const dialog = page.getByRole('dialog');
    const face = dialog.getByRole('img', { name: /Where the gauge stands/ });
    await dialog.getByLabel('Specified film').fill('100');
    await dialog.getByLabel('Profile under it').selectOption('none');
    for (const [x, y, um] of [
      [0.3, 0.4, '130'],
      [0.5, 0.4, '95'],
      [0.7, 0.6, '60'],
    ] as const) {
      const box = (await face.boundingBox())!;
      await face.click({ position: { x: x * box.width, y: y * box.height } });
      await dialog.getByText('The next reading is of here.').waitFor();
      await dialog.getByLabel('Reading, µm').fill(um);
      await dialog.getByRole('button', { name: 'Take it' }).click();
      await dialog.getByText('Touch where the gauge stands').waitFor();
    }
    expect(await violations(page)).toEqual([]);
    await dialog.getByRole('button', { name: 'Store 3 readings' }).click();
    await dialog.waitFor({ state: 'detached' });
    await page.getByText('1 too thin').waitFor();
    await page.getByText('1 under what was specified').waitFor();
    const [read] = await factsOf('quarry.dome-cover', 'film-read');
    expect(read!.body['readingsUm']).toEqual([130, 95, 60]);
    const spots = read!.body['spots'] as { x: number; y: number }[];
    expect(spots.map((s) => Math.round(10 * s.x))).toEqual([3, 5, 7]);
  });
});

describe('what mends a fault', () => {
  it('is shown as the changed route: what comes off, what goes on again, hands and when, before anything is stored', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/quarry.cab-roof/inspect');
    await page.getByRole('radio', { name: 'fault of the film' }).click();
    await page.getByRole('button', { name: 'comes off the metal' }).click();
    const mends = page.locator('section[aria-label="What mends it"]');
    await mends.getByText('Comes off:').waitFor();
    await mends.getByText(/prime anew with/).waitFor();
    await mends.getByText(/of hands; can be handled/).waitFor();
    expect(await violations(page)).toEqual([]);
    expect(await factsOf('quarry.cab-roof', 'remedy-set')).toEqual([]);
  });
});

describe('levelling', () => {
  itInCi('says stop at a thin edge though it still shows', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/quarry.dome-cover/inspect');
    const panel = page.locator('section[aria-label="Levelling"]');
    await panel.getByRole('radio', { name: 'as built' }).click();
    await panel.getByLabel('Still showing, %').fill('42');
    await panel.getByLabel('Laid on, mm').fill('0.1');
    await panel.getByRole('radio', { name: 'sanded thin' }).click();
    await panel.getByRole('button', { name: 'Log the cycle' }).click();
    await panel.getByText('An edge is sanded thin').waitFor();
    await panel.getByText('About 5 more').waitFor();
    const [cycle] = await factsOf('quarry.dome-cover', 'levelled');
    expect(cycle!.body).toMatchObject({ showingPct: 42, buildMm: 0.1, isEdgeThin: true });
  });
});

describe('a cut through the film', () => {
  itInCi('says which layer lets go, and is kept', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/van.cross-member-front/inspect');
    const cards = page.locator('section[aria-label="Short tests"]');
    await cards.getByRole('radio', { name: 'cut to see what lets go' }).click();
    await cards.getByRole('button', { name: 'it lets go between two coats' }).click();
    await cards.getByText('cut to see what lets go: bad, it lets go between two coats').waitFor();
  });
});

describe('before and after', () => {
  itInCi('are laid one over the other by two points, and stay so for everyone', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/quarry.saddle-tank/inspect');
    await page.getByRole('button', { name: /lay one over the other/ }).click();
    const ground = page.locator('figure .cursor-crosshair').last();
    const touch = async (x: number, y: number): Promise<void> => {
      const box = (await ground.boundingBox())!;
      await ground.click({ position: { x: x * box.width, y: y * box.height } });
    };
    await page.getByText('Before: touch two points').waitFor();
    await touch(0.2, 0.4);
    await touch(0.8, 0.4);
    await page.getByText('After: touch the same two points').waitFor();
    await touch(0.25, 0.4);
    await touch(0.75, 0.4);
    await page.getByRole('button', { name: /laid by two points/ }).waitFor();
    // The later one is shown larger by 0.6 : 0.5.
    const matrix = await page
      .getByAltText('after', { exact: true })
      .evaluate((e) => new DOMMatrix(getComputedStyle(e).transform).a);
    expect(matrix).toBeCloseTo(0.6 / 0.5, 1);
    const kept = (await factsOf('quarry.saddle-tank', 'pictured')).filter(
      (f) => f.body['alignBy'] !== undefined,
    );
    expect(kept.map((f) => f.body['stage']).sort()).toEqual(['after', 'before']);
  });
});
