import { cameraEndpoints, mostSide, type CameraSays } from '@wax-fist/contract/camera';
import type { Stance, View } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { filmPath } from '../../demo/footage.ts';
import { eachColourPicture } from '../../media/inspect.ts';
import { startServer, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

const [width, height] = [mostSide, 252];
/** The first picture of a film of the demo club. */
async function pictureOf(film: string): Promise<string> {
  let picture = '';
  await eachColourPicture(filmPath(film), { from: 0, frames: 1, width, height }, (rgb) => {
    picture = Buffer.from(rgb).toString('base64');
    return Promise.resolve();
  });
  return picture;
}
const grey = (level: number): string => Buffer.alloc(width * height * 3, level).toString('base64');

describe('a picture of the camera', function () {
  this.timeout(60_000);
  let server: ServerUnderTest;
  let coach: Visitor;
  before(async () => {
    server = await startServer({ works: false, environment: { WAX_POSE: 'lite' } });
    coach = await server.as('coach');
  });
  after(() => server.stop());
  const look = (rgb: string, view: View, stance: Stance = 'orthodox', by = coach) =>
    by.ask<CameraSays>(cameraEndpoints.lookAtPicture, {}, { width, height, rgb, view, stance });
  const kinds = async (film: string, view: View, stance?: Stance): Promise<string[]> =>
    (await look(await pictureOf(film), view, stance)).body.findings.map(({ kind }) => kind);

  it('is known by its view: whoever stands as planned is not told to move round', async () => {
    expect(await kinds('maren-first-lead-side', 'lead-side')).not.to.include.members(['view']);
    expect(await kinds('maren-first-lead-side', 'rear-side')).to.include('view');
    expect(await kinds('maren-first-front', 'lead-side')).to.include('view');
    expect(await kinds('maren-first-front', 'front')).not.to.include('view');
    expect(await kinds('juno-1-lead-side', 'lead-side', 'southpaw')).not.to.include('view');
  });

  it('with nobody in it says so, and when it is dark', async () => {
    expect((await look(grey(140), 'front')).body.findings.map(({ kind }) => kind)).to.deep.equal(['nobody']);
    expect((await look(grey(12), 'front')).body.findings.map(({ kind }) => kind)).to.deep.equal(['dark', 'nobody']);
  });

  it('is as large as it says, and no larger than is looked at', async () => {
    expect((await look(grey(12).slice(0, -40), 'front')).status).to.equal(422);
    const large = { width: 4000, height, rgb: grey(3), view: 'front', stance: 'orthodox' };
    expect((await coach.ask(cameraEndpoints.lookAtPicture, {}, large)).status).to.equal(422);
  });

  it('is not looked at where nobody looks for bodies', async () => {
    const blind = await startServer({ works: false, environment: { WAX_POSE: 'off' } });
    const { status, body } = await look(grey(90), 'front', 'orthodox', await blind.as('coach'));
    expect([status, JSON.stringify(body)]).to.satisfy(
      ([code, said]: [number, string]) => code === 409 && said.includes('yourself'),
    );
    await blind.stop();
  });
});
