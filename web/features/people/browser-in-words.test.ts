import { expect } from 'chai';
import { browserInWords } from './browser-in-words.ts';

describe('a browser in words', () => {
  const table: [userAgent: string, words: string][] = [
    ['Mozilla/5.0 (X11; Linux x86_64; rv:128.0) Gecko/20100101 Firefox/128.0', 'Firefox, Linux'],
    [
      'Mozilla/5.0 (Windows NT 10.0; Win64; x64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/130.0.0.0 Safari/537.36 Edg/130.0.0.0',
      'Edge, Windows',
    ],
    [
      'Mozilla/5.0 (iPhone; CPU iPhone OS 17_5 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.5 Mobile/15E148 Safari/604.1',
      'Safari, iPhone',
    ],
    [
      'Mozilla/5.0 (Linux; Android 14; Pixel 8) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/130.0.0.0 Mobile Safari/537.36',
      'Chrome, Android',
    ],
    ['node', 'Something else than a browser'],
    ['', 'A browser'],
  ];
  for (const [userAgent, words] of table) it(words, () => expect(browserInWords(userAgent)).to.equal(words));
});
