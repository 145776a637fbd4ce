import { api, ok } from '../../../shared/api';
import { useFields } from '../../../shared/forms';
import { t } from '../../../shared/words';
import { Card, Row } from '../../../ui/Page';
import { Form, FormFault, Submit } from '../../../ui/Form';
import { useChanged } from '../../../shared/changed';
import { useSaid } from '../../classQueries';
import { ClassFields, classSchema, classRequest } from '../../ClassFields';
import type { Roster } from './rosterQueries';

/** What the class is called, which grade it is, and when it begins and ends. */
export function ClassDetails({ roster }: { roster: Roster }) {
  const changed = useChanged();
  const said = useSaid();
  const form = useFields({
    schema: classSchema,
    start: {
      name: roster.name,
      grade: roster.grade ?? -1,
      firstDay: roster.firstDay ?? '',
      lastDay: roster.lastDay ?? '',
    },
    send: async (typed) => {
      const done = await ok(
        api.PUT('/classes/{classId}', {
          params: { path: { classId: roster.id } },
          body: classRequest(typed),
        }),
      );
      said(done.sentence, done.changeId);
      await changed('roster');
    },
  });
  return (
    <Card aria-labelledby="details">
      <h2 id="details">{t('Name, grade and dates')}</h2>
      <Form of={form}>
        <ClassFields form={form} yearName={roster.yearName} disabled={!roster.mayChange} />
        <FormFault of={form} />
        {roster.mayChange && (
          <Row end>
            <Submit of={form} disabled={!form.changed}>
              {t('Save')}
            </Submit>
          </Row>
        )}
      </Form>
    </Card>
  );
}
