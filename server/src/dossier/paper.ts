import PDFDocument from 'pdfkit';
import { drawQr } from './qr.ts';
import { Fonts, type Style } from './fonts.ts';

/** A4, points. */
const MARGIN = 48;
const FOOT = 40;
const SIZES = { title: 22, heading: 15, sub: 11.5, body: 9.5, small: 8 } as const;
export type Size = keyof typeof SIZES;
const QUIET = '#555555';
const LINE = '#bbbbbb';

export interface Column<R> {
  readonly head: string;
  /** Share of the width. */
  readonly share: number;
  readonly cell: (row: R) => string;
  readonly isRight?: boolean;
}

/** A document that is written from top to bottom: it breaks pages, repeats heads of tables, and numbers its pages when it is done. */
export class Paper {
  readonly doc: PDFKit.PDFDocument;
  private readonly fonts: Fonts;
  private readonly title: string;
  constructor(title: string, fonts: Fonts) {
    this.title = title;
    this.fonts = fonts;
    this.doc = new PDFDocument({
      size: 'A4',
      margin: MARGIN,
      bufferPages: true,
      lang: 'en',
      pdfVersion: '1.7',
      displayTitle: true,
      info: { Title: title, Creator: 'Calvetta' },
    });
    for (const { name, file } of fonts.all()) this.doc.registerFont(name, file);
  }

  get width(): number {
    return this.doc.page.width - 2 * MARGIN;
  }
  private get bottom(): number {
    return this.doc.page.height - MARGIN - FOOT / 2;
  }

  /** A new page unless so much is still free on this one. */
  need(points: number): void {
    if (this.doc.y + points > this.bottom) this.doc.addPage();
  }
  newPage(): void {
    this.doc.addPage();
  }
  space(points: number): void {
    this.doc.y += points;
  }

  /** Words with their fonts, wrapped into a width; comes back with the height they take. */
  write(
    text: string,
    o: {
      readonly style?: Style;
      readonly size?: Size;
      readonly x?: number;
      readonly y?: number;
      readonly width?: number;
      readonly colour?: string;
      readonly isRight?: boolean;
    } = {},
  ): void {
    const { style = 'text', size = 'body', colour = '#000000', isRight = false } = o;
    const x = o.x ?? MARGIN;
    const width = o.width ?? this.width;
    const runs = this.fonts.runs(text === '' ? ' ' : text, style);
    this.doc.fontSize(SIZES[size]).fillColor(colour);
    runs.forEach((run, i) => {
      this.doc.font(run.font);
      const more = {
        width,
        continued: i < runs.length - 1,
        align: isRight ? ('right' as const) : ('left' as const),
      };
      if (i === 0) this.doc.text(run.text, x, o.y ?? this.doc.y, more);
      else this.doc.text(run.text, more);
    });
  }
  private heightOf(text: string, style: Style, size: Size, width: number): number {
    return this.doc
      .font(this.fonts.first(style))
      .fontSize(SIZES[size])
      .heightOfString(text === '' ? ' ' : text, { width });
  }

  heading(text: string, size: 'title' | 'heading' | 'sub' = 'heading'): void {
    // A heading stays with the first rows of what it heads.
    this.need(size === 'sub' ? 84 : 110);
    this.space(size === 'title' ? 0 : size === 'heading' ? 14 : 9);
    this.doc.outline.addItem(text);
    this.write(text, { style: size === 'sub' ? 'strong' : 'bold', size });
    this.space(2);
  }
  line(
    text: string,
    o: { readonly isQuiet?: boolean; readonly size?: Size; readonly style?: Style } = {},
  ): void {
    this.need(this.heightOf(text, o.style ?? 'text', o.size ?? 'body', this.width));
    this.write(text, {
      size: o.size ?? 'body',
      style: o.style ?? 'text',
      ...(o.isQuiet ? { colour: QUIET } : {}),
    });
  }
  /** Names and values side by side, two pairs on a line. */
  facts(pairs: readonly (readonly [name: string, value: string])[]): void {
    const known = pairs.filter(([, value]) => value !== '');
    const half = this.width / 2;
    for (let i = 0; i < known.length; i += 2) {
      const two = known.slice(i, i + 2);
      const high = Math.max(...two.map(([, v]) => this.heightOf(v, 'text', 'body', half - 106)));
      this.need(high + 3);
      const y = this.doc.y;
      two.forEach(([name, value], k) => {
        const x = MARGIN + k * half;
        this.write(name, { size: 'small', style: 'figure', colour: QUIET, x, y: y + 1, width: 94 });
        this.write(value, { x: x + 98, y, width: half - 106 });
      });
      this.doc.y = y + high + 3;
    }
    this.doc.x = MARGIN;
  }

