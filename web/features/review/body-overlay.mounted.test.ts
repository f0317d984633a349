import { followedFilm, pinnedFilm, type FollowedFilm, type ReadFrom } from '@wax-fist/core/measure';
import { expect } from 'chai';
import { standing, timeline } from '../../test/desk-data.ts';
import { mounted, onFreshPage } from '../../test/mounted.ts';
import BodyOverlay from './BodyOverlay.vue';

describe('the body over the picture', () => {
  onFreshPage();
  const film = followedFilm({
    timeline,
    picture: { width: 800, height: 600 },
    track: standing(),
    view: 'lead-side',
    stance: 'orthodox',
  })!;
  const readFrom = (points: ReadFrom['points'], ofHolder = false): ReadFrom => ({
    ...{ points, ofHolder, from: 1000, to: 1000 },
    ...{ pass: 'first', steadiness: 'found' },
  });
  const read = readFrom(['leftShoulder', 'leftElbow', 'leftWrist']);
  const overlay = (change: { film?: FollowedFilm; read?: ReadFrom; row?: string; bare?: boolean } = {}) =>
    mounted(BodyOverlay, { props: { film, at: 60, width: 800, height: 600, ...change } });

  it('is thin lines and dots as long as no row asks for more', () => {
    const wrapper = overlay();
    expect(wrapper.findAll('circle')).to.have.length(22);
    expect(wrapper.findAll('ellipse, .drawn, text')).to.have.length(0);
  });

  it('shows what a row is measured by: its points with their doubt, and the angle with its degrees', () => {
    const wrapper = overlay({ row: 'sm.extension', read });
    expect(wrapper.findAll('circle')).to.have.length(3);
    expect(wrapper.findAll('ellipse')).to.have.length(3);
    expect(wrapper.findAll('line.about')).to.have.length(2);
    expect(wrapper.find('text').text()).to.match(/^\d+°$/);
  });

  it('does not doubt a pin, and leaves the dots to others where it is bare', () => {
    const pinned = pinnedFilm(film, [{ frame: 60, point: 'leftElbow', said: 'here', x: 300, y: 260 }]);
    expect(overlay({ film: pinned, row: 'sm.extension', read }).findAll('ellipse')).to.have.length(2);
    expect(overlay({ row: 'sm.extension', read, bare: true }).findAll('circle, ellipse')).to.have.length(0);
  });

  it('shows whoever holds as well: thin, and drawn out where a row is about them', () => {
    const held = followedFilm({ ...film, track: film.track, holder: standing() })!;
    const alone = overlay().findAll('line').length;
    expect(overlay({ film: held }).findAll('line')).to.have.length(2 * alone);
    expect(overlay({ film: held, row: 'sm.extension', read }).findAll('line.about')).to.have.length(2);
    const ofHolder = readFrom(['nose', 'leftWrist', 'rightWrist'], true);
    const wrapper = overlay({ film: held, row: 'ph.head-clear', read: ofHolder });
    expect(wrapper.findAll('line.drawn')).to.have.length(3);
    expect(wrapper.findAll('circle')).to.have.length(3);
  });

  it('draws nothing in a frame in which nobody was found', () => {
    expect(overlay({ film: { ...film, track: { ...film.track, from: 100 } } }).findAll('line, circle')).to.have.length(0);
  });
});
