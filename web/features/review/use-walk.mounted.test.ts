import 'fake-indexeddb/auto';
import type { StrikeMark } from '@wax-fist/contract/review';
import type { Track } from '@wax-fist/core/body';
import { expect } from 'chai';
import { computed, effectScope } from 'vue';
import { deskData, standing, until } from '../../test/desk-data.ts';
import { onFreshPage } from '../../test/mounted.ts';
import { useFollowedFilm } from './use-followed-film.ts';
import { useWalk } from './use-walk.ts';

const strike: StrikeMark = {
  ...{ kind: 'strike', id: 'a', strikeId: 'b', saidAt: '', technique: 'jab', part: null, removed: false },
  ...{ launchFrame: 110, contactFrame: 120, homeFrame: 135 },
  ...{ launchOrigin: 'set', contactOrigin: 'set', homeOrigin: 'set' },
};

describe('the rows of a walk', () => {
  onFreshPage();
  const walkAt = (frameRate: number, points?: Track) => {
    const data = deskData('lead-side', { frameRate, bodies: points ? { pose: () => Promise.resolve(points) } : {} });
    Object.assign(data, { stance: 'orthodox' });
    Object.assign(data.film, { width: 1280, height: 720 });
    const scope = effectScope();
    const walk = scope.run(() =>
      useWalk(
        data,
        computed(() => strike),
        () => undefined,
        useFollowedFilm(data).followed,
      ),
    )!;
    walk.full.value = true;
    const ids = (list: readonly { checkpoint: { id: string } }[]): string[] => list.map(({ checkpoint: { id } }) => id);
    return { walk, scope, shown: () => ids(walk.rows.value), hidden: () => ids(walk.hidden.value) };
  };

  it('have what is over between two frames where it is measured, and only there', async () => {
    const followed = walkAt(30, standing());
    expect(followed.hidden(), 'before the body is here').to.include('gd.return-line');
    await until(() => followed.shown().includes('gd.return-line'));
    expect(followed.hidden()).to.not.include('gd.return-line');
    expect(followed.hidden(), 'what the view cannot show').to.include('st.width');
    expect(followed.walk.rows.value.every(({ shown }) => shown)).to.equal(true);
    followed.scope.stop();

    const alone = walkAt(30);
    expect(alone.shown()).to.not.include('gd.return-line');
    expect(alone.hidden()).to.include('gd.return-line');
    alone.scope.stop();

    const slow = walkAt(15, standing());
    await until(() => slow.walk.track.value !== undefined);
    expect(slow.hidden(), 'slower than anything was tried').to.include('gd.return-line');
    slow.scope.stop();
  });
});
