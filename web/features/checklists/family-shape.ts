import type { Family } from '@wax-fist/core/technique';

/** One shape for each family, drawn in a square of 16: readable without its colour. */
export const familyShapes: Record<Family, string> = {
  /* A base: a wide flat trapezoid. */
  stance: 'M4.5 3.5h7L15 12.5H1z',
  /* A turn: three quarters of a ring with a head. */
  pivot: 'M8 1.5a6.5 6.5 0 1 0 6.5 6.5h-3A3.5 3.5 0 1 1 8 4.5v2.2L13 3 8 0z',
  /* A shield. */
  guard: 'M2 2h12v6.2c0 3.2-2.6 5.4-6 6.8-3.4-1.4-6-3.6-6-6.8z',
  /* A burst of four points. */
  strike: 'M8 0l2.1 5.9L16 8l-5.9 2.1L8 16l-2.1-5.9L0 8l5.9-2.1z',
  /* Two steps out. */
  exit: 'M1 2.5h4L9.5 8 5 13.5H1L5.5 8zm6 0h3.5L15.5 8l-5 5.5H7L11.5 8z',
  /* Beats of different height. */
  rhythm: 'M0 9h3v5H0zm4.3-5h3v10h-3zm4.4 3h3v7h-3zM13 2h3v12h-3z',
  /* Two pads side by side. */
  holding: 'M1 3.5C1 2 2 1 3.5 1S7 2 7 3.5V15H1zm8 0C9 2 10.500 1 12 1s3 1 3 2.500V15H9z',
};
