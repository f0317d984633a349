import { noteEndpoints, type Note, type NoteDraft } from '@wax-fist/contract/notes';
import { reportEndpoints } from '@wax-fist/contract/reports';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { expect } from 'chai';
import { v7 as uuid } from 'uuid';
import { thrown } from '../../test/marks.ts';
import { addScene, startServer, type ClubScene, type ServerUnderTest, type Visitor } from '../../test/server-under-test.ts';

describe('notes', () => {
  let server: ServerUnderTest;
  let coach: Visitor;
  let scene: ClubScene;
  const strikeId = uuid();
  const spoken = Buffer.from('this is how it sounds');
  before(async () => {
    server = await startServer({ works: false });
    coach = await server.as('coach');
    scene = await addScene(server);
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks: [thrown(strikeId)] });
  });
  after(() => server.stop());

  const save = (change: Partial<NoteDraft>, who = coach) => {
    const draft = { id: uuid(), sessionId: scene.sessionId, strikeId: null, text: '', voice: null, ...change };
    return who.ask<Note>(noteEndpoints.saveNote, { noteId: draft.id }, draft);
  };
  const list = async (who = coach): Promise<Note[]> =>
    (await who.ask<Note[]>(noteEndpoints.sessionNotes, { sessionId: scene.sessionId })).body;
  const voice = { type: 'audio/webm' as const, lasts: 2400, data: spoken.toString('base64') };

  it('are kept on a session and on a strike, with the way to it', async () => {
    expect((await save({ text: ' Breathes out late. ' })).status).to.equal(200);
    expect((await save({ text: 'This one!', strikeId })).status).to.equal(200);
    const [ofSession, ofStrike] = await list();
    expect(ofSession).to.include({ text: 'Breathes out late.', strikeId: null, strike: null, saidBy: 'A coach', own: true });
    expect(ofStrike!.strike).to.deep.equal({ filmId: scene.filmId, technique: 'jab', contactFrame: 60 });
  });

  it('are spoken, heard again, and keep their voice when something is typed', async () => {
    const { body } = await save({ voice });
    expect([body.text, body.voice]).to.deep.equal(['', { lasts: 2400 }]);
    const heard = await coach.ask<ArrayBuffer>(noteEndpoints.noteVoice, { noteId: body.id });
    expect(heard.headers.get('content-type')).to.equal('audio/webm');
    expect(Buffer.from(heard.body)).to.deep.equal(spoken);
    const typed = await save({ id: body.id, text: 'What I said there' });
    expect([typed.body.text, typed.body.voice]).to.deep.equal(['What I said there', { lasts: 2400 }]);
  });

  it('stand in the report where they are typed', async () => {
    const { body } = await coach.ask(reportEndpoints.sessionReport, { sessionId: scene.sessionId });
    const notes = body.sections.find(({ heading }: { heading: string }) => heading === 'Notes');
    expect(notes.items).to.deep.equal([
      'Breathes out late. (A coach)',
      'On a jab: This one! (A coach)',
      'What I said there (A coach)',
    ]);
  });

  it('are changed by whoever said them, and taken away by them or the head coach', async () => {
    const [first, second] = await list();
    const head = await server.as('head-coach');
    expect((await list(head))[0]!.own).to.equal(false);
    expect((await save({ id: first!.id, text: 'Mine now' }, head)).status).to.equal(403);
    expect((await head.ask(noteEndpoints.removeNote, { noteId: first!.id })).status).to.equal(204);
    const { body: ofHead } = await save({ text: 'From above' }, head);
    expect((await coach.ask(noteEndpoints.removeNote, { noteId: ofHead.id })).status).to.equal(403);
    expect((await coach.ask(noteEndpoints.removeNote, { noteId: second!.id })).status).to.equal(204);
    expect((await coach.ask(noteEndpoints.removeNote, { noteId: second!.id })).status).to.equal(404);
  });

  it('say something, of something that is there, and no longer than two minutes', async () => {
    expect((await save({ text: '  ' })).status).to.equal(422);
    expect((await save({ text: 'x', sessionId: uuid() })).status).to.equal(404);
    expect((await save({ text: 'x', strikeId: uuid() })).status).to.equal(404);
    expect((await save({ voice: { ...voice, lasts: 200_000 } })).status).to.equal(422);
    expect((await save({ voice: { ...voice, data: 'no!' } })).status).to.equal(422);
    expect((await save({ voice: { ...voice, type: 'video/mp4' as never } })).status).to.equal(422);
    expect((await coach.ask(noteEndpoints.noteVoice, { noteId: uuid() })).status).to.equal(404);
  });
});
