import type { Paper } from '@wax-fist/contract/reports';
import type { Report, ReportLevels, ReportRate, ReportSection } from '@wax-fist/core/report';
import { percent, shortDay, wholeDay } from '@wax-fist/core/words';
import { extent } from 'd3-array';
import { inks, writtenPdf, type Sheet } from './sheet.ts';

const heading = (sheet: Sheet, text: string): void => {
  sheet.need(70);
  sheet.doc.y += 12;
  sheet.put('H2', () => sheet.write(text, { weight: 'bold', size: 14, ink: inks.accent }));
  sheet.doc.y += 4;
};

const facts = (sheet: Sheet, rows: ReportSection['facts']): void =>
  sheet.put(
    'Table',
    (table) => {
      for (const { name, says } of rows)
        table.put(
          'TR',
          (row) => {
            row.need(16);
            const { y } = row.doc;
            row.put('TH', () => row.write(name, { ink: inks.quiet, y, width: 100 }));
            row.put('TD', () => row.write(says, { x: row.left + 104, y }));
            row.doc.y += 2;
          },
          { nested: true },
        );
    },
    { nested: true },
  );

/** A rate with its interval as a bar from 0 to 1, the aim across it. */
function drawRate({ doc }: Sheet, { rate, low, high, enough, aim }: ReportRate, x: number, y: number, width: number): void {
  const at = (share: number): number => x + share * width;
  doc
    .rect(x, y + 3, width, 8)
    .fillColor('#e8e5dc')
    .fill();
  if (enough) {
    doc
      .rect(at(low), y + 3, Math.max(1, (high - low) * width), 8)
      .fillColor('#9db4b4')
      .fill();
    doc
      .rect(at(rate) - 1, y + 1, 2, 12)
      .fillColor(inks.black)
      .fill();
  }
  if (aim !== null)
    doc
      .rect(at(aim) - 0.75, y, 1.5, 14)
      .fillColor(inks.mark)
      .fill();
}

const rateColumns = ['Checkpoint', 'Faults of seen', '', 'Rate, 90% interval'] as const;
function rates(sheet: Sheet, rows: readonly ReportRate[]): void {
  const { left, width } = sheet;
  const places = [0, 0.4, 0.58, 0.78].map((share) => left + share * width);
  const widths = [0.39, 0.17, 0.18, 0.22].map((share) => share * width);
  sheet.put(
    'Table',
    (table) => {
      const head = (): void => {
        const { y } = table.doc;
        table.put(
          'TR',
          (row) => {
            for (const [at, name] of rateColumns.entries())
              if (name) row.put('TH', () => row.write(name, { size: 9, ink: inks.quiet, x: places[at]!, y, width: widths[at]! }));
          },
          { nested: true },
        );
        table.draw(() =>
          table.doc
            .rect(left, table.doc.y + 1, width, 0.75)
            .fillColor(inks.accent)
            .fill(),
        );
        table.doc.y += 5;
      };
      head();
      for (const one of rows)
        table.put(
          'TR',
          (row) => {
            row.need(34);
            const { y } = row.doc;
            row.put('TD', () => {
              row.write(one.name, { x: places[0]!, y, width: widths[0]! });
              if (one.level)
                row.write(`over sessions ${one.level}`, { size: 8.5, ink: inks.quiet, x: places[0]!, width: widths[0]! });
            });
            const end = row.doc.y;
            row.put('TD', () => row.write(one.of, { x: places[1]!, y, width: widths[1]! }));
            const middle = row.doc.y;
            row.draw(() => drawRate(row, one, places[2]!, y, widths[2]! - 8));
            row.put('TD', () => row.write(one.says, { x: places[3]!, y, width: widths[3]! }));
            row.doc.y = Math.max(end, middle, row.doc.y) + 5;
          },
          { nested: true },
        );
    },
    { nested: true },
  );
}

const chartHeight = 96;
const levelsInWords = ({ points, aim }: ReportLevels): string =>
  `${points.map(({ heldOn, level, low, high }) => `${wholeDay(heldOn)}: ${percent(level)}, between ${percent(low)} and ${percent(high)}`).join('; ')}. Aim: at most ${percent(aim)}.`;

