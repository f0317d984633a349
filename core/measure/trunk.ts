import type { Degrees, Ms, Ratio } from '../units.ts';
import { leanOf, middle, middleOf } from './geometry.ts';
import type { Sight, Spot } from './sight.ts';

/** The trunk from upright at contact, towards the target. */
export const trunkLean = (sight: Sight): Degrees =>
  leanOf(middle(sight, 'Hip', sight.contact), middle(sight, 'Shoulder', sight.contact));

/** Balance point: hips, shoulders and head with about the mass above and below them, after de Leva (1996). */
function balance(sight: Sight, time: number): Spot {
  const [hip, shoulder, nose] = [middle(sight, 'Hip', time), middle(sight, 'Shoulder', time), sight.at('nose', time)];
  return [0.55 * hip[0] + 0.35 * shoulder[0] + 0.1 * nose[0], 0.55 * hip[1] + 0.35 * shoulder[1] + 0.1 * nose[1]];
}
/** Where the balance point is at contact on the way from the rear ankle to the front one; undefined when the feet stand side by side. */
export function baseFraction(sight: Sight): Ratio | undefined {
  const ankles = [sight.at('leftAnkle', sight.contact)[0], sight.at('rightAnkle', sight.contact)[0]];
  const [rear, front] = [Math.min(...ankles), Math.max(...ankles)];
  if (front - rear < 0.3 * sight.size.torso) return undefined;
  return (balance(sight, sight.contact)[0] - rear) / (front - rear);
}

/** How far the chin is raised from level at contact: the line from the ears to the nose. */
export const headPitch = (sight: Sight): Degrees => {
  const [ear, nose] = [middle(sight, 'Ear', sight.contact), sight.at('nose', sight.contact)];
  return (Math.atan2(nose[1] - ear[1], Math.abs(nose[0] - ear[0])) * 180) / Math.PI;
};

/** Part of the fall of the head, ready to contact, that the hips share; undefined where the head hardly falls. */
export function legsShare(sight: Sight): Ratio | undefined {
  const fallOf = (spot: (time: number) => Spot): number => spot(sight.ready)[1] - spot(sight.contact)[1];
  const head = fallOf((time) => middleOf(sight.at('nose', time), middle(sight, 'Ear', time)));
  return head < 0.12 * sight.size.torso ? undefined : fallOf((time) => middle(sight, 'Hip', time)) / head;
}

/** How far the hips come towards the target, launch to contact, in trunks. */
export const hipTravel = (sight: Sight): Ratio =>
  (middle(sight, 'Hip', sight.contact)[0] - middle(sight, 'Hip', sight.launch)[0]) / sight.size.torso;

/** A face is about so wide as a share of the head's height from chin to crown. */
const widthOfHead: Ratio = 0.68;
/**
 * How far the head has gone aside of where it was before anything began, in its widths. Not against the feet: to a camera that does
 * not stand straight ahead a head that is over the front foot is aside of their middle, whichever way it slips.
 */
export const headAside = (sight: Sight, time: Ms): Ratio =>
  Math.abs(sight.at('nose', time)[0] - sight.at('nose', sight.ready)[0]) / (sight.size.head * widthOfHead);
export const headOffAtContact = (sight: Sight): Ratio => headAside(sight, sight.contact);
export const headOffAtLaunch = (sight: Sight): Ratio => headAside(sight, sight.launch);
