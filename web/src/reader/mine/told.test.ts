import { expect, test } from 'vitest';
import { faultsOf, whole, type Told } from './told';

const told = (of: Partial<Told>): Told => ({
  title: 'The Salt Road',
  author: '',
  day: '2026-11-30',
  minutes: '',
  pages: '',
  finished: true,
  said: '',
  ...of,
});
const wrong = (of: Partial<Told>) => Object.keys(faultsOf(told(of)));

test('a title is enough, and without one nothing is kept', () => {
  expect(wrong({})).toEqual([]);
  expect(wrong({ title: '  ' })).toEqual(['title']);
});

test('minutes and pages are none, or such as there are', () => {
  expect(wrong({ minutes: '1', pages: '3000' })).toEqual([]);
  expect(wrong({ minutes: '0', pages: '3001' })).toEqual(['minutes', 'pages']);
  expect(wrong({ minutes: '601' })).toEqual(['minutes']);
  expect([whole(''), whole(' '), whole('25')]).toEqual([null, null, 25]);
});
