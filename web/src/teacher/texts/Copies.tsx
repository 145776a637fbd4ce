import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type FormEvent } from 'react';
import { Link, useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, fieldOf, ok, sentence } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { phrase, t } from '../../shared/words';
import type { Place } from '../frame/Frame';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { Form, ListPage, PageHead } from '../../ui/Page';
import { Empty, Show } from '../../ui/Show';
import { NumberField, SearchField, TextArea, TextField } from '../../ui/TextField';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';

type Copy = Api<'CopyView'>;

/** Copies on paper: one field lends and takes back, typed or scanned; below it, what is out and late. */
export default function Copies() {
  const { data } = useOutletContext<Place>();
  const client = useQueryClient();
  const all = useQuery({ queryKey: keys.copies, queryFn: () => ok(api.GET('/copies')) });
  const [typed, setTyped] = useState('');
  const [reader, setReader] = useState<{ id: string; name: string } | null>(null);
  const [days, setDays] = useState(14);
  const [said, setSaid] = useState('');
  const [error, setError] = useState('');
  const [adding, setAdding] = useState(false);
  const [find, setFind] = useState('');
  const field = useRef<HTMLInputElement>(null);

  const enter = async (e: FormEvent) => {
    e.preventDefault();
    setError('');
    try {
      const answer = await ok(api.POST('/copies/desk', { body: { typed, readerId: reader?.id ?? null, days } }));
      if (answer.what === 'Reader') {
        setReader({ id: sure(answer.readerId), name: answer.reader ?? '' });
        setSaid(t('{{name}} borrows the next copy.', { name: answer.reader ?? '' }));
      } else {
        setReader(null);
        setSaid(
          answer.what === 'Lent'
            ? t('{{name}} has “{{title}}” until {{day}}.', {
                name: answer.reader ?? '',
                title: sure(answer.copy).title,
                day: dayOf(sure(sure(answer.copy).dueOn)),
              })
            : t('Returned “{{title}}”.', { title: sure(answer.copy).title }),
        );
        await client.invalidateQueries({ queryKey: keys.copies });
      }
      setTyped('');
    } catch (problem) {
      setError(sentence(problem));
    }
    field.current?.select();
  };
  const gone = (c: Copy) =>
    void ok(api.DELETE('/copies/{copyId}', { params: { path: { copyId: c.id } } })).then(
      () => {
        toast(t('Removed copy “{{code}}”', { code: c.code }));
        void client.invalidateQueries({ queryKey: keys.copies });
      },
      (e: unknown) => toast.error(sentence(e)),
    );
  return (
    <ListPage>
      <PageHead
        title={t('Paper copies')}
        beside={
          <form className="flex flex-wrap items-center gap-x-3.5 gap-y-2" onSubmit={(e) => void enter(e)} noValidate>
            <TextField
              label={reader ? t('Copy for {{name}}', { name: reader.name }) : t('User name or copy')}
              inline
              ref={field}
              autoFocus
              value={typed}
              autoComplete="off"
              set={setTyped}
            />
            <NumberField label={t('for')} inline min={1} max={200} value={days} set={setDays} /> {t('days')}
            <Button look="main" type="submit">
              {t('Lend or return')}
            </Button>
            {reader && (
              <Button
                onClick={() => {
                  setReader(null);
                  setSaid('');
                }}
              >
                {t('Another reader')}
              </Button>
            )}
            <p role="status">{error ? '' : said}</p>
            {error && <ErrorText>{error}</ErrorText>}
          </form>
        }
      >
        <Button onClick={() => setAdding(true)}>{t('Add copies')}</Button>
      </PageHead>
      <Show query={all}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty title={t('No paper copies yet')}>
              <p>
                {t(
                  phrase(
                    'Give each paper copy a code, or use the printed one. A user name and a code lend it; the ' +
                      'code alone returns it.',
                  ),
                )}
              </p>
              <Button look="main" onClick={() => setAdding(true)}>
                {t('Add copies')}
              </Button>
            </Empty>
          ) : (
            <TableScroll label={t('Paper copies')}>
              <TableHead>
                <tr>
                  <Th>
                    <SearchField label={t('Copy')} value={find} set={setFind} />
                  </Th>
                  <Th>{t('Text')}</Th>
                  <Th>{t('With')}</Th>
                  <Th>{t('Since')}</Th>
                  <Th>{t('Back by')}</Th>
                  <Th>
                    <span className="sr-only">{t('Remove')}</span>
                  </Th>
                </tr>
              </TableHead>
              <TableBody>
                {rows
                  .filter((c) => `${c.code} ${c.title} ${c.reader ?? ''}`.toLowerCase().includes(find.toLowerCase()))
                  .map((c) => (
                    <tr key={c.id}>
                      <Th scope="row">{c.code}</Th>
                      <Td>{c.textId ? <Link to={`/class/${data.id}/texts/${c.textId}`}>{c.title}</Link> : c.title}</Td>
                      <Td>{c.reader ?? (c.readerId ? t('a reader of another class') : t('here'))}</Td>
                      <Td>{c.lentAt ? dayOf(c.lentAt) : ''}</Td>
                      <Td>
                        {c.dueOn && (
                          <>
                            {dayOf(c.dueOn)}
                            {c.late && <b className="border-buoy border-b-2"> {t('late')}</b>}
                          </>
                        )}
                      </Td>
                      <Td>
                        <Button
                          size="sm"
                          onClick={() => gone(c)}
                          aria-label={t('Remove copy {{code}}', { code: c.code })}
                        >
                          {t('Remove')}
                        </Button>
                      </Td>
                    </tr>
                  ))}
              </TableBody>
            </TableScroll>
          )
        }
      </Show>
      <p className="border-line bg-sand flex min-h-8 items-center gap-4 border-t px-4 text-sm">
        {t('{{out}} of {{count}} copies lent, {{late}} late', {
          count: all.data?.length ?? 0,
          out: all.data?.filter((c) => c.readerId).length ?? 0,
          late: all.data?.filter((c) => c.late).length ?? 0,
        })}
      </p>
      {adding && (
        <AddCopies
          close={() => {
            setAdding(false);
            void client.invalidateQueries({ queryKey: keys.copies });
          }}
        />
      )}
    </ListPage>
  );
}

