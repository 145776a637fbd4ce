import type { Api } from '../../shared/api';

/** A reader as the school's list has them. */
export type SchoolReader = Api<'SchoolReader'>;

export const whole = (r: SchoolReader) => `${r.givenName} ${r.familyName}`.trim();
