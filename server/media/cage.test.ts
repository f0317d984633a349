import { expect } from 'chai';
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { once } from 'node:events';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { caged, protectedBy } from './cage.ts';
import { MediaFailure, runMedia } from './program.ts';

const limits = { memory: 512 * 1024 ** 2, written: 1_000_000 };
const inside = (script: string) => {
  const [program, ...words] = caged('/bin/sh', ['-c', script], limits);
  return spawnSync(program, words, { encoding: 'utf8' });
};

describe('the cage of media programs', () => {
  /** Whether the kernel lets a program be set apart at all: where it does not, that part of the cage is missing and said to be. */
  const apart = spawnSync('/usr/bin/unshare', ['--user', '--map-current-user', '--net', '/bin/true']).status === 0;

  it('says what it has on this machine', () => {
    expect(protectedBy()).to.deep.equal([
      ...(apart ? ['no network', 'no rights'] : []),
      ...['no new rights', 'ended with the worker', 'limits of memory and disk'],
    ]);
  });

  it('has no network: not even a port of this machine can be reached', async function () {
    if (!apart) this.skip();
    const server = createServer().listen(0, '127.0.0.1');
    await once(server, 'listening');
    const { port } = server.address() as { port: number };
    const knock = `const s=require('net').connect(${port},'127.0.0.1');s.on('connect',()=>process.exit(0));s.on('error',()=>process.exit(7))`;
    const [program, ...words] = caged(process.execPath, ['-e', knock], { ...limits, memory: 64 * 1024 ** 3 });
    expect(spawnSync(program, words).status).to.equal(7);
    // The same without a cage gets through: the door was open.
    const { status } = await new Promise<{ status: number | null }>((resolve) =>
      spawn(process.execPath, ['-e', knock]).on('exit', (code) => resolve({ status: code })),
    );
    expect(status).to.equal(0);
    server.close();
  });

  it('has no rights, and no way to gain one', function () {
    if (!apart) this.skip();
    const { stdout } = inside('grep -E "^(CapPrm|CapEff|CapBnd|NoNewPrivs)" /proc/self/status');
    const said = Object.fromEntries(
      stdout
        .trim()
        .split('\n')
        .map((line) => line.split(/:\s+/) as [string, string]),
    );
    expect(said).to.deep.equal({
      ...{ CapPrm: '0000000000000000', CapEff: '0000000000000000', CapBnd: '0000000000000000', NoNewPrivs: '1' },
    });
  });

  it('ends what takes too much memory or writes too much', () => {
    const folder = mkdtempSync(join(tmpdir(), 'wax-fist-cage-'));
    try {
      const { signal, status } = inside(`head -c 2000000 /dev/zero > ${join(folder, 'much')}`);
      expect(signal ?? status).to.not.equal(0);
      expect(inside(`head -c 900000000 /dev/zero | tail -c 800000000 | wc -c`).stdout.trim()).to.not.equal('800000000');
    } finally {
      rmSync(folder, { recursive: true });
    }
  });

  it('is around ffmpeg: an address is not fetched', async () => {
    const refused = await runMedia('ffprobe', ['-i', 'http://127.0.0.1:1/film.mp4']).catch((error: unknown) => error);
    expect(refused).to.be.instanceOf(MediaFailure);
  });
});
