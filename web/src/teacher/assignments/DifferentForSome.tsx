import { Trash } from '@phosphor-icons/react';
import { fieldOf } from '../../shared/api';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { DateField } from '../../ui/DateField';
import { ErrorText } from '../../ui/Field';
import { IconButton } from '../../ui/IconButton';
import { Select } from '../../ui/Select';
import type { ClassData, ReaderRow } from '../classQueries';
import type { How } from './how';
import { practiceOptions } from './terms';
import { emptyWay, waysFor, type WayRow } from './ways';

interface Props {
  of: { how: How; setHow: (change: Partial<How>) => void; error: unknown; readers: ReaderRow[] };
  data: ClassData;
  /** What can differ besides the day it is due. */
  fields: { tries?: boolean; onTheWay?: boolean; aloud?: boolean; words?: boolean; supports?: boolean };
}

const mostWays = 12;

/** A group or a reader who does the same task otherwise: other tries, another day, questions on the way or not. */
export function DifferentForSome({ of: { how, setHow, error, readers }, data, fields }: Props) {
  const options = waysFor(data, readers);
  const free = options.find((o) => !how.ways.some((w) => w.who === o.value));
  const put = (i: number, change: Partial<WayRow>) =>
    setHow({ ways: how.ways.map((w, j) => (j === i ? { ...w, ...change } : w)) });
  const wrong = fieldOf(error, 'ownDue') ?? fieldOf(error, 'ways');
  return (
    <fieldset className="grid gap-2">
      <legend className="sr-only">{t('Different for some')}</legend>
      {how.ways.map((w, i) => (
        <div key={i} className="border-line flex flex-wrap items-end gap-2 border-l-2 pl-2.5">
          <Select label={t('Different for')} value={w.who} set={(who) => put(i, { who })} options={options} />
          <WayFields way={w} put={(change) => put(i, change)} fields={fields} today={data.today} />
          <IconButton
            look="plain"
            label={t('Remove row {{n}}', { n: i + 1 })}
            onClick={() => setHow({ ways: how.ways.filter((_, j) => j !== i) })}
          >
            <Trash size={16} aria-hidden />
          </IconButton>
        </div>
      ))}
      {wrong && <ErrorText>{wrong}</ErrorText>}
      {free && how.ways.length < mostWays && (
        <p>
          <Button onClick={() => setHow({ ways: [...how.ways, emptyWay(free.value)] })}>
            {t('Different for some…')}
          </Button>
        </p>
      )}
    </fieldset>
  );
}

const same = () => ({ value: '', label: t('As for all') });
const yesOrNo = () => [same(), { value: 'yes', label: t('Yes') }, { value: 'no', label: t('No') }];
const upTo = (from: number, to: number) => [
  same(),
  ...Array.from({ length: to - from + 1 }, (_, i) => ({ value: String(i + from), label: String(i + from) })),
];

function WayFields({
  way,
  put,
  fields,
  today,
}: {
  way: WayRow;
  put: (change: Partial<WayRow>) => void;
  fields: Props['fields'];
  today: string;
}) {
  return (
    <>
      <DateField label={t('Own due day')} min={today} value={way.due} set={(due) => put({ due })} />
      {fields.tries && (
        <Select label={t('Tries')} value={way.attempts} set={(attempts) => put({ attempts })} options={upTo(1, 3)} />
      )}
      {fields.onTheWay && (
        <Select
          label={t('Questions on the way')}
          value={way.onTheWay}
          set={(onTheWay) => put({ onTheWay })}
          options={yesOrNo()}
        />
      )}
      {fields.aloud && (
        <Select label={t('Read aloud')} value={way.aloud} set={(aloud) => put({ aloud })} options={yesOrNo()} />
      )}
      {fields.supports && (
        <>
          <Select
            label={t('Voice reads to them')}
            value={way.readAloud}
            set={(readAloud) => put({ readAloud })}
            options={yesOrNo()}
          />
          <Select
            label={t('One choice at a time')}
            value={way.oneChoice}
            set={(oneChoice) => put({ oneChoice })}
            options={yesOrNo()}
          />
          <Select
            label={t('Text size')}
            value={way.textSize}
            set={(textSize) => put({ textSize })}
            options={[
              same(),
              { value: '0', label: t('Usual') },
              { value: '1', label: t('Larger') },
              { value: '2', label: t('Largest') },
            ]}
          />
        </>
      )}
      {fields.words && (
        <>
          <Select label={t('At once')} value={way.atOnce} set={(atOnce) => put({ atOnce })} options={upTo(2, 10)} />
          <Select
            label={t('Words are asked by')}
            value={way.by}
            set={(by) => put({ by })}
            options={[same(), ...practiceOptions()]}
          />
        </>
      )}
    </>
  );
}
