import { parseCombination, sixCall } from '@wax-fist/core/calls';
import { askLevel, usualSpread, type Change } from '@wax-fist/core/correction';
import { padKinds } from '@wax-fist/core/rounds';
import { emptyTally, seen, tallyOf, type Tally, type Verdict } from '@wax-fist/core/review';
import { checklistFor, readySchools, shippedCatalogue, usualSchool, type School } from '@wax-fist/core/technique';
import { expect } from 'chai';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { runMedia } from '../media/program.ts';
import { demoCoaches, demoSets, demoTrainees } from './club.ts';
import { filmPath, footage, truthOfFilm } from './footage.ts';
import { marksFromTruth, type FilmTruth } from './marks-from-truth.ts';
import type { DemoSession, DemoSubject } from './person.ts';

const schoolOf = (id: string | undefined): School => readySchools.find((school) => school.id === id) ?? usualSchool;
/** A session's films, with how they are judged. */
const judgedIn = ({ films, roundKind }: DemoSession, schoolId: string | undefined) =>
  films.map((film) => ({ ...film, school: schoolOf(schoolId), withHolder: padKinds.includes(roundKind) }));
const judged = demoTrainees.flatMap(({ schoolId, sessions }) => sessions.flatMap((session) => judgedIn(session, schoolId)));

describe('demo club', () => {
  it('has only addresses that lead nowhere', () => {
    for (const { email } of demoCoaches) expect(email).to.match(/\.example$/);
  });

  for (const { name, view, rows = [], school, withHolder } of judged) {
    it(`${name} ships with its truth, is small, and is judged only on rows that its view shows`, () => {
      expect(existsSync(join(footage, `${name}.truth.json.gz`))).to.equal(true);
      expect(statSync(filmPath(name)).size).to.be.below(4e6);
      const thrown = new Set(truthOfFilm(name).strikes.map(({ technique }) => technique));
      const shown = [...thrown]
        .flatMap((id) => checklistFor(shippedCatalogue, id, { school, view, withHolder }))
        .filter((row) => row.shown)
        .map(({ checkpoint }) => checkpoint.id);
      expect(shown).to.include.members([...rows]);
    });

    it(`${name} has the form of a review copy: frames in order, a key frame every fifteen, small enough`, async () => {
      const { width, height, codec, keys, inOrder } = await formOf(filmPath(name));
      expect(codec).to.equal('h264');
      expect(Math.max(width, height)).to.be.at.most(1280);
      expect([width % 2, height % 2]).to.deep.equal([0, 0]);
      expect(inOrder).to.equal(true);
      for (const [place, key] of keys.entries()) expect(key - (keys[place - 1] ?? 0)).to.be.at.most(15);
    });
  }

  it('shows every film that ships, and all of them are small', () => {
    const films = readdirSync(footage).filter((name) => name.endsWith('.mp4'));
    expect(films.sort()).to.deep.equal(judged.map(({ name }) => `${name}.mp4`).sort());
    const bytes = readdirSync(footage).reduce((sum, name) => sum + statSync(join(footage, name)).size, 0);
    expect(bytes).to.be.below(80e6);
  });

  it('has sets and plans that can be read, and a school of its own only where there is one', () => {
    const planned = demoTrainees.flatMap(({ sessions }) => sessions.flatMap((session) => session.planned ?? []));
    for (const recipe of [...demoSets.map((set) => set.recipe), ...planned]) {
      expect(parseCombination(recipe, { book: sixCall, catalogue: shippedCatalogue }).ok, recipe).to.equal(true);
    }
    const schools = readySchools.map(({ id }) => id as string);
    for (const { schoolId } of demoTrainees) if (schoolId) expect(schools).to.include(schoolId);
  });

  it('has its sessions in order, and pads held by others of the club', () => {
    const names = demoTrainees.map(({ name }) => name);
    for (const { name, sessions } of demoTrainees) {
      const days = sessions.map(({ daysAgo }) => daysAgo);
      expect(days).to.deep.equal([...days].sort((a, b) => b - a));
      for (const { holder } of sessions) if (holder) expect(names.filter((other) => other !== name)).to.include(holder);
    }
  });

  it('speaks only of corrections that were opened before, from rows that were judged', () => {
    for (const { sessions } of demoTrainees) {
      const open = new Set<string>();
      for (const { corrections = [], words = [], films } of sessions) {
        const rows = films.flatMap((film) => film.rows ?? []);
        for (const { technique, checkpointId } of [...corrections, ...words]) expect(rows, technique).to.include(checkpointId);
        for (const { technique, checkpointId } of words) expect(open).to.include(`${technique} ${checkpointId}`);
        for (const { technique, checkpointId } of corrections) open.add(`${technique} ${checkpointId}`);
      }
    }
  });
});

