import { InvalidArgumentError } from 'commander';

/** A share of the command line. @throws InvalidArgumentError outside of 0 to 1 */
export function share(text: string): number {
  const value = Number(text);
  if (text.trim() === '' || !(value >= 0 && value <= 1)) throw new InvalidArgumentError('It lies between 0 (few) and 1 (many).');
  return value;
}
