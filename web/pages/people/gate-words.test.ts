import { expect, test } from '@jest/globals';
import { gateInWords } from './gate-words';

const even = { in: 1, holdFull: 0, out: 1, holdEmpty: 0 };
const long = { in: 1, holdFull: 0, out: 2, holdEmpty: 0 };
const rung = { ratio: long, gate: 3, before: even, easyBefore: 1, easyHere: 0, open: false };
const plain = (words: string): string => words.replaceAll('\u00a0', ' ');

test('a gate says when it opens and how far somebody has come', () => {
  expect(plain(gateInWords(rung))).toBe('after 3 easy sessions at 1 : 0 : 1; 1 so far');
  expect(plain(gateInWords({ ...rung, easyBefore: 4, open: true }))).toBe('open, after 4 easy sessions at 1 : 0 : 1');
  expect(gateInWords({ ...rung, before: undefined })).toBe('from the start');
});

test('where the record is not known, nothing is counted', () => {
  expect(plain(gateInWords(rung, false))).toBe('after 3 easy sessions at 1 : 0 : 1');
});
