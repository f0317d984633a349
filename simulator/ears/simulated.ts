import { seededRandom, type Random } from '../random.ts';
import { heardRate, type Library, type Recording } from '../recordings/library.ts';
import { thirdOf } from '../sound/practice.ts';
import { noise, track, type Add } from '../sound/voices.ts';

/** One short sound, made at the simulator's rate and heard at the product's. */
function shortSound(name: string, make: (add: Add) => void): Recording {
  const { samples, add } = track(0.6);
  make(add);
  const heard = thirdOf(samples);
  const peak = heard.reduce((most, value) => Math.max(most, Math.abs(value)), 1e-9);
  return { package: 'simulated', name, samples: heard.map((value) => value / peak).subarray(0, Math.round(0.55 * heardRate)) };
}

/** A glove on leather: a slap, the leather, and the body's ring anywhere from a speed bag to the heaviest bag. */
const blow = (random: Random): ((add: Add) => void) => {
  const slap = noise(random, random.between(600, 1800), random.between(4000, 11_000));
  const leather = noise(random, random.between(80, 300), random.between(800, 3000));
  const [slapLevel, leatherLevel, ringLevel] = [random.between(0.1, 2), random.between(0.2, 1.4), random.between(0, 1.6)];
  const [slapDies, leatherDies, ringDies] = [
    random.between(0.005, 0.03),
    random.between(0.01, 0.05),
    random.between(0.015, 0.07),
  ];
  const pitch = 70 * 6 ** random.next();
  const [bend, rises] = [random.between(0, 1.5), random.between(0.0005, 0.006)];
  return (add) =>
    add(
      0,
      0.5,
      (t) =>
        Math.min(1, t / rises) *
        (slapLevel * slap() * Math.exp(-t / slapDies) +
          leatherLevel * leather() * Math.exp(-t / leatherDies) +
          ringLevel * Math.sin(2 * Math.PI * pitch * t * (1 - bend * t)) * Math.exp(-t / ringDies)),
    );
};

/** A rubber sole that is set down and slides. */
const scuff = (random: Random): ((add: Add) => void) => {
  const sole = noise(random, random.between(100, 500), random.between(1200, 6000));
  const [rises, lasts] = [random.between(0.002, 0.03), random.between(0.02, 0.12)];
  return (add) => add(0, 0.5, (t) => Math.min(1, t / rises) * sole() * Math.exp(-t / lasts));
};

/** A rope on the floor: a click, and the whistle of the rope before. */
const tick = (random: Random): ((add: Add) => void) => {
  const click = noise(random, random.between(1500, 4000), random.between(6000, 12_000));
  const whistle = noise(random, 400, 2500);
  const [dies, before] = [random.between(0.002, 0.012), random.between(0.05, 0.2)];
  const quiet = random.between(0, 0.15);
  return (add) => {
    add(0, before, (t) => quiet * whistle() * Math.sin((Math.PI * t) / before));
    add(before, 0.1, (t) => click() * Math.min(1, t / 0.0005) * Math.exp(-t / dies));
  };
};

/** Air through teeth: it swells and is cut off, or bursts and fades. */
const breath = (random: Random): ((add: Add) => void) => {
  const hiss = noise(random, random.between(500, 2500), random.between(4000, 9000));
  const [lasts, swells] = [random.between(0.08, 0.4), random.between(0.1, 0.7)];
  return (add) =>
    add(0, lasts, (t) => {
      const share = t / lasts;
      return hiss() * (share < swells ? share / swells : (1 - share) / (1 - swells)) ** random.between(1, 1.2);
    });
};

/** A consonant that somebody shouts: a hiss or a pop of the lips, and a vowel behind it. */
const shout = (random: Random): ((add: Add) => void) => {
  const pop = noise(random, random.between(200, 3000), random.between(3000, 9000));
  const [popLasts, wait, lasts] = [random.between(0.004, 0.05), random.between(0, 0.03), random.between(0.12, 0.35)];
  const pitch = random.between(110, 380);
  const formants = [random.between(300, 900), random.between(900, 2400), random.between(2400, 3200)];
  return (add) => {
    add(0, 0.15, (t) => 0.7 * pop() * Math.min(1, t / 0.002) * Math.exp(-t / popLasts));
    add(wait, lasts, (t) => {
      const shape = Math.min(1, t / 0.02, (lasts - t) / 0.05);
      let sum = 0;
      for (let overtone = 1; overtone * pitch < 4000; overtone++) {
        const hertz = overtone * pitch;
        const loud = formants.reduce((most, formant) => Math.max(most, 1 / (1 + ((hertz - formant) / 150) ** 2)), 0.02);
        sum += loud * Math.sin(2 * Math.PI * hertz * t + overtone);
      }
      return 0.35 * shape * sum;
    });
  };
};

const makers = { hit: [blow, 240], step: [scuff, 40], tick: [tick, 40], breath: [breath, 30], speech: [shout, 60] } as const;

/** Sounds that no recording has, so that few recordings do not decide alone; the same seed always gives the same. */
export function withSimulated(library: Library, seed: number): Library {
  const random = seededRandom(seed);
  const more = structuredClone(library);
  for (const [kind, [maker, count]] of Object.entries(makers) as [keyof typeof makers, (typeof makers)['hit']][])
    for (let place = 0; place < count; place++) more[kind].push(shortSound(`${kind} ${place}`, maker(random)));
  return more;
}
