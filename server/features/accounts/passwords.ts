import { hash, verify, argon2id } from 'argon2';

/** Memory in KiB and passes as recommended for argon2id in OWASP's password storage cheat sheet (2023). */
const cost = { type: argon2id, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export const hashedPassword = (password: string): Promise<string> => hash(password, cost);

let nobodysHash: Promise<string> | undefined;

/** Takes as long for an unknown account as for a known one, so that nobody learns which addresses exist. */
export async function passwordFits(kept: string | undefined, password: string): Promise<boolean> {
  nobodysHash ??= hashedPassword('nobody has this password');
  const fits = await verify(kept ?? (await nobodysHash), password);
  return kept !== undefined && fits;
}
