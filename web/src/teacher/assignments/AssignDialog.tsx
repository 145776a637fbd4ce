import { fieldOf, sentence } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { say, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText, FieldRow } from '../../ui/Field';
import { Notice } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { DateField } from '../../ui/DateField';
import { TextField } from '../../ui/TextField';
import { needOptions, placeOptions } from './terms';
import { AlsoIn } from './AlsoIn';
import { useGiving, whomOptions, type Giving, type GivingState } from './useGiving';
import { WhoGetsWhat } from './WhoGetsWhat';

/** Says exactly what will happen, then does it: who gets which version of which text, until when. */
export function AssignDialog(props: Giving) {
  const { texts, close } = props;
  const giving = useGiving(props);
  const { how, setHow, skip, setSkip, error, busy, rows, readers, goingTo, people, assign } = giving;
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
        <How of={giving} today={props.data.today} />
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
        {(giving.notes.data ?? []).length > 0 && (
          <Notice kind="action" aria-label={t('Look at this first')}>
            <ul className="grid gap-1">
              {(giving.notes.data ?? []).map((note) => (
                <li key={say(note)}>{say(note)}</li>
              ))}
            </ul>
          </Notice>
        )}
        <WhoGetsWhat of={giving} texts={texts} />
        {texts.some((x) => x.onTheWay > 0) && (
          <p>
            <Checkbox checked={how.onTheWay} set={(onTheWay) => setHow({ onTheWay })}>
              {t('Ask questions on the way, between paragraphs. They do not count.')}
            </Checkbox>
          </p>
        )}
        <p>
          <Checkbox checked={how.aloud} set={(aloud) => setHow({ aloud })}>
            {t('Read aloud: readers record themselves and you mark the recording.')}
          </Checkbox>
        </p>
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

/** When, how often, and what is said with it. */
function How({ of: { how, setHow, error }, today }: { of: GivingState; today: string }) {
  return (
    <>
      <FieldRow>
        <DateField
          label={t('Visible from')}
          error={fieldOf(error, 'visibleFrom')}
          min={today}
          value={how.visibleFrom}
          set={(visibleFrom) => setHow({ visibleFrom })}
        />
        {how.need !== 'Recommended' && (
          <DateField
            label={t('Due on')}
            error={fieldOf(error, 'dueOn')}
            min={today}
            value={how.due}
            set={(due) => setHow({ due })}
          />
        )}
        <DateField
          label={t('Closes after')}
          error={fieldOf(error, 'closesOn')}
          min={how.due || today}
          value={how.closesOn}
          set={(closesOn) => setHow({ closesOn })}
        />
        <Select
          label={t('Tries per question')}
          error={fieldOf(error, 'attempts')}
          value={how.attempts}
          set={(value) => setHow({ attempts: Number(value) })}
          options={[1, 2, 3].map((n) => ({ value: n, label: n }))}
        />
      </FieldRow>
      <FieldRow>
        <Select label={t('Kind of work')} value={how.need} set={(need) => setHow({ need })} options={needOptions()} />
        <Select label={t('Where')} value={how.place} set={(place) => setHow({ place })} options={placeOptions()} />
      </FieldRow>
      <TextField
        label={t('Directions for readers')}
        error={fieldOf(error, 'directions')}
        maxLength={500}
        value={how.directions}
        placeholder={t('Optional')}
        set={(directions) => setHow({ directions })}
      />
      <FieldRow>
        <TextField
          label={t('Heading for readers')}
          error={fieldOf(error, 'heading')}
          maxLength={60}
          value={how.heading}
          placeholder={t('Optional')}
          set={(heading) => setHow({ heading })}
        />
        <TextField
          label={t('Note for colleagues')}
          error={fieldOf(error, 'note')}
          maxLength={500}
          value={how.note}
          placeholder={t('Optional')}
          set={(note) => setHow({ note })}
        />
      </FieldRow>
    </>
  );
}
