import { mount } from '@vue/test-utils';
import { expect } from 'chai';
import { h } from 'vue';
import TextWith from './TextWith.vue';

describe('a sentence with parts of their own', () => {
  const slots = { key: () => h('kbd', 'x'), link: () => h('a', 'there') };
  const told = (text: string) => mount(() => h('p', h(TextWith, { text }, slots))).text();

  it('has each part where its text says, in whatever order that is', () => {
    expect(told('Press {key}, or go {link}.')).to.equal('Press x, or go there.');
    expect(told('{link} is where {key} leads')).to.equal('there is where x leads');
  });

  it('is a plain text without any', () => expect(told('Nothing to press.')).to.equal('Nothing to press.'));
});
