import { pointsOf } from '../body/index.ts';
import type { Degrees, Px, Ratio } from '../units.ts';
import { knuckles, middle, middleOf } from './geometry.ts';
import { kneeAt } from './legs.ts';
import type { Sight, Spot } from './sight.ts';

/** A leg that is bent further than this lands with its knee. */
const folded: Degrees = 110;
/** What lands: the knuckles of a hand, the knee of a leg that is folded, or else about the middle of its shin. */
function landingSpot(sight: Sight): Spot {
  const { striking, contact, byLeg } = sight;
  if (!byLeg) return knuckles(sight, striking, contact);
  const [knee, ankle] = [sight.at(pointsOf[striking].Knee, contact), sight.at(pointsOf[striking].Ankle, contact)];
  return kneeAt(sight, striking, contact) < folded ? knee : middleOf(knee, ankle);
}
/** How high it lands over the hips as they stood before anything began, in trunks. */
export function landingHeight(sight: Sight): Ratio {
  const stood: Px = middle(sight, 'Hip', sight.ready)[1];
  return (landingSpot(sight)[1] - stood) / sight.size.torso;
}
