import type { Body } from '../../body/skeleton.ts';
import { wholeLook, type Look } from '../../look.ts';
import { shirt, shorts } from './clothes.ts';
import { bareFoot, shinGuard, shoe } from './feet.ts';
import { glove, wraps } from './hands.ts';
import { headParts } from './head.ts';
import { bodySides, type BodyPart } from './part.ts';
import { arm, leg, seat, torsoPart } from './trunk-and-limbs.ts';

/** Everything a clothed person consists of, shaped round a body in its bind pose. Somebody who holds pads wears no gloves. */
export function figureParts(body: Body, given: Look, bareHands = false): BodyPart[] {
  const look = wholeLook(given);
  const { build } = look;
  const limbs = bodySides.flatMap((side) => [...arm(body, side, build), ...leg(body, side, build)]);
  const skin = [...torsoPart(body, build), ...seat(body, build), ...limbs];
  return [
    { name: 'skin', clay: { lumps: skin }, step: 0.012, colour: look.skin, roughness: 0.6, castsShadow: true },
    ...headParts(body, look),
    shirt(body, look),
    ...shorts(body, look),
    ...bodySides.flatMap((side) => [
      ...(bareHands || look.hands === 'wraps'
        ? wraps(body, side, bareHands ? { ...look, gloves: look.skin } : look)
        : glove(body, side, look)),
      ...(look.feet === 'bare' ? bareFoot(body, side, look) : shoe(body, side, look)),
      ...(look.shinGuards ? [shinGuard(body, side, look)] : []),
    ]),
  ];
}
