import { describe, expect, it } from 'vitest';
import { Problem } from './api';
import { faultsOf } from './forms';

const said = (key: string) => ({ key, values: [] });
const problem = new Problem(422, 'invalid', 'Not saved yet.', {
  name: said('Enter a name.'),
  'letters[1].title': said('Enter a title.'),
  terms: said('Term 1 and Term 2 overlap.'),
});

describe('what the server refuses', () => {
  it('stands at the fields a form shows, and in one place where none shows it', () => {
    const shown = ['name', 'letters.1.title'];
    expect(faultsOf(problem, (path) => shown.includes(path))).toEqual({
      fields: [
        ['name', 'Enter a name.'],
        ['letters.1.title', 'Enter a title.'],
      ],
      rest: 'Term 1 and Term 2 overlap.',
    });
  });

  it('is its one sentence where no field is named', () => {
    expect(faultsOf(new Problem(409, 'taken', 'Someone was first.'), () => true)).toEqual({
      fields: [],
      rest: 'Someone was first.',
    });
  });
});
