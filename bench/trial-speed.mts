import { films, followed } from './followed-films.ts';
import { measurable, measureByPoints, pointMeasures } from '@wax-fist/core/measure';
import { frameNearest } from '@wax-fist/core/film';
import { shippedCatalogue, techniqueIn } from '@wax-fist/core/technique';
const { scene, truth } = followed(films.find((f) => f.includes('sunniva-bag'))!)!;
const run = () => {
  let n = 0;
  for (const { technique: id, measures, ...t } of truth.strikes) {
    const s = measurable(
      scene,
      {
        launchFrame: frameNearest(scene.timeline, t.launch),
        launchOrigin: 'set',
        contactFrame: frameNearest(scene.timeline, t.contact),
        contactOrigin: 'set',
        homeFrame: frameNearest(scene.timeline, t.home),
        homeOrigin: 'set',
      },
      techniqueIn(shippedCatalogue, id),
    );
    for (const c of Object.keys(measures!)) if ((pointMeasures as any)[c] && measureByPoints(s!, c)!.value !== undefined) n++;
  }
  return n;
};
run();
const times = [];
let n = 0;
for (let i = 0; i < 5; i++) {
  const t = performance.now();
  n = run();
  times.push(performance.now() - t);
}
console.log(truth.strikes.length, 'strikes', n, 'numbers', times.map((x) => x.toFixed(0)).join(' '));
