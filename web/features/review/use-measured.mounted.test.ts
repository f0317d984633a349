import 'fake-indexeddb/auto';
import type { StrikeMark } from '@wax-fist/contract/review';
import { emptyTrack, type Track } from '@wax-fist/core/body';
import { shippedCatalogue, type Checkpoint } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { computed, effectScope, shallowRef } from 'vue';
import { deskData, standing, until } from '../../test/desk-data.ts';
import { onFreshPage } from '../../test/mounted.ts';
import { useMeasured } from './use-measured.ts';

const strikeAt = (contactFrame: number): StrikeMark => ({
  ...{ kind: 'strike', id: 'a', strikeId: 'b', saidAt: '', technique: 'jab', part: null, removed: false },
  ...{ launchFrame: contactFrame - 10, contactFrame, homeFrame: contactFrame + 15 },
  ...{ launchOrigin: 'set', contactOrigin: 'set', homeOrigin: 'set' },
});
const checkpoint = (id: string): Checkpoint => shippedCatalogue.checkpoints.get(id)!;

describe('what is measured at the bench', () => {
  onFreshPage();
  const desk = (points: Promise<Track | undefined> | undefined) => {
    const strike = shallowRef<StrikeMark | undefined>(strikeAt(120));
    const data = deskData('lead-side', points && { bodies: { pose: () => points } });
    Object.assign(data, { stance: 'orthodox' });
    const scope = effectScope();
    const measured = scope.run(() =>
      useMeasured(
        data,
        computed(() => strike.value),
      ),
    )!;
    return { strike, measured, scope };
  };

  it('comes from the moments at once, and from the body when that is here', async () => {
    const { measured, scope } = desk(Promise.resolve(standing()));
    expect(measured.measureOf.value(checkpoint('sm.snap'))!.value).to.be.closeTo(1.5, 0.01);
    expect(measured.measureOf.value(checkpoint('st.lean'))).to.equal(undefined);
    await until(() => measured.measureOf.value(checkpoint('st.lean')) !== undefined);
    expect(measured.measureOf.value(checkpoint('st.lean'))!.value).to.be.a('number');
    expect(measured.readFor('st.lean')!.points).to.have.members(['leftHip', 'rightHip', 'leftShoulder', 'rightShoulder']);
    expect(measured.readFor('sm.fist')).to.equal(undefined);
    scope.stop();
  });

  it('is never that of the strike before', async () => {
    const { strike, measured, scope } = desk(Promise.resolve(standing()));
    await until(() => measured.measureOf.value(checkpoint('st.lean')) !== undefined);
    strike.value = strikeAt(300);
    expect(measured.measureOf.value(checkpoint('st.lean'))).to.equal(undefined);
    await until(() => measured.measureOf.value(checkpoint('st.lean')) !== undefined);
    strike.value = undefined;
    expect(measured.measureOf.value(checkpoint('st.lean'))).to.equal(undefined);
    scope.stop();
  });

  it('is nothing of a series that was tagged as a whole: its moments are those of several strikes', async () => {
    const { strike, measured, scope } = desk(Promise.resolve(standing()));
    await until(() => measured.measureOf.value(checkpoint('st.lean')) !== undefined);
    strike.value = { ...strikeAt(300), technique: 'jab-cross-step' };
    await until(() => measured.readFor('st.lean') !== undefined);
    expect(measured.measureOf.value(checkpoint('st.lean'))).to.equal(undefined);
    strike.value = { ...strikeAt(300), technique: 'jab-cross-step', part: 0 };
    await until(() => measured.measureOf.value(checkpoint('st.lean')) !== undefined);
    scope.stop();
  });

  it('is the moments’ alone where the body was not followed', async () => {
    for (const points of [undefined, Promise.resolve(undefined), Promise.resolve(emptyTrack(0, 600))]) {
      const { measured, scope } = desk(points);
      await points;
      expect(measured.track.value).to.equal(undefined);
      expect(measured.measureOf.value(checkpoint('st.lean'))).to.equal(undefined);
      scope.stop();
    }
  });
});
