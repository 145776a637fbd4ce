import { describe, expect, it } from 'vitest';
import { before, markOf, mostOf, rowsOf, whole, withPoint } from './rubric';

const rubric = {
  criteria: [
    { name: 'Says what', marks: ['no', 'yes'] },
    { name: 'Says why', marks: ['no', 'one reason', 'two reasons'] },
  ],
  samples: [],
};

describe('marking row by row', () => {
  it('goes by the rows of the question, or by the usual one', () => {
    expect(rowsOf({ rubric }).map((row) => row.name)).toEqual(['Says what', 'Says why']);
    expect(mostOf({ rubric })).toBe(3);
    expect(mostOf({ rubric: null })).toBe(3);
    expect(rowsOf({ rubric: null })).toHaveLength(1);
  });
  it('is whole when every row has its points', () => {
    expect(whole([1, null])).toBeNull();
    expect(whole([])).toBeNull();
    expect(whole([1, 0])).toEqual([1, 0]);
    expect(markOf([1, 2], 3)).toEqual({ points: [1, 2], of: 3 });
  });
  it('takes back the row that was chosen last', () => {
    expect(before([1, null], 1)).toBe(0);
    expect(before([1, 2], 1)).toBe(1);
    expect(before([null, null], 0)).toBe(0);
    expect(withPoint([1, 2], 1, null)).toEqual([1, null]);
  });
});
