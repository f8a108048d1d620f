import { createHash } from 'node:crypto';
import { PassThrough } from 'node:stream';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import sharp from 'sharp';
import { writeBackup } from '../backup/writeBackup.ts';
import { AS_OF_MS, factInput, startTestApp, type TestApp } from '../test/testApp.ts';
import { isWhole } from '../test/inCi.ts';

const FRAME = 'quarry.main-frame-left';
let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
});
afterAll(() => app.close());

const send = async (file: Buffer, name = 'p.jpg', type = 'image/jpeg') => {
  const form = new FormData();
  form.set('file', new Blob([new Uint8Array(file)], { type }), name);
  const res = await fetch(`${app.base}/api/pictures`, {
    method: 'POST',
    body: form,
    headers: { 'x-calvetta': '1' },
  });
  return { status: res.status, body: await res.json() };
};
const get = async (path: string) => {
  const res = await fetch(`${app.base}${path}`);
  return {
    status: res.status,
    type: res.headers.get('content-type'),
    bytes: Buffer.from(await res.arrayBuffer()),
  };
};
/** Red above, green below; noise, so that a cut is a cut. */
const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#20a040' } }).composite([
    {
      input: { create: { width, height: Math.round(height / 2), channels: 3, background: '#c02020' } },
      top: 0,
      left: 0,
    },
  ]);

describe('a picture that is sent', () => {
  it('is turned upright, kept without its position, named by its hash, and stored once', async () => {
    // Orientation 6: the camera was held upright, its sensor lies. The date is kept, the place is not.
    const exif = {
      IFD0: { Make: 'none' },
      IFD2: { DateTimeOriginal: '2026:03:01 14:30:00' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '52/1 30/1 0/1' },
    };
    const file = await picture(400, 200)
      .jpeg()
      .withMetadata({ orientation: 6 })
      .withExifMerge(exif)
      .toBuffer();
    expect(file.includes('Exif')).toBe(true);
    const first = await send(file);
    expect(first).toMatchObject({ status: 201, body: { widthPx: 200, heightPx: 400 } });
    const pictureId = createHash('sha256').update(file).digest('hex');
    expect(first.body.pictureId).toBe(pictureId);
    // The works lies in London, where it was winter.
    expect(first.body.takenAtMs).toBe(Date.parse('2026-03-01T14:30:00Z'));
    expect((await send(file)).status).toBe(200);
    const kept = await get(`/api/pictures/${pictureId}`);
    expect([kept.status, kept.type, kept.bytes.includes('Exif'), kept.bytes.includes('GPS')]).toEqual([
      200,
      'image/jpeg',
      false,
      false,
    ]);
    // Orientation 6 turns it a quarter to the right: what was above is now on the right.
    const { data, info } = await sharp(kept.bytes).raw().toBuffer({ resolveWithObject: true });
    const at = (x: number, y: number): readonly number[] => [
      ...data.subarray((y * info.width + x) * 3, (y * info.width + x) * 3 + 3),
    ];
    expect(at(170, 200)[0]).toBeGreaterThan(150);
    expect(at(30, 200)[1]).toBeGreaterThan(120);
    expect((await get(`/api/pictures/${pictureId}/thumb`)).bytes.length).toBeLessThan(kept.bytes.length + 1);
    expect((await get('/api/pictures/nothing')).status).toBe(404);
  });

  it('is named by an entry of a part, and by one of this shop only where it is there', async () => {
    const { pictureId } = (await send(await picture(60, 40).png().toBuffer(), 'p.png', 'image/png')).body;
    const fact = factInput('pictured', FRAME, 0, { pictureId, stage: 'before' });
    expect((await app.post('/api/facts', { facts: [fact] })).status).toBe(201);
    const none = factInput('pictured', FRAME, 0, { pictureId: 'f'.repeat(64) });
    expect(await app.post('/api/facts', { facts: [none] })).toMatchObject({
      status: 422,
      body: { code: 'unknown-reference', details: { fields: ['body.pictureId'] } },
    });
  });

  it('however large is made no larger than a screen, and fits a row of the backup', async () => {
    const noise = await sharp({
      create: {
        width: 3000,
        // Noise is slow to pack: a strip of it, and in `.ci/run` a sheet.
        height: isWhole ? 2100 : 500,
        channels: 3,
        background: '#808080',
        noise: { type: 'gaussian', mean: 128, sigma: 60 },
      },
    })
      .jpeg({ quality: 95 })
      .toBuffer();
    const r = await send(noise);
    expect(r.status).toBe(201);
    expect(Math.max(r.body.widthPx, r.body.heightPx)).toBeLessThanOrEqual(2560);
    expect((await get(`/api/pictures/${r.body.pictureId}`)).bytes.length).toBeLessThan(1_600_000);
  }, 60_000);

  it('is in the backup', async () => {
    const out = new PassThrough();
    out.resume();
    const end = await writeBackup(app.db, out, AS_OF_MS);
    expect(end.rows['picture']).toBe(3);
  });
});

describe('what is no picture is refused with what would be taken', () => {
  it.each([
    ['a text that calls itself a picture', () => Buffer.from('not a picture at all'), 'picture-type'],
    [
      'a drawing with a script in it',
      () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>'),
      'picture-type',
    ],
    [
      'a HEIC under another name',
      () => Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(64)]),
      'picture-heic',
    ],
  ])('%s', async (_, file, code) => {
    expect(await send(file())).toMatchObject({
      status: 400,
      body: { code: 'invalid-input', details: { problems: [{ field: 'file', code }] } },
    });
  });
  it('one that is cut off', async () => {
    const whole = await picture(800, 600).jpeg().toBuffer();
    expect(await send(whole.subarray(0, Math.round(whole.length / 2)))).toMatchObject({
      status: 400,
      body: { details: { problems: [{ code: 'picture-broken' }] } },
    });
  });
  it('one of more than 25 MB, and a form without one', async () => {
    expect((await send(Buffer.alloc(26 * 1024 * 1024, 1))).status).toBe(413);
    const res = await fetch(`${app.base}/api/pictures`, {
      method: 'POST',
      body: new FormData(),
      headers: { 'x-calvetta': '1' },
    });
    expect(res.status).toBe(400);
    expect(await app.post('/api/pictures', {})).toMatchObject({ status: 415 });
  }, 30_000);
  it('a picture of another page is not taken', async () => {
    const form = new FormData();
    form.set('file', new Blob([new Uint8Array(await picture(10, 10).jpeg().toBuffer())]), 'p.jpg');
    const res = await fetch(`${app.base}/api/pictures`, {
      method: 'POST',
      body: form,
      headers: { origin: 'http://elsewhere.example' },
    });
    expect(res.status).toBe(403);
  });
});
