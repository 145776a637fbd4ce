import { t } from '../../shared/words';

/** Beside a depth that a teacher has set: it is no estimate, so it has no range. */
export const SetMark = () => (
  <abbr className="setmark" title={t('Set by a teacher; it is no estimate and has no range.')}>
    {t('set')}
  </abbr>
);
