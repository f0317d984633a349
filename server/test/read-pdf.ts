import { execFile } from 'node:child_process';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';

const run = promisify(execFile);

/** What another program reads out of a PDF. */
export interface ReadPdf {
  pages: number;
  tagged: boolean;
  /** Points. */
  size: string;
  text: string;
  /** Its elements of structure with what is read of each. */
  structure: string;
  /** Whether every font is in it. */
  embedded: boolean;
}

/** Reads a PDF with Poppler. */
export async function readPdf(pdf: ArrayBuffer | Buffer): Promise<ReadPdf> {
  const folder = await mkdtemp(join(tmpdir(), 'wax-fist-pdf-'));
  try {
    const path = join(folder, 'one.pdf');
    await writeFile(path, Buffer.from(pdf as ArrayBuffer));
    const said = async (program: string, ...words: string[]): Promise<string> => (await run(program, [...words])).stdout;
    const info = await said('pdfinfo', path);
    const about = (what: string): string => new RegExp(`^${what}: +(.*)$`, 'm').exec(info)?.[1] ?? '';
    const fonts = (await said('pdffonts', path)).trim().split('\n').slice(2);
    return {
      pages: Number(about('Pages')),
      tagged: about('Tagged') === 'yes',
      size: about('Page size'),
      text: await said('pdftotext', '-layout', path, '-'),
      structure: await said('pdfinfo', '-struct-text', path),
      embedded: fonts.length > 0 && fonts.every((font) => / yes yes (yes|no) +\d+ +\d+$/.test(font)),
    };
  } finally {
    await rm(folder, { recursive: true });
  }
}
