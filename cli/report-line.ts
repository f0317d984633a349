/** Progress on one line where somebody watches, else only what is new. */
export function reporter(name: string): (what: string) => void {
  let before = '';
  return (what) => {
    if (what === before) return;
    if (process.stderr.isTTY) process.stderr.write(`\r\u001b[K${name}: ${what}`);
    else if (what.replace(/\d+%/, '') !== before.replace(/\d+%/, '')) process.stderr.write(`${name}: ${what}\n`);
    before = what;
  };
}
export const percent = (share: number): string => `${Math.floor(share * 100)}%`;