describe('what the demo club tells', () => {
  const person = (name: string) => demoTrainees.find((one) => one.name.startsWith(name))!;
  const tallies = (name: string, subject: DemoSubject): Tally[] =>
    person(name).sessions.map((session) => counted(session, person(name).schoolId, subject));
  /** What is said of a correction that was opened in the first session, after each of the sessions at its rung. */
  const changesOf = (name: string, subject: DemoSubject): (Change | undefined)[] => {
    const { sessions } = person(name);
    const all = tallies(name, subject).map((tally, place) => ({
      sessionId: `s${place}`,
      heldOn: new Date(Date.UTC(2026, 5, 30 - sessions[place]!.daysAgo)).toISOString().slice(0, 10),
      tally,
    }));
    const looks = all.filter((_, place) => sessions[place]!.rung === sessions[0]!.rung);
    return looks.map((_, place) => askLevel(looks.slice(0, place + 1), usualSpread, { openedOn: looks[0]!.heldOn }).change);
  };

  it('a correction that holds: better, and within its target from the third session on', () => {
    const lowReturn = { technique: 'jab', checkpointId: 'gd.return-line' } as const;
    expect(changesOf('Idris', lowReturn).at(-1)).to.equal('better');
    const { target } = person('Idris').sessions[0]!.corrections![0]!;
    for (const tally of tallies('Idris', lowReturn).slice(2)) expect(tally.fault / seen(tally)).to.be.at.most(target);
  });

  it('one that is better at once, where enough was thrown', () => {
    expect(changesOf('Maren', { technique: 'jab', checkpointId: 'gd.return-line' })).to.deep.equal([undefined, 'better']);
  });

  it('one that was good on the bag and comes back on free pads', () => {
    const all = tallies('Juno', { technique: 'cross', checkpointId: 'gd.other-hand' });
    const { target } = person('Juno').sessions[0]!.corrections![0]!;
    expect(all.map((tally) => tally.fault / seen(tally) > target)).to.deep.equal([true, true, false, true]);
  });

  it('one that goes up and down without a change', () => {
    expect(changesOf('Pavel', { technique: 'lead-hook', checkpointId: 'sm.hook-width' })).to.deep.equal([
      undefined,
      ...Array<Change>(3).fill('no-clear-change'),
    ]);
  });

  it('a fault that hurts, seen less on one leg and found on the other', () => {
    const rear = tallies('Edda', { technique: 'rear-round', checkpointId: 'pv.support-turn' });
    expect(rear[3]!.fault).to.be.below(rear[0]!.fault / 2);
    const other = tallies('Edda', { technique: 'switch-round', checkpointId: 'pv.support-turn' });
    expect(other[3]!.fault).to.be.above(1);
  });

  it('a holder whose pads are wide, and get narrower', () => {
    const [first, second] = tallies('Noor', { technique: 'holding', checkpointId: 'ph.narrow' });
    expect(second!.fault).to.be.below(first!.fault / 2);
  });

  it('a child who leaves nothing out of the set and turns the rear foot by now', () => {
    const [first, second] = tallies('Lio', { technique: 'cross', checkpointId: 'pv.rear-turn' });
    expect(first!.fault).to.be.above(0);
    expect(second!.fault).to.equal(0);
  });
});

