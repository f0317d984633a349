import { eightCall } from '@wax-fist/core/calls';
import { expect } from 'chai';
import { benchKeysFor } from '../../features/review/bench-keys.ts';
import { drawnKey, keyName, type Pressed } from './key-name.ts';

const pressed = (key: string, held: Partial<Pressed> = {}): Pressed => ({
  key,
  shiftKey: false,
  ctrlKey: false,
  metaKey: false,
  altKey: false,
  ...held,
});

describe('key names', () => {
  const table: [Pressed, string, string][] = [
    [pressed('a'), 'a', 'A'],
    [pressed('A', { shiftKey: true }), 'Shift+a', 'Shift A'],
    [pressed('A'), 'a', 'A'],
    [pressed('ä'), 'ä', 'Ä'],
    [pressed('?', { shiftKey: true }), '?', '?'],
    [pressed('+', { shiftKey: true }), '+', '+'],
    [pressed(' '), ' ', 'Space'],
    [pressed('ArrowLeft'), 'ArrowLeft', '←'],
    [pressed('ArrowLeft', { shiftKey: true }), 'Shift+ArrowLeft', 'Shift ←'],
    [pressed('z', { ctrlKey: true }), 'Ctrl+z', 'Ctrl Z'],
    [pressed('z', { metaKey: true }), 'Ctrl+z', 'Ctrl Z'],
    [pressed('Z', { ctrlKey: true, shiftKey: true }), 'Ctrl+Shift+z', 'Ctrl Shift Z'],
    [pressed('Delete'), 'Delete', 'Del'],
  ];
  for (const [event, name, drawn] of table) {
    it(`“${drawn}”`, () => {
      expect(keyName(event)).to.equal(name);
      expect(drawnKey(name)).to.equal(drawn);
    });
  }
});

describe('keys of the bench', () => {
  const benchKeys = benchKeysFor(eightCall, (technique) => technique);
  it('do one thing each', () => {
    const keys = benchKeys.flatMap((action) => action.keys);
    expect(new Set(keys).size).to.equal(keys.length);
    expect(new Set(benchKeys.map(({ id }) => id)).size).to.equal(benchKeys.length);
  });

  it('with a number say what the book says', () => {
    expect(benchKeys.find(({ id }) => id === 'tag-6')!.name).to.include('overhand');
    expect(benchKeys.some(({ id }) => id === 'tag-9')).to.equal(false);
  });

  it('are written as a key press is named', () => {
    for (const key of benchKeys.flatMap((action) => action.keys)) {
      const bare = key.replace(/^(Ctrl\+)?(Shift\+)?/, '');
      const held = { ctrlKey: key.includes('Ctrl+'), shiftKey: key.includes('Shift+') };
      expect(keyName(pressed(bare, held))).to.equal(key);
    }
  });
});
