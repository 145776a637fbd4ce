import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { TextField } from '../../ui/TextField';

export type Invited = Api<'InvitedView'>;

/** The link with which somebody of the staff signs in for the first time, or chooses a new password. */
export function SignInLink({ invited, close }: { invited: Invited; close: () => void }) {
  return (
    <Dialog title={t('Sign-in link for {{name}}', { name: invited.name })} close={close}>
      <p>
        {invited.mailed
          ? t('The link was sent by email. You can also give it to them:')
          : t('No email address. Give them this link or print a sheet:')}
      </p>
      <TextField label={t('Link')} bare readOnly value={invited.link} onFocus={(e) => e.target.select()} />
      <p className="text-soft text-sm">
        {t('It works once, until {{day}}. User name: {{name}}.', {
          day: dayOf(invited.until),
          name: invited.userName,
        })}
      </p>
      <DialogFoot>
        <Button
          onClick={() => void navigator.clipboard?.writeText(invited.link).then(() => toast.success(t('Copied')))}
        >
          {t('Copy link')}
        </Button>
        <Button look="main" onClick={close}>
          {t('Done')}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}

/** Sheets have to be asked for with a POST, since each makes a new link. */
export function PrintSheets({ ids }: { ids: string[] }) {
  const print = async () => {
    const page = window.open('', '_blank');
    try {
      const session = await ok(api.GET('/session'));
      const answer = await fetch('/api/school/adults/passes.pdf', {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'X-XSRF-TOKEN': session.token },
        body: JSON.stringify({ adultIds: ids }),
      });
      if (!answer.ok) throw new Error(t('The sheets were not created. Nothing changed. Try again.'));
      const url = URL.createObjectURL(await answer.blob());
      if (page) page.location.href = url;
    } catch (e) {
      page?.close();
      toast.error(sentence(e));
    }
  };
  return <Button onClick={() => void print()}>{t('Print {{count}} invitation sheets', { count: ids.length })}</Button>;
}
