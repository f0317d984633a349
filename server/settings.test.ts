import { expect } from 'chai';
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { settingsFrom } from './settings.ts';

describe('settings', () => {
  let home: string;
  before(() => (home = mkdtempSync(join(tmpdir(), 'wax-fist-settings-'))));
  after(() => rmSync(home, { recursive: true }));
  const from = (change: NodeJS.ProcessEnv = {}) =>
    settingsFrom({ WAX_HOME: home, WAX_DATABASE_URL: 'postgresql://x', ...change });

  it('have sane defaults', () => {
    expect(from()).to.include({ home, host: '127.0.0.1', port: 4310, secureCookie: false, logLevel: 'info' });
    expect(from().metricsPort).to.equal(undefined);
  });

  it('make a secret of their own once, that only its owner can read', () => {
    const { secret } = from();
    expect(secret).to.have.length.above(30);
    expect(from().secret).to.equal(secret);
    expect(statSync(join(home, 'cookie-secret')).mode & 0o077).to.equal(0);
    expect(from({ WAX_SECRET: 'given' }).secret).to.equal('given');
  });

  const wrong: [change: NodeJS.ProcessEnv, message: string][] = [
    [{ WAX_PORT: 'eighty' }, 'WAX_PORT'],
    [{ WAX_PORT: '70000' }, 'WAX_PORT'],
    [{ WAX_PORT: '-1' }, 'WAX_PORT'],
    [{ WAX_METRICS_PORT: 'many' }, 'WAX_METRICS_PORT'],
    [{ WAX_HOST: 'everywhere' }, 'WAX_HOST'],
    [{ WAX_CLUBS: 'several' }, 'WAX_CLUBS'],
    [{ WAX_ENCODING: 'slowly' }, 'WAX_ENCODING'],
    [{ WAX_DATABASE_URL: '' }, 'WAX_DATABASE_URL'],
  ];
  for (const [change, message] of wrong) {
    it(`${JSON.stringify(change)} is named as wrong`, () => expect(() => from(change)).to.throw(message));
  }
});