/** What the marks of a session's reviewed films come to, for one thing. */
function counted(session: DemoSession, schoolId: string | undefined, { technique, checkpointId }: DemoSubject): Tally {
  for (const { name, rows = [], ...judging } of judgedIn(session, schoolId)) {
    const marks = marksFromTruth(truthOfFilm(name), { ...judging, rows }, new Date(0));
    const techniqueOf = new Map(marks.flatMap((mark) => (mark.kind === 'strike' ? [[mark.strikeId, mark.technique]] : [])));
    const said = marks.flatMap((mark): Verdict[] =>
      mark.kind === 'observation' &&
      mark.checkpointId === checkpointId &&
      mark.verdict &&
      (technique === 'holding' || techniqueOf.get(mark.strikeId) === technique)
        ? [mark.verdict]
        : [],
    );
    if (said.length > 0) return tallyOf(said);
  }
  return emptyTally;
}

/** What a film is made of; `keys` are the numbers of its key frames. */
async function formOf(path: string) {
  const lines: string[] = [];
  const entries = 'stream=codec_name,width,height:packet=pts,flags';
  await runMedia('ffprobe', ['-select_streams', 'v:0', '-of', 'json', '-show_entries', entries, path], {
    onLine: (line) => lines.push(line),
  });
  const { packets, streams } = JSON.parse(lines.join('\n')) as {
    packets: { pts: number; flags: string }[];
    streams: [{ codec_name: string; width: number; height: number }];
  };
  const [{ codec_name: codec, width, height }] = streams;
  return {
    codec,
    width,
    height,
    keys: packets.flatMap(({ flags }, place) => (flags.startsWith('K') ? [place] : [])),
    inOrder: packets.every(({ pts }, place) => place === 0 || pts > packets[place - 1]!.pts),
  };
}

describe('marks from truth', () => {
  const jab = { technique: 'jab', launch: 100, contact: 250, home: 480 };
  const cross = { technique: 'cross', launch: 600, contact: 790, home: 1100 };
  const truth: FilmTruth = {
    scene: { stance: 'orthodox' },
    frameTimes: Array.from({ length: 60 }, (_, frame) => frame * 20),
    strikes: [
      { ...jab, faults: [{ checkpoint: 'gd.return-line', strength: 0.9 }] },
      { ...cross, faults: [{ checkpoint: 'gd.return-line', strength: 0.5 }], held: [{ checkpoint: 'ph.firm', strength: 0.8 }] },
      { ...cross, technique: 'somersault', faults: [] },
    ],
  };
  const judging = { view: 'lead-side', school: usualSchool, withHolder: false } as const;
  const marks = marksFromTruth(truth, { ...judging, rows: ['gd.return-line', 'st.width'] }, new Date(0));
  const words = (list: typeof marks) =>
    list.flatMap((mark) => (mark.kind === 'observation' ? [[mark.checkpointId, mark.verdict]] : []));

  it('tag each known strike at its frames', () => {
    const strikes = marks.filter((mark) => mark.kind === 'strike');
    expect(
      strikes.map(({ technique, launchFrame, contactFrame, homeFrame }) => [technique, launchFrame, contactFrame, homeFrame]),
    ).to.deep.equal([
      ['jab', 5, 12, 24],
      ['cross', 30, 39, 55],
    ]);
  });

  it('judge the wanted rows that this view shows: a strong fault as a fault, a slight one as one to watch', () => {
    expect(words(marks)).to.deep.equal([
      ['gd.return-line', 'fault'],
      ['gd.return-line', 'watch'],
    ]);
  });

  it('judge whoever holds the pads only where somebody does', () => {
    const held = (withHolder: boolean) =>
      words(marksFromTruth(truth, { ...judging, withHolder, rows: ['ph.firm'] }, new Date(0)));
    expect(held(false)).to.deep.equal([]);
    expect(held(true)).to.deep.equal([
      ['ph.firm', 'clean'],
      ['ph.firm', 'fault'],
    ]);
  });
});
