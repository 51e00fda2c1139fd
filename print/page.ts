import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';

const files = createRequire(import.meta.url);
const FONTS = {
  plain: files.resolve('@expo-google-fonts/archivo/400Regular/Archivo_400Regular.ttf'),
  bold: files.resolve('@expo-google-fonts/archivo/700Bold/Archivo_700Bold.ttf'),
} as const;

/** Points to the millimetre. */
export const PT = 72 / 25.4;
/** A4, mm. */
export const PAPER = { width: 210, height: 297 } as const;
const MARGIN = 14;
/** Read at arm's length, points. */
const TEXT = 11;

type Font = keyof typeof FONTS;

/** Paper that is filled from the top down, black on white. All sizes in mm but those of letters, which are points. */
export class Paper {
  readonly pdf: PDFKit.PDFDocument;
  private readonly chunks: Buffer[] = [];
  private readonly ended: Promise<Buffer>;
  /** How far down the page is filled, mm. */
  y = MARGIN;
  pages = 0;

  constructor(private readonly title: string) {
    this.pdf = new PDFDocument({
      autoFirstPage: false,
      margin: 0,
      size: [PAPER.width * PT, PAPER.height * PT],
      info: { Title: title },
      compress: true,
    });
    for (const [name, file] of Object.entries(FONTS)) this.pdf.registerFont(name, file);
    this.ended = new Promise((done, fail) => {
      this.pdf.on('data', (chunk: Buffer) => this.chunks.push(chunk));
      this.pdf.on('end', () => done(Buffer.concat(this.chunks)));
      this.pdf.on('error', fail);
    });
  }

  get left(): number {
    return MARGIN;
  }

  get width(): number {
    return PAPER.width - 2 * MARGIN;
  }

  /** A new page, with what it belongs to and its number at its foot. */
  page(): void {
    this.pdf.addPage();
    this.pages += 1;
    this.y = MARGIN;
    this.at('plain', 8).text(`${this.title}, page ${this.pages}`, MARGIN * PT, (PAPER.height - 10) * PT, { lineBreak: false });
  }

  /** Begins a page where there is not so much room left. */
  room(mm: number): void {
    if (this.pages === 0 || this.y + mm > PAPER.height - MARGIN) this.page();
  }

  at(font: Font, size: number): PDFKit.PDFDocument {
    return this.pdf.font(font).fontSize(size).fillColor('black');
  }

  heading(text: string, size = 16): void {
    const high = this.heightOf(text, 'bold', size, this.width);
    this.room(high + 24);
    this.at('bold', size).text(text, MARGIN * PT, this.y * PT, { width: this.width * PT });
    this.y += high + 2;
  }

  heightOf(text: string, font: Font, size: number, width: number): number {
    return this.at(font, size).heightOfString(text, { width: width * PT }) / PT;
  }

  /** A line of text, a box before it where it is to be ticked. */
  text(
    text: string,
    options: { readonly bold?: boolean; readonly size?: number; readonly indent?: number; readonly box?: boolean } = {},
  ): void {
    const { bold = false, size = TEXT, indent = 0, box = false } = options;
    const [font, left] = [bold ? 'bold' : 'plain', MARGIN + indent + (box ? 6 : 0)] as const;
    const width = PAPER.width - MARGIN - left;
    const high = this.heightOf(text, font, size, width);
    this.room(high);
    if (box)
      this.pdf
        .lineWidth(0.8)
        .rect((left - 6) * PT, (this.y + 0.3) * PT, 3.6 * PT, 3.6 * PT)
        .stroke('black');
    this.at(font, size).text(text, left * PT, this.y * PT, { width: width * PT });
    this.y += high + 1.2;
  }

  space(mm: number): void {
    this.y += mm;
  }

  /** A table; rows are not parted over two pages. @param columns their titles and shares of the width */
  table(columns: readonly (readonly [title: string, share: number])[], rows: readonly (readonly string[])[], size = 10): void {
    const all = columns.reduce((sum, [, share]) => sum + share, 0);
    const widths = columns.map(([, share]) => (share / all) * this.width);
    const draw = (cells: readonly string[], font: Font) => {
      const high = Math.max(...cells.map((c, i) => this.heightOf(c || ' ', font, size, (widths[i] as number) - 3)));
      this.room(high + 2);
      let x = MARGIN;
      cells.forEach((cell, i) => {
        this.at(font, size).text(cell, x * PT, (this.y + 0.8) * PT, { width: ((widths[i] as number) - 3) * PT });
        x += widths[i] as number;
      });
      this.y += high + 1.8;
      this.pdf
        .lineWidth(font === 'bold' ? 1 : 0.3)
        .moveTo(MARGIN * PT, this.y * PT)
        .lineTo((PAPER.width - MARGIN) * PT, this.y * PT)
        .stroke('black');
    };
    draw(
      columns.map(([title]) => title),
      'bold',
    );
    rows.forEach((row) => draw(row, 'plain'));
    this.y += 3;
  }

  /** The finished document. */
  end(): Promise<Buffer> {
    if (this.pages === 0) this.page();
    this.pdf.end();
    return this.ended;
  }
}
