import type { Px } from '@wax-fist/core/units';
import type { Place } from '@wax-fist/core/measure';

/** Where the pointer is in the picture, in pixels of the film. @param layer what lies over the whole of it */
export function placeInPicture(
  { clientX, clientY }: PointerEvent,
  layer: Element,
  { width, height }: { width: Px; height: Px },
): Place {
  const box = layer.getBoundingClientRect();
  return { x: ((clientX - box.left) * width) / box.width, y: ((clientY - box.top) * height) / box.height };
}
