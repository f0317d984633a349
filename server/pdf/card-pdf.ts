import type { Card, CardStillOfFilm } from '@wax-fist/contract/cards';
import type { Paper } from '@wax-fist/contract/reports';
import { stillRoleNames, type StillRole } from '@wax-fist/core/card';
import { frequencyNames } from '@wax-fist/core/correction';
import { viewNames } from '@wax-fist/core/technique';
import { percent, wholeDay } from '@wax-fist/core/words';
import qrcode from 'qrcode';
import { inks, writtenPdf, type Sheet } from './sheet.ts';

/** A card with the pictures of its stills, in their order, and the address that opens it for the trainee. */
export interface CardOnPaper {
  card: Card;
  pictures: readonly Buffer[];
  address: string | null;
}

const roleInks: Readonly<Record<StillRole, string>> = { is: inks.fault, turns: inks.mark, should: '#1f6b45' };

/** The measured line over a still. */
function drawShapes({ doc }: Sheet, { part, shapes }: CardStillOfFilm, x: number, y: number, width: number): void {
  const scale = width / part.width;
  const at = (place: { x: number; y: number }): [number, number] => [
    x + (place.x - part.x) * scale,
    y + (place.y - part.y) * scale,
  ];
  doc
    .save()
    .rect(x, y, width, part.height * scale)
    .clip();
  for (const { kind, from, to, dashed, at: corner } of shapes) {
    doc.moveTo(...at(from));
    if (kind === 'angle' && corner) doc.lineTo(...at(corner));
    doc.lineTo(...at(to));
    if (dashed) doc.dash(5, { space: 3 });
    doc.lineWidth(2.2).strokeColor(inks.mark).stroke().undash();
  }
  doc.restore();
}

const gap = 14;
/** A still with its caption; below it stands what comes next. @returns where it ends */
function drawStill(sheet: Sheet, { card, pictures }: CardOnPaper, role: StillRole, x: number, y: number, width: number): number {
  const { doc } = sheet;
  const at = card.stills.findIndex((still) => still.role === role);
  const still = card.stills[at];
  if (!still) return y;
  const height = (width * still.part.height) / still.part.width;
  const told = `${viewNames[still.view].toLowerCase()}, ${wholeDay(still.heldOn)}`;
  sheet.put(
    'Figure',
    () => {
      doc.image(pictures[at]!, x, y, { width, height });
      drawShapes(sheet, still, x, y, width);
      doc
        .rect(x, y + height, width, 5)
        .fillColor(roleInks[role])
        .fill();
    },
    { alt: `${stillRoleNames[role]}: ${told}` },
  );
  sheet.put('P', () => {
    sheet.write(stillRoleNames[role], { weight: 'bold', size: 13, x, y: y + height + 9, width });
    sheet.write(told, { size: 9, ink: inks.quiet, x, width });
  });
  return doc.y + gap;
}

/** How it is beside how it should be; below them where it turns wrong, beside what it is good for and the drill. */
function drawBody(sheet: Sheet, one: CardOnPaper): void {
  const { doc, left, right, width } = sheet;
  const half = (width - gap) / 2;
  const top = doc.y;
  const ends = [drawStill(sheet, one, 'is', left, top, half), drawStill(sheet, one, 'should', left + half + gap, top, half)];
  const second = Math.max(...ends);
  const below = drawStill(sheet, one, 'turns', left, second, half);
  const x = below > second ? left + half + gap : left;
  doc.y = second;
  const { drill, often, why } = one.card;
  if (drill) {
    sheet.put('P', () => {
      sheet.write('Drill', { ink: inks.quiet, x, y: second });
      sheet.write(drill, { weight: 'bold', size: 17, x, width: right - x });
      if (often) sheet.write(frequencyNames[often], { weight: 'bold', size: 13, x, width: right - x });
    });
    doc.y += gap;
  }
  if (why) sheet.put('P', () => sheet.write(why, { size: 13, x, width: right - x }));
  doc.y = Math.max(below, doc.y + gap);
}

function drawAddress(sheet: Sheet, address: string, y: number): void {
  const { modules } = qrcode.create(address, { errorCorrectionLevel: 'M' });
  const side = 84;
  const x = sheet.right - side;
  const step = side / modules.size;
  sheet.put(
    'Figure',
    () => {
      for (let row = 0; row < modules.size; row++)
        for (let column = 0; column < modules.size; column++)
          if (modules.get(row, column)) sheet.doc.rect(x + column * step, y + row * step, step + 0.05, step + 0.05);
      sheet.doc.fillColor(inks.black).fill();
    },
    { alt: `Opens this card: ${address}` },
  );
}

function writeCard(sheet: Sheet, one: CardOnPaper): void {
  const { card, address } = one;
  const { doc, left, width } = sheet;
  sheet.put('H1', () => sheet.write(card.traineeName, { weight: 'bold', size: 18 }));
  sheet.put('P', () => sheet.write(`${card.technique}: ${card.name.toLowerCase()}`, { size: 12 }));
  doc.y += 12;
  const top = doc.y;
  sheet.put('P', () => sheet.write(card.cue, { weight: 'bold', size: 40, x: left + 20, width: width - 20 }));
  sheet.draw(() =>
    doc
      .rect(left, top, 8, doc.y - top - 4)
      .fillColor(inks.mark)
      .fill(),
  );
  doc.y += 10;
  drawBody(sheet, one);
  const line = doc.y;
  sheet.draw(() => doc.rect(left, line, width, 1.2).fillColor(inks.black).fill());
  const facts = [
    ...(card.counted ? [['Last counted', `${card.counted.of}, ${card.counted.says}`]] : []),
    ['Aim', `${percent(card.target)} or fewer faults`],
    ['We look again', card.recheckOn ? wholeDay(card.recheckOn) : 'no day is set'],
    ['Made on', wholeDay(card.madeOn)],
    ...(address ? [['For you', address]] : []),
  ] as const;
  doc.y = line + 10;
  for (const [name, says] of facts) {
    const { y } = doc;
    sheet.put('P', () => {
      sheet.write(name, { size: 12, ink: inks.quiet, y, width: 110 });
      sheet.write(says, { size: 12, x: left + 114, y, width: width - 214 });
    });
    doc.y += 3;
  }
  if (address) drawAddress(sheet, address, line + 10);
}

/** Cards as one PDF, one sheet each. At least one. */
export function cardsPdf(cards: readonly CardOnPaper[], paper: Paper): Promise<Buffer> {
  const [{ card }] = cards as [CardOnPaper];
  const title = cards.length > 1 ? `${cards.length} cards` : `Card: ${card.traineeName}, ${card.cue}`;
  return writtenPdf({ paper, title }, (sheet) => {
    for (const [at, one] of cards.entries()) {
      if (at > 0) sheet.doc.addPage();
      writeCard(sheet, one);
    }
  });
}
