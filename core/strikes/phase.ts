/** The five moments of a strike that are looked at, in their order. */
export const phases = ['ready', 'launch', 'contact', 'home', 'exit'] as const;
export type Phase = (typeof phases)[number];

/** In words. */
export const phaseNames: Record<Phase, string> = {
  ready: 'Ready',
  launch: 'Launch',
  contact: 'Contact',
  home: 'Home',
  exit: 'Exit',
};