/** How a level went: its line with its interval, the aim dashed. */
function drawLevels({ doc, left, width, write }: Sheet, { points, aim }: ReportLevels, top: number): void {
  const [first, last] = extent(points, ({ heldOn }) => Date.parse(heldOn)) as [number, number];
  const [from, to] = [left + 34, left + width - 44];
  const x = (day: string): number =>
    last === first ? (from + to) / 2 : from + ((Date.parse(day) - first) / (last - first)) * (to - from);
  const y = (share: number): number => top + 6 + (1 - share) * (chartHeight - 24);
  for (const share of [0, 0.5, 1]) {
    doc
      .rect(from, y(share), to - from, 0.5)
      .fillColor(inks.line)
      .fill();
    write(percent(share), { size: 8, ink: inks.quiet, x: left, y: y(share) - 5, width: 28, align: 'right' });
  }
  doc.moveTo(from, y(aim)).lineTo(to, y(aim)).lineWidth(1.2).dash(4, { space: 3 }).strokeColor(inks.mark).stroke().undash();
  write(`aim ${percent(aim)}`, { size: 8, ink: inks.quiet, x: to + 3, y: y(aim) - 5, width: 42 });
  const upper = points.map(({ heldOn, high }) => [x(heldOn), y(high)] as const);
  const lower = points.map(({ heldOn, low }) => [x(heldOn), y(low)] as const).reverse();
  doc
    .polygon(...([...upper, ...lower] as unknown as number[][]))
    .fillOpacity(0.35)
    .fillColor('#7f9fa0')
    .fill()
    .fillOpacity(1);
  for (const [at, { heldOn, level }] of points.entries()) doc[at === 0 ? 'moveTo' : 'lineTo'](x(heldOn), y(level));
  doc.lineWidth(1.6).strokeColor(inks.accent).stroke();
  for (const { heldOn, faults, seen } of points)
    doc
      .circle(x(heldOn), y(faults / seen), 2.6)
      .lineWidth(1)
      .fillAndStroke('#ffffff', inks.accent);
  for (const { heldOn } of [points[0]!, points.at(-1)!])
    write(shortDay(heldOn), { size: 8, ink: inks.quiet, x: x(heldOn) - 34, y: y(0) + 4, width: 68, align: 'center' });
}

function levels(sheet: Sheet, all: readonly ReportLevels[]): void {
  for (const one of all) {
    sheet.need(chartHeight + 26);
    sheet.put('P', () => sheet.write(one.name, { size: 9.5, weight: 'bold' }));
    const top = sheet.doc.y;
    sheet.put('Figure', () => drawLevels(sheet, one, top), { alt: levelsInWords(one) });
    sheet.doc.y = top + chartHeight;
  }
}

const items = (sheet: Sheet, list: readonly string[]): void =>
  sheet.put(
    'L',
    (all) => {
      for (const item of list)
        all.put(
          'LI',
          (one) => {
            one.need(one.heightOf(item, { width: one.width - 14 }));
            const { y } = one.doc;
            one.draw(() =>
              one.doc
                .rect(one.left + 1, y + 4.5, 4, 4)
                .fillColor(inks.mark)
                .fill(),
            );
            one.put('LBody', () => one.write(item, { x: one.left + 14, y }));
            one.doc.y += 3;
          },
          { nested: true },
        );
    },
    { nested: true },
  );

function part(sheet: Sheet, { heading: name, says, facts: rows, rates: lines, levels: ways, items: list }: ReportSection): void {
  heading(sheet, name);
  for (const text of says) {
    sheet.put('P', () => sheet.write(text));
    sheet.doc.y += 4;
  }
  if (rows.length > 0) facts(sheet, rows);
  if (lines.length > 0) rates(sheet, lines);
  if (ways.length > 0) levels(sheet, ways);
  if (list.length > 0) items(sheet, list);
}

function writeReport(sheet: Sheet, { title, name, covers, sections }: Report): void {
  sheet.put('P', () => sheet.write(title, { ink: inks.quiet }));
  sheet.put('H1', () => sheet.write(name, { weight: 'bold', size: 24 }));
  sheet.put('P', () => sheet.write(covers, { size: 12 }));
  for (const one of sections) part(sheet, one);
}

/** Reports as one PDF, each from a page of its own on. At least one. */
export function reportPdf(reports: readonly Report[], paper: Paper): Promise<Buffer> {
  const [{ title, name, covers, madeOn }] = reports as [Report];
  const many = reports.length > 1;
  return writtenPdf(
    {
      paper,
      title: many ? `${reports.length} reports` : `${title}: ${name}, ${covers}`,
      footer: `${many ? 'Reports' : `${title} · ${name}`} · made on ${wholeDay(madeOn)}`,
    },
    (sheet) => {
      for (const [at, report] of reports.entries()) {
        if (at > 0) sheet.doc.addPage();
        writeReport(sheet, report);
      }
    },
  );
}
