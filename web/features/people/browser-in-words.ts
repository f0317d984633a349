/** What browsers say that they are, the more telling first. */
const browsers: readonly [RegExp, string][] = [
  [/Firefox\//, 'Firefox'],
  [/Edg\//, 'Edge'],
  [/OPR\//, 'Opera'],
  [/Chrom(e|ium)\//, 'Chrome'],
  [/Safari\//, 'Safari'],
];
const machines: readonly [RegExp, string][] = [
  [/iPhone/, 'iPhone'],
  [/iPad/, 'iPad'],
  [/Android/, 'Android'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'Mac'],
  [/Linux/, 'Linux'],
];
const first = (list: readonly [RegExp, string][], text: string): string | undefined =>
  list.find(([told]) => told.test(text))?.[1];

/** A browser as its user would name it. */
export function browserInWords(userAgent: string): string {
  // Sign-ins from before it was asked.
  if (userAgent === '') return 'A browser';
  const [browser, machine] = [first(browsers, userAgent), first(machines, userAgent)];
  if (!browser) return machine ?? 'Something else than a browser';
  return machine ? `${browser}, ${machine}` : browser;
}
