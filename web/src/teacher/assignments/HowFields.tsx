import { fieldOf } from '../../shared/api';
import { t } from '../../shared/words';
import { DateField } from '../../ui/DateField';
import { FieldRow } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { NumberField, TextField } from '../../ui/TextField';
import type { How } from './how';
import { ShareField } from './stream/ShareField';
import { needOptions, placeOptions, resultOptions } from './terms';

interface Props {
  of: { how: How; setHow: (change: Partial<How>) => void; error: unknown };
  today: string;
  classId: string;
  /** Whether questions are asked that can be tried. */
  tries: boolean;
}

/** When, how often, and what is said with it. */
export function HowFields({ of: { how, setHow, error }, today, classId, tries }: Props) {
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
        {tries && (
          <Select
            label={t('Tries per question')}
            error={fieldOf(error, 'attempts')}
            value={how.attempts}
            set={(value) => setHow({ attempts: Number(value) })}
            options={[1, 2, 3].map((n) => ({ value: n, label: n }))}
          />
        )}
      </FieldRow>
      <FieldRow>
        <Select label={t('Kind of work')} value={how.need} set={(need) => setHow({ need })} options={needOptions()} />
        <Select label={t('Where')} value={how.place} set={(place) => setHow({ place })} options={placeOptions()} />
        <Select
          label={t('Readers see results')}
          value={how.results}
          set={(results) => setHow({ results })}
          options={resultOptions()}
        />
        {how.results === 'WhenReleased' && (
          <DateField
            label={t('Release marked work on')}
            error={fieldOf(error, 'releasesOn')}
            min={how.visibleFrom || today}
            value={how.releasesOn}
            set={(releasesOn) => setHow({ releasesOn })}
          />
        )}
      </FieldRow>
      <TextField
        label={t('Directions for readers')}
        error={fieldOf(error, 'directions')}
        maxLength={500}
        value={how.directions}
        placeholder={t('Optional')}
        set={(directions) => setHow({ directions })}
      />
      {how.directions !== '' && (
        <TextField
          label={t('Directions in Spanish, for homes that speak it')}
          error={fieldOf(error, 'homeDirections')}
          maxLength={500}
          value={how.homeDirections}
          placeholder={t('Optional')}
          set={(homeDirections) => setHow({ homeDirections })}
        />
      )}
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
        <NumberField
          label={t('Worth, points')}
          title={t('0: not in the gradebook')}
          error={fieldOf(error, 'worth')}
          min={0}
          max={1000}
          value={how.worth}
          set={(worth) => setHow({ worth })}
        />
      </FieldRow>
      <ShareField of={{ how, setHow }} classId={classId} />
    </>
  );
}
