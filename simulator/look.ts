export const hairStyles = ['short', 'shaved', 'tail', 'bun', 'curls'] as const;
export const topStyles = ['tee', 'tank', 'long-sleeves'] as const;
export const legStyles = ['shorts', 'leggings'] as const;

/** What somebody looks like. Colours as #rrggbb; what is not said is as usual. */
export interface Look {
  skin: string;
  hair: string;
  top: string;
  shorts: string;
  gloves: string;
  shoes: string;
  hairStyle?: (typeof hairStyles)[number];
  topStyle?: (typeof topStyles)[number];
  legs?: (typeof legStyles)[number];
  /** On the hands; wraps have the colour of the gloves. */
  hands?: 'gloves' | 'wraps';
  feet?: 'shoes' | 'bare';
  shinGuards?: boolean;
  /** How thick trunk and limbs are against a usual build, 0.8 to 1.3. */
  build?: number;
  /** How large the head is against an adult's on this stature: about 1.15 for a child of ten. */
  head?: number;
}

/** Everything that was not said, as usual. */
const usualLook = {
  hairStyle: 'short',
  topStyle: 'tee',
  legs: 'shorts',
  hands: 'gloves',
  feet: 'shoes',
  shinGuards: false,
  build: 1,
  head: 1,
} as const satisfies Partial<Look>;
export type WholeLook = Required<Look>;
export const wholeLook = (look: Look): WholeLook => ({ ...usualLook, ...look });

const plain = '#7a6a5a';
/** Of somebody whom nobody will see. */
export const plainLook: Look = { skin: plain, hair: plain, top: plain, shorts: plain, gloves: plain, shoes: plain };
