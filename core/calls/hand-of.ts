import type { Catalogue, TechniqueId } from '../technique/index.ts';

/** With which side a technique is thrown, by the stance; undefined for one that has no side. */
export function handOfTechnique({ techniques }: Catalogue, id: TechniqueId): 'lead' | 'rear' | undefined {
  const side = techniques.get(id)?.side;
  return side === 'both' ? undefined : side;
}
