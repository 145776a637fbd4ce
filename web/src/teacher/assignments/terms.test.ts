import { describe, expect, it } from 'vitest';
import { fieldsOf, termsOf, termsSchema, unusual, usualWorth, type Terms } from './terms';

const usual: Terms = {
  visibleFrom: '2026-11-23',
  dueOn: '2026-11-27',
  closesOn: null,
  need: 'Required',
  place: 'Anywhere',
  results: 'AtOnce',
  releasesOn: null,
  worth: usualWorth,
  mayChange: false,
  talk: false,
  heading: '',
  directions: '',
  homeDirections: '',
  homeLanguage: '',
  note: '',
};
const faultsOf = (changed: Partial<Terms>) => {
  const parsed = termsSchema.safeParse(fieldsOf({ ...usual, ...changed }));
  return parsed.success ? [] : parsed.error.issues.map((i) => i.path.join('.'));
};

describe('the terms of an assignment', () => {
  it('come out of a form as they went in', () =>
    expect(termsOf(fieldsOf({ ...usual, closesOn: '2026-12-04', releasesOn: '2026-12-01' }))).toEqual({
      ...usual,
      closesOn: '2026-12-04',
      releasesOn: '2026-12-01',
    }));

  it('have no due day where the work is only recommended', () =>
    expect(termsOf(fieldsOf({ ...usual, need: 'Recommended' })).dueOn).toBeNull());

  it('name the language of the directions for homes only where there are some', () => {
    expect(termsOf(fieldsOf({ ...usual, homeDirections: '  ' })).homeLanguage).toBe('');
    expect(termsOf(fieldsOf({ ...usual, homeDirections: 'Lee en casa.' })).homeLanguage).not.toBe('');
  });

  it.each([
    [{}, []],
    [{ dueOn: '2026-11-23' }, []],
    [{ dueOn: '2026-11-22' }, ['dueOn']],
    [{ closesOn: '2026-11-27' }, []],
    [{ closesOn: '2026-11-26' }, ['closesOn']],
    [{ dueOn: null, closesOn: '2026-11-22' }, ['closesOn']],
    [{ worth: 0 }, []],
    [{ worth: 1001 }, ['worth']],
    [{ worth: 2.5 }, ['worth']],
  ] as [Partial<Terms>, string[]][])('are looked at before they are sent: %o', (changed, faults) =>
    expect(faultsOf(changed)).toEqual(faults),
  );

  it('say nothing where all is as usual', () => expect(unusual(usual)).toEqual([]));

  it('say what is not, in one order', () =>
    expect(
      unusual({
        ...usual,
        turn: 1,
        mayChange: true,
        talk: true,
        results: 'WhenReleased',
        worth: 0,
        need: 'Extra',
        place: 'AtHome',
      }),
    ).toEqual([
      'opens when the one before is handed in',
      'readers may change version',
      'open for talk',
      'results when released',
      'not in the gradebook',
      'extra',
      'at home',
    ]));

  it('say nothing of its turn to the first of several', () => expect(unusual({ ...usual, turn: 0 })).toEqual([]));
});
