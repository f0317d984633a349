import { cardEndpoints } from '@wax-fist/contract/cards';
import { stillRoles, type StillRole } from '@wax-fist/core/card';
import { and, eq } from 'drizzle-orm';
import type { Response, Router } from 'express';
import { cardStill, film, strike } from '../../db/schema/index.ts';
import { notFound, Refusal } from '../../http/refusal.ts';
import { sendPdf } from '../../http/send-pdf.ts';
import { serve } from '../../http/serve.ts';
import { cardsPdf, type CardOnPaper } from '../../pdf/card-pdf.ts';
import type { Services } from '../../services.ts';
import { noteSeen } from '../journal/seen.ts';
import { cardOf } from './card.ts';
import { cardBehind, linkCard, requireCorrection, withdrawLink } from './links.ts';
import { stillPicture } from './still-picture.ts';

const roleNamed = (name: string): StillRole => {
  const role = stillRoles.find((one) => one === name);
  if (!role) throw notFound('still');
  return role;
};

export function cardRoutes(router: Router, services: Services): void {
  const { db } = services;
  const sendStill = async (response: Response, correctionId: string, name: string): Promise<void> => {
    const role = roleNamed(name);
    const still = (await cardOf(db, correctionId)).stills.find((one) => one.role === role);
    if (!still) throw notFound('still');
    response
      .set('Cache-Control', 'private, no-cache')
      .type('image/jpeg')
      .send(await stillPicture(services, still));
  };
  const onPaper = async (correctionId: string, home: string): Promise<CardOnPaper> => {
    const card = await cardOf(db, correctionId);
    const pictures = await Promise.all(card.stills.map((still) => stillPicture(services, still)));
    return { card, pictures, address: card.link && `${home}/c/${card.link.code}` };
  };

  serve(router, cardEndpoints.showCard, ({ params }) => cardOf(db, params.correctionId));
  serve(router, cardEndpoints.cardStill, ({ params, response }) => sendStill(response, params.correctionId, params.role));
  serve(router, cardEndpoints.chooseStill, async ({ params: { correctionId, role: name }, body: { strikeId, frame } }) => {
    const role = roleNamed(name);
    await requireCorrection(db, correctionId);
    const [known] = await db
      .select({ frames: film.frames })
      .from(strike)
      .innerJoin(film, eq(film.id, strike.filmId))
      .where(and(eq(strike.id, strikeId), eq(strike.removed, false)));
    if (!known) throw notFound('strike');
    if (frame !== null && frame >= (known.frames ?? 0)) throw new Refusal(422, 'This frame lies outside of the film.');
    await db
      .insert(cardStill)
      .values({ correctionId, role, strikeId, frame })
      .onConflictDoUpdate({ target: [cardStill.correctionId, cardStill.role], set: { strikeId, frame } });
    return cardOf(db, correctionId);
  });
  serve(router, cardEndpoints.cardsPdf, async ({ query: { of, paper }, request, response }) => {
    const home = `${request.protocol}://${request.get('host')}`;
    const cards: CardOnPaper[] = [];
    for (const id of of) cards.push(await onPaper(id, home));
    const [{ card }] = cards as [CardOnPaper];
    sendPdf(response, cards.length > 1 ? `${cards.length} cards` : `Card, ${card.traineeName}`, await cardsPdf(cards, paper));
  });
  serve(router, cardEndpoints.linkCard, async ({ params, account }) => {
    await linkCard(db, params.correctionId, account.id);
    return cardOf(db, params.correctionId);
  });
  serve(router, cardEndpoints.withdrawLink, ({ params }) => withdrawLink(db, params.correctionId));
  serve(router, cardEndpoints.sharedCard, async ({ params, response }) => {
    response.set('X-Robots-Tag', 'noindex');
    const correctionId = await cardBehind(db, params.code);
    await noteSeen(db, null, { kind: 'correction' }, correctionId);
    return cardOf(db, correctionId);
  });
  serve(router, cardEndpoints.sharedStill, async ({ params, response }) => {
    response.set('X-Robots-Tag', 'noindex');
    await sendStill(response, await cardBehind(db, params.code), params.role);
  });
}
