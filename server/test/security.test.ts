import { expect } from 'chai';
import { access, readFile } from 'node:fs/promises';
import { join } from 'node:path';

const root = join(import.meta.dirname, '../..');

describe('what is said of security', () => {
  it('names a test that is there for everything that is said to be kept', async () => {
    const lines = (await readFile(join(root, 'docs/security.md'), 'utf8')).split('\n').filter((line) => /^\| V\d/.test(line));
    expect(lines.length).to.be.above(25);
    for (const line of lines) {
      const [, section, state, how] = line.split('|').map((cell) => cell.trim());
      expect(state, section).to.be.oneOf(['kept', 'in part', 'told', 'missing', 'none']);
      const tests = [...how!.matchAll(/`([\w/-]+\.test\.ts)`/g)].map(([, path]) => path!);
      if (state === 'kept') expect(tests, section).to.not.deep.equal([]);
      for (const path of tests) await access(join(root, path));
    }
  });
});
