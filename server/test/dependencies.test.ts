import { expect } from 'chai';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';

/** Licences under which something may ship with the product, as SPDX names them. */
const fine: ReadonlySet<string> = new Set([
  ...['MIT', 'ISC', '0BSD', 'BSD-2-Clause', 'BSD-3-Clause', 'Apache-2.0', 'BlueOak-1.0.0', 'OFL-1.1', 'MPL-2.0'],
  ...['Apache-2.0 AND BSL-1.0', '(MIT OR CC0-1.0)'],
]);
/** What says its licence in words: read by a person, of this version. */
const read: Readonly<Record<string, string>> = {
  'combine-errors': 'MIT',
  'dejavu-fonts-ttf': 'Bitstream Vera and Arev, free to embed and to ship',
  'png-js': 'MIT',
};

interface Locked {
  version?: string;
  license?: string;
  link?: boolean;
  dev?: boolean;
  devOptional?: boolean;
  integrity?: string;
}

describe('what the product is made of', () => {
  let shipped: [name: string, what: Locked][];
  before(async () => {
    const root = join(import.meta.dirname, '../..');
    const { packages } = JSON.parse(await readFile(join(root, 'package-lock.json'), 'utf8')) as {
      packages: Record<string, Locked>;
    };
    shipped = Object.entries(packages)
      .filter(([path, { link, dev, devOptional }]) => path.includes('node_modules/') && !link && !dev && !devOptional)
      .map(([path, what]) => [path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length), what]);
  });

  it('is known by version, and is the same bytes on every machine', () => {
    expect(shipped.length).to.be.above(100);
    for (const [name, { version, integrity }] of shipped) {
      expect(version, name).to.match(/^\d+\.\d+\.\d+/);
      expect(integrity, name).to.match(/^sha512-/);
    }
  });

  it('may be shipped, by its licence', () => {
    const unknown = shipped.filter(([name, { license }]) => !(license && fine.has(license)) && !read[name]);
    expect(unknown.map(([name, { license }]) => `${name}: ${license}`)).to.deep.equal([]);
    // What was read and is gone, or now says it itself, need not be read any more.
    for (const name of Object.keys(read))
      expect(
        shipped.some(([one]) => one === name),
        name,
      ).to.equal(true);
  });
});