function AddCopies({ close }: { close: () => void }) {
  const [title, setTitle] = useState('');
  const [codes, setCodes] = useState('');
  const [error, setError] = useState<unknown>();
  const found = useQuery({
    queryKey: keys.library.forCopies(title),
    enabled: title.trim().length > 2,
    queryFn: () => ok(api.GET('/library', { params: { query: { q: title } } })),
  });
  const text = found.data?.rows.find((r) => r.title.toLowerCase() === title.trim().toLowerCase());
  const save = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const made = await ok(
        api.POST('/copies', {
          body: {
            textId: text?.id ?? null,
            title,
            codes: codes
              .split(/[\n,;]+/)
              .map((c) => c.trim())
              .filter(Boolean),
          },
        }),
      );
      toast.success(t('{{count}} copies added', { count: made.made }), {
        description: made.taken.length
          ? t('Codes already in use: {{codes}}', { codes: made.taken.join(', ') })
          : undefined,
      });
      close();
    } catch (problem) {
      setError(problem);
    }
  };
  return (
    <Dialog title={t('Add copies')} close={close}>
      <Form onSubmit={(e) => void save(e)}>
        <TextField
          label={t('Title')}
          hint={text ? t('In the library, so copies link to it.') : t('A library title or any other.')}
          error={fieldOf(error, 'title')}
          list="c-titles"
          value={title}
          set={setTitle}
        />
        <datalist id="c-titles">
          {found.data?.rows.slice(0, 12).map((r) => (
            <option key={r.id} value={r.title} />
          ))}
        </datalist>
        <TextArea
          label={t('Codes, one per line')}
          error={fieldOf(error, 'codes')}
          rows={6}
          value={codes}
          set={setCodes}
        />
        {error && !fieldOf(error, 'title') && !fieldOf(error, 'codes') ? (
          <ErrorText>{sentence(error)}</ErrorText>
        ) : null}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button look="main" type="submit">
            {t('Add copies')}
          </Button>
        </DialogFoot>
      </Form>
    </Dialog>
  );
}
