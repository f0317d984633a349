import type { Film } from '@wax-fist/contract/footage';
import { packTrack, type Track } from '@wax-fist/core/body';
import { expect } from 'chai';
import { effectScope, type EffectScope } from 'vue';
import { deskData, standing, until } from '../../test/desk-data.ts';
import { onFreshPage } from '../../test/mounted.ts';
import { pointsOf, secondPassOf } from '../footage/playable.ts';
import { useTracks, type FilmTracks } from './use-tracks.ts';

/** Somebody who stands so many pixels further on. */
function standingAt(further: number): Track {
  const track = standing();
  for (let number = 0; number < track.values.length; number += 4) track.values[number]! += further;
  return track;
}
const placeOf = (track: Track | undefined): number | undefined => track && track.values[0]! - standing().values[0]!;
const step = (name: string, state: string, progress: number) => ({ step: name, state, progress, left: null, reason: null });

describe('bodies that are still being followed while the bench is open', () => {
  const { fetch } = globalThis;
  let scope: EffectScope;
  let tracks: FilmTracks;
  let film: Film;
  /** What the server was asked for, and where the body stands by now. */
  let asked: string[];
  let further: number;
  let isAway: boolean;
  /** The one file that does not come through. */
  let lost: string | undefined;
  /** Those that the server answers with a refusal. */
  let refuses: number | undefined;
  onFreshPage();

  const follows = (...steps: ReturnType<typeof step>[]): void => {
    film = { ...film, steps } as Film;
  };
  const times = (what: string): number => asked.filter((one) => one === what).length;
  beforeEach(() => {
    [asked, further, isAway, lost, refuses] = [[], 0, false, undefined, undefined];
    globalThis.fetch = ((url: string) => {
      const file = url.split('/').at(-1)!;
      if (isAway || lost === file) return Promise.reject(new TypeError('no connection'));
      asked.push(file);
      if (refuses && file !== film.id) return Promise.resolve(Response.json({ message: 'No.' }, { status: refuses }));
      return Promise.resolve(
        new Response(file === film.id ? JSON.stringify(film) : (packTrack(standingAt(further)).buffer as ArrayBuffer)),
      );
    }) as typeof globalThis.fetch;
    const data = deskData('lead-side', { bodies: { pose: pointsOf, 'second-pass': secondPassOf } });
    film = { ...data.film, id: 'a-film' };
    follows(step('pose', 'working', 0.2), step('second-pass', 'waiting', 0));
    scope = effectScope();
    scope.run(() => (tracks = useTracks({ ...data, film }, 5)));
  });
  afterEach(() => scope.stop());
  after(() => Object.assign(globalThis, { fetch }));

  it('come as far as they are followed, once so much more is there that it is worth sending', async () => {
    await until(() => placeOf(tracks.striker.value) === 0);
    further = 10;
    follows(step('pose', 'working', 0.25), step('second-pass', 'waiting', 0));
    await until(() => times('a-film') > 2);
    expect(times('points'), 'a twentieth more').to.equal(1);
    follows(step('pose', 'working', 0.5), step('second-pass', 'waiting', 0));
    await until(() => placeOf(tracks.striker.value) === 10);
    expect(times('points')).to.equal(2);
    expect(tracks.again.value).to.equal(undefined);
  });

  it('are whole in the end, with what a second pass has found, and nobody is asked any more', async () => {
    further = 20;
    follows(step('pose', 'done', 1), step('second-pass', 'done', 1));
    await until(() => placeOf(tracks.striker.value) === 20 && placeOf(tracks.again.value) === 20);
    const before = asked.length;
    await new Promise((resolve) => setTimeout(resolve, 40));
    expect(asked).to.have.lengthOf(before);
    expect(tracks.holder.value, 'nobody holds').to.equal(undefined);
  });

  it('come later where there is no connection for a while', async () => {
    isAway = true;
    await new Promise((resolve) => setTimeout(resolve, 25));
    [isAway, further] = [false, 30];
    follows(step('pose', 'done', 1), step('second-pass', 'skipped', 0));
    await until(() => placeOf(tracks.striker.value) === 30);
    expect(tracks.again.value).to.equal(undefined);
  });

  it('are fetched again where a fetch failed, though nothing is at work any more', async () => {
    follows(step('pose', 'done', 1), step('second-pass', 'done', 1));
    [lost, further] = ['points', 35];
    await until(() => tracks.again.value !== undefined);
    expect(placeOf(tracks.striker.value)).to.equal(0);
    lost = undefined;
    await until(() => placeOf(tracks.striker.value) === 35);
    const before = asked.length;
    await new Promise((resolve) => setTimeout(resolve, 40));
    expect(asked).to.have.lengthOf(before);
  });

  it('are not asked for again and again where they are refused for good', async () => {
    refuses = 410;
    follows(step('pose', 'done', 1), step('second-pass', 'skipped', 0));
    await until(() => times('points') === 2);
    await new Promise((resolve) => setTimeout(resolve, 40));
    expect(times('points'), 'when the bench was opened, and when it was done').to.equal(2);
    expect(placeOf(tracks.striker.value)).to.equal(0);
  });

  it('come where the server has stumbled', async () => {
    refuses = 503;
    follows(step('pose', 'done', 1), step('second-pass', 'skipped', 0));
    await until(() => times('points') > 3);
    [refuses, further] = [undefined, 45];
    await until(() => placeOf(tracks.striker.value) === 45);
  });

  it('of somebody who is pointed out replace all that was found beside whoever was followed before', async () => {
    further = 40;
    follows(step('pose', 'done', 1), step('second-pass', 'done', 1));
    await until(() => tracks.again.value !== undefined);
    further = 50;
    follows(step('pose', 'done', 1), step('second-pass', 'working', 0.1));
    tracks.show(film, standingAt(50));
    expect([placeOf(tracks.striker.value), tracks.again.value]).to.deep.equal([50, undefined]);
    follows(step('pose', 'done', 1), step('second-pass', 'done', 1));
    await until(() => placeOf(tracks.again.value) === 50);
  });
});
