import { useState, type FormEvent } from 'react';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf, fm } from '../../shared/format';
import { createOnce } from '../../shared/once';
import { phrase, type Phrase, t } from '../../shared/words';
import { useSaid, type ClassData, type ReaderRow, type TextRow } from '../classQueries';
import { useFits } from '../tray/useFits';
import { useTray } from '../tray/useTray';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText, FieldRow } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { DateField } from '../../ui/DateField';
import { TextField } from '../../ui/TextField';
import { Table, TableBody, TableHead, Td, Th } from '../../ui/table/Table';

const inDays = (from: string, n: number) => {
  const d = new Date(`${from}T12:00:00`);
  d.setDate(d.getDate() + n);
  return d.toISOString().slice(0, 10);
};

/** Says exactly what will happen, then does it: who gets which version of which text, until when. */
const earlier: Record<Api<'EarlierReading'>, Phrase> = {
  Given: phrase('assigned, not opened'),
  UnderWay: phrase('reading now'),
  Read: phrase('has read it'),
  InLevelCheck: phrase('read in a level check'),
};

export function AssignDialog({
  data,
  texts,
  readers,
  close,
}: {
  data: ClassData;
  texts: TextRow[];
  readers: ReaderRow[];
  close: () => void;
}) {
  const [due, setDue] = useState(inDays(data.today, 4));
  const [attempts, setAttempts] = useState(2);
  const [directions, setDirections] = useState('');
  const [skip, setSkip] = useState(true);
  const [onTheWay, setOnTheWay] = useState(true);
  const [aloud, setAloud] = useState(false);
  const [versions, setVersions] = useState<Record<string, string>>({});
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const [onces] = useState(() => new Map(texts.map((x) => [x.id, createOnce()])));
  const fits = useFits(
    data.id,
    readers.map((r) => r.id),
    texts.map((x) => x.id),
  );
  const changed = useChanged();
  const said = useSaid();
  const tray = useTray();
  const rows = texts.flatMap((text) =>
    (fits.data ?? [])
      .filter((f) => f.textId === text.id)
      .map((f) => ({ f, text, r: sure(readers.find((r) => r.id === f.readerId)) })),
  );
  const going = rows.filter(({ f }) => !skip || !f.before);
  const goingTo = (text: TextRow) => going.filter((g) => g.text.id === text.id);
  const people = new Set(going.map((g) => g.r.id)).size;
  const key = (textId: string, readerId: string) => `${textId} ${readerId}`;

  const assign = async (e: FormEvent) => {
    e.preventDefault();
    setBusy(true);
    try {
      // One request for all of it: it is given whole or not at all, and once, however often it is sent.
      const wanted = texts
        .filter((x) => goingTo(x).length > 0)
        .map((x) => ({
          textId: x.id,
          versions: Object.fromEntries(
            readers.flatMap((r) => {
              const v = versions[key(x.id, r.id)];
              return v ? [[r.id, v]] : [];
            }),
          ),
        }));
      const request = {
        readerIds: readers.map((r) => r.id),
        dueOn: due || null,
        attempts,
        directions,
        skipGiven: skip,
        onTheWay,
        aloud,
        texts: wanted,
      };
      const made = await ok(
        api.POST('/classes/{classId}/assignments', {
          params: { path: { classId: data.id } },
          body: {
            ...request,
            texts: wanted.map((x) => ({ ...x, id: sure(onces.get(x.textId)).idOf(request) })),
          },
        }),
      );
      const only = wanted.length === 1 ? texts.find((x) => x.id === wanted[0]?.textId) : undefined;
      const to = { count: people };
      said(
        only
          ? t('Assigned “{{title}}” to {{count}} readers', { ...to, title: only.title })
          : t('Assigned {{n}} texts to {{count}} readers', { ...to, n: wanted.length }),
        made.changeId,
      );
      tray.empty();
      close();
      await changed('work');
    } catch (problem) {
      setError(problem);
      void changed('work');
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog title={t('Assign {{title}}', { title: texts.map((x) => x.title).join(', ') })} close={close} wide>
      <form noValidate className="grid gap-3" onSubmit={(e) => void assign(e)}>
        <FieldRow>
          <DateField label={t('Due on')} error={fieldOf(error, 'dueOn')} min={data.today} value={due} set={setDue} />
          <Select
            label={t('Tries per question')}
            error={fieldOf(error, 'attempts')}
            value={attempts}
            set={(value) => setAttempts(Number(value))}
            options={[1, 2, 3].map((n) => ({ value: n, label: n }))}
          />
          <TextField
            label={t('Directions for readers')}
            error={fieldOf(error, 'directions')}
            maxLength={500}
            value={directions}
            placeholder={t('Optional')}
            set={setDirections}
          />
        </FieldRow>
        <h3>{t('What happens')}</h3>
        {texts.map((text) => (
          <p key={text.id}>
            {t('{{title}} appears for {{n}} of {{all}} readers at once{{due}}. Each gets the version that fits.', {
              title: text.title,
              n: goingTo(text).length,
              all: readers.length,
              due: due ? `, ${t('due')} ${dayOf(due)}` : '',
            })}
          </p>
        ))}
        <div
          className="border-ink border-line relative max-h-62 min-h-0 overflow-auto border border-t"
          tabIndex={0}
          role="region"
          aria-label={t('Who gets what')}
        >
          <Table>
            <TableHead>
              <tr>
                <Th>{t('Reader')}</Th>
                {texts.length > 1 && <Th>{t('Text')}</Th>}
                <Th num>{t('Depth')}</Th>
                <Th>{t('Version')}</Th>
                <Th>{t('Fit')}</Th>
                <Th>{t('Before')}</Th>
              </tr>
            </TableHead>
            <TableBody>
              {rows.map(({ f, r, text }) => (
                <tr key={key(text.id, r.id)} className={skip && f.before ? 'text-soft line-through' : undefined}>
                  <Th scope="row">
                    {r.givenName} {r.familyName}
                  </Th>
                  {texts.length > 1 && <Td>{text.title}</Td>}
                  <Td num>{fm(r.depth)}</Td>
                  <Td>
                    {text.versions.length > 1 ? (
                      <Select
                        label={t('Version for {{name}}', { name: r.called })}
                        bare
                        value={versions[key(text.id, r.id)] ?? f.versionId}
                        set={(value) => setVersions({ ...versions, [key(text.id, r.id)]: value })}
                        options={text.versions.map((v) => ({
                          value: v.id,
                          label: `${fm(v.depth)} fm${v.id === f.versionId ? ` (${t('fits')})` : ''}`,
                        }))}
                      />
                    ) : (
                      `${fm(f.versionDepth)} fm`
                    )}
                  </Td>
                  <Td>
                    <Forecast
                      of={f.versions.find((v) => v.versionId === (versions[key(text.id, r.id)] ?? f.versionId)) ?? f}
                    />
                  </Td>
                  <Td>{f.before ? t(earlier[f.before]) : ''}</Td>
                </tr>
              ))}
            </TableBody>
          </Table>
        </div>
        {texts.some((x) => x.onTheWay > 0) && (
          <p>
            <Checkbox checked={onTheWay} set={setOnTheWay}>
              {t('Ask questions on the way, between paragraphs. They do not count.')}
            </Checkbox>
          </p>
        )}
        <p>
          <Checkbox checked={aloud} set={setAloud}>
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
          <Button look="main" type="submit" disabled={busy || going.length === 0}>
            {t('Assign to {{count}} readers', { count: people })}
          </Button>
        </DialogFoot>
      </form>
    </Dialog>
  );
}

/** The forecast of the version that stands beside it, whoever chose that. */
function Forecast({ of }: { of: { forecast: number; zone: string } }) {
  return (
    <>
      {t('{{n}}%', { n: of.forecast })}
      {of.zone === 'Frustration' ? `, ${t('too deep')}` : of.zone === 'Independent' ? `, ${t('easy')}` : ''}
    </>
  );
}
