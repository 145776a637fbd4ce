import { Problem, sentence } from '../shared/api';
import { t } from '../shared/words';

/** Why something of a reader's work was not taken, as a child is told: what is not found was theirs a moment ago. */
export const refusal = (e: unknown) =>
  e instanceof Problem && e.code === 'not-found'
    ? t('Your teacher took this back. What you did is safe.')
    : sentence(e);
