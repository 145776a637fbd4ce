import { fieldOf, sentence } from '../../../shared/api';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { DialogFoot } from '../../../ui/Dialog';
import { ErrorText } from '../../../ui/Field';

/** What is wrong with a plan, and the buttons that save it or leave it. */
export const PlanFoot = ({ error, busy, close }: { error: unknown; busy: boolean; close: () => void }) => (
  <>
    {error ? <ErrorText>{fieldOf(error, 'items') ?? sentence(error)}</ErrorText> : null}
    <DialogFoot>
      <Button onClick={close}>{t('Cancel')}</Button>
      <Button look="main" type="submit" disabled={busy}>
        {t('Save plan')}
      </Button>
    </DialogFoot>
  </>
);
