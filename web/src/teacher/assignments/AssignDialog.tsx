import { fieldOf, sentence } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { AlsoIn } from './AlsoIn';
import { DifferentForSome } from './DifferentForSome';
import { LookFirst } from './LookFirst';
import { whomOptions } from './how';
import { HowFields } from './HowFields';
import { PaperFields } from './PaperFields';
import { useGiving, type Giving } from './useGiving';
import { WhatReadersDo } from './WhatReadersDo';
import { WhoGetsWhat } from './WhoGetsWhat';

/** Says exactly what will happen, then does it: who gets which version of which text, until when. */
export function AssignDialog(props: Giving) {
  const { texts, close } = props;
  const giving = useGiving(props);
  const { how, skip, setSkip, error, busy, rows, readers, goingTo, people, assign } = giving;
  return (
    <Dialog title={t('Assign {{title}}', { title: texts.map((x) => x.title).join(', ') })} close={close} wide>
      <form noValidate className="grid gap-3" onSubmit={(e) => void assign(e)}>
        <Select
          label={t('For')}
          error={fieldOf(error, 'readerIds')}
          value={giving.who}
          set={giving.setWho}
          options={whomOptions(props.data, props.readers)}
        />
        <AlsoIn of={giving.also} skip={skip} />
        <WhatReadersDo of={giving} texts={texts} />
        <HowFields of={giving} today={props.data.today} classId={props.data.id} tries={how.kind !== 'Recording'} />
        <PaperFields
          papers={giving.papers}
          set={giving.setPapers}
          texts={texts}
          classId={props.data.id}
          error={error}
        />
        <DifferentForSome
          of={giving}
          data={props.data}
          fields={{
            tries: how.kind !== 'Recording',
            onTheWay: how.kind === 'Text' && texts.some((x) => x.onTheWay > 0),
            aloud: how.kind === 'Text',
            supports: true,
          }}
        />
        <h3>{t('What happens')}</h3>
        {texts.map((text) => (
          <p key={text.id}>
            {t('{{title}} appears for {{n}} of {{all}} readers {{when}}{{due}}. Each gets the version that fits.', {
              title: text.title,
              n: goingTo(text).length,
              all: readers.length,
              when:
                how.visibleFrom > props.data.today ? t('on {{day}}', { day: dayOf(how.visibleFrom) }) : t('at once'),
              due: how.due && how.need !== 'Recommended' ? `, ${t('due')} ${dayOf(how.due)}` : '',
            })}
            {how.need === 'Extra' && ` ${t('It opens for each reader when everything required is handed in.')}`}
            {how.closesOn &&
              ` ${t('It closes after {{day}}: what is answered by then is handed in.', { day: dayOf(how.closesOn) })}`}
          </p>
        ))}
        <LookFirst notes={giving.notes.data} said={props.said} />
        <WhoGetsWhat of={giving} texts={texts} />
        {rows.some(({ f }) => f.before) && (
          <p>
            <Checkbox checked={skip} set={setSkip}>
              {t('Skip readers who have had it')}
            </Checkbox>
          </p>
        )}
        {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button type="submit" value="draft" disabled={busy || people === 0 || !giving.also.ready}>
            {t('Save as draft')}
          </Button>
          <Button look="main" type="submit" disabled={busy || people === 0 || !giving.also.ready}>
            {t('Assign to {{count}} readers', { count: people })}
          </Button>
        </DialogFoot>
      </form>
    </Dialog>
  );
}
