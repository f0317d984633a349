import { expect } from 'chai';
import { Refusal } from '../../http/refusal.ts';
import { requireUnguessable } from './guessable.ts';

describe('a new password', () => {
  const refused = (password: string, ...about: string[]): boolean => {
    try {
      requireUnguessable(password, about);
      return false;
    } catch (error) {
      expect(error).to.be.instanceOf(Refusal);
      expect((error as Refusal).fields?.[0]?.field).to.equal('password');
      return true;
    }
  };

  it('is none of those that are tried first, however long they are', () => {
    for (const one of ['passwordpassword', '123456789012', 'qwertyuiop123', 'aaaaaaaaaaaa', 'iloveyou12345', 'P@ssw0rd1234'])
      expect(refused(one), one).to.equal(true);
    for (const one of ['a sentence that is kept', 'chalk and tape', 'Reifen Löffel Moos', 'kd83-fhq2-mmzp'])
      expect(refused(one), one).to.equal(false);
  });

  it('is not made of who somebody is', () => {
    expect(refused('Ostvik-ragna', 'Ragna Ostvik', 'ragna@boathouse.example')).to.equal(true);
    expect(refused('Ostvik-ragna', 'Bram Tollund', 'bram@boathouse.example')).to.equal(false);
  });

  it('is looked at in no time, however long it is', () => {
    const begun = process.cpuUsage();
    refused('p4ssw0rd'.repeat(60));
    refused('aB3'.repeat(160));
    const { user, system } = process.cpuUsage(begun);
    expect((user + system) / 1000).to.be.below(500);
  });
});
