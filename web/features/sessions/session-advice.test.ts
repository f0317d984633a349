import type { Correction } from '@wax-fist/contract/corrections';
import type { Film } from '@wax-fist/contract/footage';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { shippedCatalogue, usualSchool, type View } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { adviceFor, placesInWords } from './session-advice.ts';

const film = (view: View, change: Partial<Film> = {}): Film =>
  ({ id: view, view, state: 'ready', frames: 601, duration: 10_000, ...change }) as Film;
const correction = (technique: string, checkpointId: string, change: Partial<Correction> = {}): Correction =>
  ({ id: checkpointId, technique, checkpointId, state: 'working', openedOn: '2026-03-01', ...change }) as Correction;
const session = (films: Film[]) =>
  ({
    films,
    heldOn: '2026-03-08',
    judgedBy: { ...usualSchool, bookId: '' },
    trainee: { stance: 'orthodox' },
  }) as unknown as SessionDetail;
const advised = (films: Film[], corrections: Correction[]) => adviceFor(session(films), shippedCatalogue, corrections);

describe('what the films of a session can settle', () => {
  it('is told of each open correction and each film, with a better place where there is one', () => {
    const { questions } = advised(
      [film('front'), film('lead-side')],
      [correction('jab', 'st.lean'), correction('jab', 'st.width')],
    );
    expect(questions.map(({ films }) => films.map(({ advice }) => advice.settles))).to.deep.equal([
      ['nothing', 'measure'],
      ['measure', 'nothing'],
    ]);
    expect(questions.map(({ better }) => better)).to.deep.equal([undefined, undefined]);
    const [alone] = advised([film('front')], [correction('jab', 'st.lean')]).questions;
    expect(alone!.better).to.deep.equal({ from: ['lead-side', 'rear-side'], settles: 'measure' });
  });

  it('heeds the rate of the film', () => {
    const snap = correction('jab', 'sm.snap');
    const [quick] = advised([film('lead-side')], [snap]).questions;
    const [slow] = advised([film('lead-side', { frames: 151 })], [snap]).questions;
    expect(quick!.films[0]!.advice.settles).to.equal('measure');
    expect(slow!.films[0]!.advice).to.include({ settles: 'nothing' });
    expect(slow!.films[0]!.advice.reason).to.include('15 a second');
  });

  it('asks nothing of what is closed, was opened later, or is not in the checklists any more, nor of a film that failed', () => {
    const gone = [
      correction('jab', 'st.lean', { state: 'closed' }),
      correction('jab', 'st.lean', { openedOn: '2026-03-09' }),
      correction('jab', 'zz.nothing'),
      correction('headbutt', 'st.lean'),
    ];
    expect(advised([film('front')], gone).questions).to.deep.equal([]);
    expect(advised([film('front', { state: 'failed' })], [correction('jab', 'st.lean')]).questions[0]!.films).to.deep.equal([]);
  });

  it('says in words where cameras settle most, once there is a choice', () => {
    const two = advised([], [correction('jab', 'st.lean'), correction('jab', 'st.width')]);
    expect(placesInWords(two.places, 2)).to.match(
      /^One camera from the .+ settles most: of 2, 1 measured\. A second one from the .+ adds 1 measured\.$/,
    );
    expect(placesInWords(two.places, 1)).to.equal('');
  });
});
