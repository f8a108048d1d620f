/** Draws the demo’s pictures, so that no photograph of anybody’s is in it: `npx tsx --conditions=@calvetta/source demo/pictures.ts`. */
import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { seededRandom } from '@calvetta/core';

const FOLDER = join(import.meta.dirname, 'scenario', 'pictures');
const [W, H] = [1200, 800];

/** What a picture is named by: the hash of its file. */
export const demoPicture = (name: 'tank-before' | 'tank-after'): string =>
  createHash('sha256')
    .update(readFileSync(join(FOLDER, `${name}.jpg`)))
    .digest('hex');

/** The side of a saddle tank with its rivets, old green with rust in it, or grey in surfacer. */
function tank(paint: string, isRusty: boolean): string {
  const random = seededRandom(44);
  const rivets = [110, 690].flatMap((y) => Array.from({ length: 22 }, (_, i) => ({ x: 60 + i * 51, y })));
  const blots = Array.from({ length: 26 }, () => {
    const [x, y, r] = [80 + random() * 1040, 150 + random() * 520, 10 + random() * 34];
    const points = Array.from({ length: 14 }, (_, k) => {
      const a = (k * Math.PI) / 7;
      const far = r * (0.7 + random() * 0.6);
      return `${(x + far * Math.cos(a)).toFixed(0)},${(y + far * Math.sin(a)).toFixed(0)}`;
    });
    return `<polygon points="${points.join(' ')}" fill="${['#8a4a22', '#7a3c1c', '#a05c2e'][Math.floor(random() * 3)]}"/>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${W}" height="${H}">
    <defs><linearGradient id="l" x1="0" y1="0" x2="0" y2="1">
      <stop offset="0" stop-color="#fff" stop-opacity=".14"/><stop offset="1" stop-color="#000" stop-opacity=".16"/></linearGradient></defs>
    <rect width="${W}" height="${H}" fill="#cfcabd"/>
    <rect x="30" y="80" width="1140" height="640" rx="40" fill="${paint}"/>
    ${isRusty ? blots.join('') : ''}
    ${rivets.map(({ x, y }) => `<circle cx="${x}" cy="${y}" r="8" fill="${paint}" stroke="#000" stroke-opacity=".35" stroke-width="3"/>`).join('')}
    <rect x="30" y="80" width="1140" height="640" rx="40" fill="url(#l)"/></svg>`;
}

async function draw(name: string, svg: string): Promise<void> {
  const grain = await sharp({
    create: {
      width: W,
      height: H,
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 7 },
    },
  })
    .png()
    .toBuffer();
  const file = await sharp(Buffer.from(svg))
    .composite([{ input: grain, blend: 'soft-light' }])
    .jpeg({ quality: 72 })
    .toBuffer();
  mkdirSync(FOLDER, { recursive: true });
  writeFileSync(join(FOLDER, `${name}.jpg`), file);
}

if (process.argv[1]?.endsWith('pictures.ts')) {
  await draw('tank-before', tank('#3e5c4e', true));
  await draw('tank-after', tank('#8d998f', false));
}