  /** A table whose head stands again on every page. Rows are not torn apart. */
  table<R>(columns: readonly Column<R>[], rows: readonly R[]): void {
    const total = columns.reduce((s, c) => s + c.share, 0);
    const gap = 6;
    const widths = columns.map((c) => (this.width * c.share) / total - gap);
    const row = (cells: readonly string[], style: Style, colour: string): void => {
      const high = Math.max(...cells.map((c, i) => this.heightOf(c, style, 'small', widths[i]!))) + 4;
      if (this.doc.y + high > this.bottom) {
        this.doc.addPage();
        if (style !== 'strong') head();
      }
      const y = this.doc.y;
      let x = MARGIN;
      cells.forEach((c, i) => {
        this.write(c, {
          style,
          size: 'small',
          colour,
          x,
          y: y + 2,
          width: widths[i]!,
          isRight: columns[i]!.isRight ?? false,
        });
        x += widths[i]! + gap;
      });
      this.doc.y = y + high;
      this.doc
        .moveTo(MARGIN, this.doc.y)
        .lineTo(MARGIN + this.width, this.doc.y)
        .lineWidth(0.4)
        .strokeColor(LINE)
        .stroke();
      this.doc.x = MARGIN;
    };
    const head = (): void =>
      row(
        columns.map((c) => c.head),
        'strong',
        QUIET,
      );
    this.need(40);
    head();
    for (const r of rows)
      row(
        columns.map((c) => c.cell(r)),
        'figure',
        '#000000',
      );
    this.space(4);
  }

  /** The film in cut, to scale: metal below, each coat as thick as it is. Patterns as well as greys tell them apart in black and white. */
  section(layers: readonly { readonly name: string; readonly um: number; readonly colour: string }[]): void {
    if (layers.length === 0) return;
    const total = layers.reduce((s, l) => s + l.um, 0);
    const high = Math.max(54, layers.length * 13);
    const metal = 14;
    this.need(high + metal + 12);
    const top = this.doc.y + 4;
    const x = MARGIN;
    const wide = 150;
    let y = top + high;
    const labels: { readonly at: number; readonly text: string }[] = [];
    for (const l of layers) {
      const h = Math.max(4, (high * l.um) / total);
      y -= h;
      this.doc.rect(x, y, wide, h).fillAndStroke(l.colour, '#000000');
      labels.push({ at: y + h / 2, text: `${l.name}, ${l.um.toFixed(0)} µm` });
    }
    this.doc.rect(x, top + high, wide, metal).fillAndStroke('#dddddd', '#000000');
    for (let k = 0; k < wide; k += 7)
      this.doc
        .moveTo(x + k, top + high + metal)
        .lineTo(Math.min(x + wide, x + k + metal), top + high)
        .lineWidth(0.4)
        .strokeColor('#666666')
        .stroke();
    let last = Infinity;
    for (const { at, text } of labels) {
      const ly = Math.min(at - 5, last - 11);
      this.doc
        .moveTo(x + wide, at)
        .lineTo(x + wide + 10, ly + 5)
        .lineWidth(0.4)
        .strokeColor('#666666')
        .stroke();
      this.write(text, {
        style: 'figure',
        size: 'small',
        x: x + wide + 14,
        y: ly,
        width: this.width - wide - 14,
      });
      last = ly;
    }
    this.doc.x = MARGIN;
    this.doc.y = top + high + metal + 8;
  }

  /** A text as a code to be scanned, drawn as squares; its words beside it. */
  qr(text: string, words: string, wide = 120): void {
    this.need(wide + 10);
    const y = this.doc.y + 4;
    drawQr(this.doc, text, MARGIN, y, wide);
    this.write(words, { x: MARGIN + wide + 14, y, width: this.width - wide - 14, size: 'small' });
    this.doc.x = MARGIN;
    this.doc.y = Math.max(this.doc.y, y + wide) + 6;
  }

