import type { Paper } from '@wax-fist/contract/reports';
import { buffer } from 'node:stream/consumers';
import PDFDocument from 'pdfkit';
import { mainFont, runsOf, type Weight } from './fonts.ts';

type Doc = InstanceType<typeof PDFDocument>;
type Struct = ReturnType<Doc['struct']>;

/** Colours of the pages, as they are on paper. */
export const inks = { black: '#1d2324', quiet: '#596162', line: '#c9c4b7', accent: '#17494d', mark: '#e9b44c', fault: '#a8261a' };

/** Points of the sheet: 72 an inch. */
type Points = number;
const margin: Points = 48;
const sizes: Readonly<Record<Paper, 'A4' | 'LETTER'>> = { a4: 'A4', letter: 'LETTER' };

/** How a text is written. */
export interface Writing {
  weight?: Weight;
  size?: Points;
  ink?: string;
  /** Where; as the text before it ends, where nothing is said. */
  x?: Points;
  y?: Points;
  width?: Points;
  align?: 'left' | 'right' | 'center';
}

/**
 * A PDF as it is being written: tagged for screen readers (PDF/UA), with its fonts in it. What is read is put into elements of
 * structure; what is only drawn is an artifact.
 */
export interface Sheet {
  doc: Doc;
  left: Points;
  right: Points;
  width: Points;
  bottom: Points;
  /** Writes here, whatever letters there are. */
  write: (text: string, how?: Writing) => void;
  /** How high a text would be. */
  heightOf: (text: string, how: Writing) => Points;
  /** An element of structure, read in order. @param inside what is written into it, or what elements are */
  put: (tag: string, inside: (() => void) | ((within: Sheet) => void), more?: { alt?: string; nested?: boolean }) => void;
  /** Something that nobody is read. */
  draw: (drawing: () => void) => void;
  /** Begins a new page where less than this is left. */
  need: (height: Points) => void;
}

function within(doc: Doc, parent: Struct): Sheet {
  const { page } = doc;
  const [left, right] = [margin, page.width - margin];
  const [bottom, width] = [page.height - margin - 14, page.width - 2 * margin];
  const styled = ({ weight = 'plain', size = 10.5, ink = inks.black }: Writing): Doc =>
    doc.font(mainFont(weight)).fontSize(size).fillColor(ink);
  const sheet: Sheet = {
    ...{ doc, left, right, width, bottom },
    write(text, how = {}) {
      const { weight = 'plain', x, y, width: across = right - (x ?? left), align = 'left' } = how;
      styled(how);
      const runs = runsOf(text, weight);
      for (const [at, run] of runs.entries()) {
        doc.font(run.font);
        const options = { width: across, align, continued: at < runs.length - 1 };
        if (at === 0) doc.text(run.text, x ?? left, y ?? doc.y, options);
        else doc.text(run.text, options);
      }
    },
    heightOf: (text, how) => styled(how).heightOfString(text, { width: how.width ?? width }),
    put(tag, inside, { alt, nested = false } = {}) {
      const options = alt === undefined ? {} : { alt };
      if (nested) {
        const element = doc.struct(tag, options);
        parent.add(element);
        inside(within(doc, element));
        element.end();
      } else {
        const element = doc.struct(tag, options, () => inside(sheet));
        parent.add(element);
        element.end();
      }
    },
    draw(drawing) {
      doc.markContent('Artifact', { type: 'Layout' });
      drawing();
      doc.endMarkedContent();
    },
    need(height) {
      if (doc.y + height > bottom) doc.addPage();
    },
  };
  return sheet;
}

/** Writes a PDF. @param footer stands at the foot of each page, before its number; none for a single sheet */
export async function writtenPdf(
  { paper, title, footer }: { paper: Paper; title: string; footer?: string },
  writing: (sheet: Sheet) => void,
): Promise<Buffer> {
  const doc = new PDFDocument({
    ...{ size: sizes[paper], margin, bufferPages: true, font: mainFont('plain') },
    ...{ pdfVersion: '1.7', subset: 'PDF/UA', tagged: true, displayTitle: true, lang: 'en-GB' },
    info: { Title: title, Creator: 'Wax Fist', Producer: 'Wax Fist' },
    // Its types do not know of this subset yet.
  } as object);
  const written = buffer(doc);
  const root = doc.struct('Document');
  doc.addStructure(root);
  writing(within(doc, root));
  root.end();
  const { start, count } = doc.bufferedPageRange();
  if (footer !== undefined)
    for (let page = start; page < start + count; page++) {
      doc.switchToPage(page);
      // What is written below the margin would otherwise begin a page of its own.
      doc.page.margins.bottom = 0;
      const sheet = within(doc, root);
      const y = doc.page.height - margin + 4;
      sheet.draw(() => {
        sheet.write(footer, { size: 8.5, ink: inks.quiet, y, width: sheet.width - 60 });
        sheet.write(`${page - start + 1} of ${count}`, {
          size: 8.5,
          ink: inks.quiet,
          x: sheet.right - 60,
          y,
          width: 60,
          align: 'right',
        });
      });
    }
  doc.end();
  return written;
}
