import { toast } from 'sonner';
import { z } from 'zod';
import { api, ok, sentence } from '../../shared/api';
import { fm, halfRange } from '../../shared/format';
import { useFields } from '../../shared/forms';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { Form, FormFault, Submit } from '../../ui/Form';
import { NumberField, TextField } from '../../ui/TextField';
import type { TextData, Version } from './TextPage';

const schema = z.object({ depth: z.number(), reason: z.string() });

/** A depth that counts instead of the calculated one. */
export function StateDepth({ x, version, close }: { x: TextData; version: Version; close: () => void }) {
  const put = async (depth: number | null, reason: string | null) => {
    await ok(
      api.PUT('/texts/{textId}/versions/{versionId}/depth', {
        params: { path: { textId: x.id, versionId: version.id } },
        body: { depth, reason },
      }),
    );
    toast.success(depth === null ? t('The calculated depth counts again') : t('Overruled depth'));
    close();
  };
  const form = useFields({
    schema,
    start: {
      depth: version.stated?.depth ?? Number(version.depth.toFixed(1)),
      reason: version.stated?.reason ?? '',
    },
    send: ({ depth, reason }) => put(depth, reason),
  });
  return (
    <Dialog title={t('Overrule depth of version {{name}}', { name: version.label })} close={close}>
      <Form of={form}>
        <p>
          {t('The calculated depth is {{depth}} ± {{error}} fm. Yours counts instead; both stay visible.', {
            depth: fm(version.formulaDepth),
            error: halfRange(version.formulaError).toFixed(1),
          })}
        </p>
        <NumberField label={t('Depth in fathoms')} step="0.5" {...form.field('depth')} />
        <TextField label={t('Why')} {...form.field('reason')} />
        <FormFault of={form} />
        <DialogFoot>
          {version.stated && (
            <Button onClick={() => void put(null, null).catch((e: unknown) => toast.error(sentence(e)))}>
              {t('Use calculated depth')}
            </Button>
          )}
          <Button onClick={close}>{t('Cancel')}</Button>
          <Submit of={form}>{t('Overrule depth')}</Submit>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}
