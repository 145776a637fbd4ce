import { z } from 'zod';
import { line, present } from '../../../shared/forms';
import { phrase } from '../../../shared/words';

const day = present(phrase('Enter a day.'));

/** A school year as it is written: its days, its terms, its days off. */
export const yearSchema = z.object({
  name: line(40, phrase('Enter a year name of 40 letters or fewer.')),
  firstDay: day,
  lastDay: day,
  terms: z.array(
    z.object({
      id: z.string().nullable(),
      name: line(40, phrase('Enter a name of 40 letters or fewer for each term.')),
      firstDay: day,
      lastDay: day,
    }),
  ),
  daysOff: z.array(z.string()),
});

export type YearFields = z.infer<typeof yearSchema>;
