import { expect } from 'chai';
import { checkpoints, stillFor } from './index.ts';

describe('where and when something is seen best', () => {
  it('is a view from which it can be judged, for every checkpoint', () => {
    for (const checkpoint of checkpoints) expect(checkpoint.views, checkpoint.id).to.include(stillFor(checkpoint).view);
  });

  it('is on the way where the way is judged, else at its phase', () => {
    const moment = (id: string) => stillFor(checkpoints.find((one) => one.id === id)!).moment;
    expect([moment('sm.straight'), moment('gd.return-line'), moment('st.width')]).to.deep.equal(['way', 'home', 'ready']);
  });
});
