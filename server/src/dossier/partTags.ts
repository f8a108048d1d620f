import PDFDocument from 'pdfkit';
import type { PartDetail } from '@calvetta/core';
import { SUBSTRATE_WORDS } from '@calvetta/contract/words';
import { Fonts } from './fonts.ts';
import { drawQr } from './qr.ts';

/** Points: three by eight on A4, as sheets of labels are sold. */
const [COLUMNS, ROWS] = [3, 8];
const [PAGE_W, PAGE_H] = [595.28, 841.89];
const [WIDE, HIGH] = [PAGE_W / COLUMNS, (PAGE_H - 36) / ROWS];
const PAD = 9;

/** Labels of parts: a code that opens the part's page, its name in letters that are read at arm's length, and what it belongs to. */
export function partTags(parts: readonly PartDetail[], origin: string): PDFKit.PDFDocument {
  const fonts = new Fonts();
  const doc = new PDFDocument({
    size: 'A4',
    margin: 0,
    lang: 'en',
    info: { Title: 'Part tags', Creator: 'Calvetta' },
  });
  for (const { name, file } of fonts.all()) doc.registerFont(name, file);
  parts.forEach(({ card, colourGroup }, i) => {
    const at = i % (COLUMNS * ROWS);
    if (i > 0 && at === 0) doc.addPage();
    const x = (at % COLUMNS) * WIDE;
    const y = 18 + Math.floor(at / COLUMNS) * HIGH;
    const code = HIGH - 2 * PAD;
    doc
      .rect(x + 2, y + 2, WIDE - 4, HIGH - 4)
      .lineWidth(0.4)
      .dash(2, { space: 2 })
      .strokeColor('#999999')
      .stroke();
    doc.undash();
    drawQr(doc, `${origin}/parts/${encodeURIComponent(card.partId)}`, x + PAD, y + PAD, code);
    const [left, room] = [x + PAD + code + 6, WIDE - code - 2 * PAD - 8];
    const line = (text: string, size: number, top: number, high: number, style: 'bold' | 'text'): void => {
      doc.fillColor('#000000').fontSize(size);
      fonts.runs(text, style).forEach((run, k, all) => {
        doc.font(run.font);
        const more = { width: room, height: high, ellipsis: true, continued: k < all.length - 1 };
        if (k === 0) doc.text(run.text, left, top, more);
        else doc.text(run.text, more);
      });
    };
    line(card.name, 11.5, y + PAD, 33, 'bold');
    line(card.assemblyName, 8, y + PAD + 34, 10, 'text');
    line(card.machineName, 8, y + PAD + 45, 10, 'text');
    line(
      [SUBSTRATE_WORDS[card.substrate], colourGroup].filter((w) => w !== null).join(', '),
      8,
      y + PAD + 56,
      20,
      'text',
    );
  });
  doc.end();
  return doc;
}