  /**
   * Windows between coats along time, a line each: hatched while it was too early, clear while the next coat might go on, black when
   * it was shut; the wedge is when it did go on. Told apart without colour.
   */
  windows(
    rows: readonly {
      readonly label: string;
      readonly laidMs: number;
      readonly nextMs: number;
      readonly spans: readonly { readonly openMs: number; readonly shutMs: number | null }[];
      readonly said: string;
    }[],
  ): void {
    const [labelW, saidW, high] = [92, 176, 15];
    const wide = this.width - labelW - saidW - 12;
    for (const r of rows) {
      this.need(high + 8);
      const y = this.doc.y + 3;
      const shuts = r.spans.flatMap((s) => (s.shutMs === null ? [] : [s.shutMs]));
      const opens = r.spans.map((s) => s.openMs);
      // As far as the next coat or the shut edge, whichever is later, but not past three times what mattered.
      const until = Math.max(r.nextMs, ...opens);
      const endMs = Math.min(
        Math.max(until, ...shuts) + (until - r.laidMs) * 0.08,
        r.laidMs + (until - r.laidMs) * 3,
      );
      const x = (ms: number): number =>
        MARGIN +
        labelW +
        (wide * (Math.min(Math.max(ms, r.laidMs), endMs) - r.laidMs)) / (endMs - r.laidMs || 1);
      const { doc } = this;
      doc.rect(x(r.laidMs), y, wide, high - 5).fill(r.spans.length === 0 ? '#eeeeee' : '#333333');
      const first = Math.min(...opens);
      if (opens.length > 0) {
        doc.rect(x(r.laidMs), y, x(first) - x(r.laidMs), high - 5).fill('#ffffff');
        for (let k = x(r.laidMs); k < x(first); k += 4)
          doc
            .moveTo(k, y + high - 5)
            .lineTo(Math.min(k + 4, x(first)), y)
            .lineWidth(0.5)
            .strokeColor('#666666')
            .stroke();
      }
      for (const s of r.spans)
        doc.rect(x(s.openMs), y, x(s.shutMs ?? endMs) - x(s.openMs), high - 5).fill('#ffffff');
      doc
        .rect(x(r.laidMs), y, wide, high - 5)
        .lineWidth(0.6)
        .strokeColor('#000000')
        .stroke();
      const at = x(r.nextMs);
      doc
        .moveTo(at - 3.5, y - 3)
        .lineTo(at + 3.5, y - 3)
        .lineTo(at, y + 4)
        .fill('#000000');
      this.write(r.label, { style: 'figure', size: 'small', x: MARGIN, y: y - 1, width: labelW });
      this.write(r.said, {
        style: 'figure',
        size: 'small',
        x: MARGIN + labelW + wide + 12,
        y: y - 1,
        width: saidW,
      });
      doc.x = MARGIN;
      doc.y = Math.max(doc.y, y + high);
    }
    this.space(4);
  }

  /** Pictures side by side with their words, as wide as they fit; read aloud by those. */
  pictures(list: readonly { readonly jpeg: Buffer; readonly words: string }[]): void {
    for (let i = 0; i < list.length; i += 2) {
      const wide = (this.width - 10) / 2;
      const high = (wide * 3) / 4;
      this.need(high + 18);
      const y = this.doc.y + 2;
      list.slice(i, i + 2).forEach(({ jpeg, words }, k) => {
        const x = MARGIN + k * (wide + 10);
        this.doc.image(jpeg, x, y, { fit: [wide, high] });
        this.write(words, { size: 'small', colour: QUIET, x, y: y + high + 2, width: wide });
      });
      this.doc.x = MARGIN;
      this.doc.y = y + high + 16;
    }
  }

  /** Numbers the pages and closes: now it is known how many there are. */
  end(foot: string): number {
    const { start, count } = this.doc.bufferedPageRange();
    for (let i = start; i < start + count; i++) {
      this.doc.switchToPage(i);
      const { margins } = this.doc.page;
      // What stands below the margin would open a new page.
      const { bottom } = margins;
      margins.bottom = 0;
      const y = this.doc.page.height - MARGIN + 4;
      this.write(`${this.title} · ${foot}`, {
        size: 'small',
        style: 'figure',
        colour: QUIET,
        y,
        width: this.width - 90,
      });
      this.write(`page ${i - start + 1} of ${count}`, {
        size: 'small',
        style: 'figure',
        colour: QUIET,
        x: MARGIN + this.width - 90,
        y,
        width: 90,
        isRight: true,
      });
      margins.bottom = bottom;
    }
    this.doc.end();
    return count;
  }
}
