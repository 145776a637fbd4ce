import { useState } from 'react';
import { api, asFile, fieldOf, ok } from '../../shared/api';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { ErrorText } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { Select } from '../../ui/Select';
import { AddPaper } from './AddPaper';

/** A paper that is to go with what is given. */
export interface PaperDraft {
  id: string;
  name: string;
  each: boolean;
  /** With which text; empty for everything that is given. */
  textId: string;
}

/** What is sent of them. */
export const sentPapers = (papers: PaperDraft[]) => papers.map((p) => ({ id: p.id, textId: p.textId || undefined }));

/** Papers that go with what is being given; each is sent as it is chosen, and kept if something is given. */
export function PaperFields({
  papers,
  set,
  texts = [],
  classId,
  error,
}: {
  papers: PaperDraft[];
  set: (papers: PaperDraft[]) => void;
  texts?: { id: string; title: string }[];
  classId: string;
  error: unknown;
}) {
  const [file, setFile] = useState<File | null>(null);
  const wrong = fieldOf(error, 'papers');
  const change = (id: string, textId: string) => set(papers.map((p) => (p.id === id ? { ...p, textId } : p)));
  return (
    <section aria-labelledby="papers" className="grid gap-1.5">
      <h3 id="papers" className="text-sm font-semibold">
        {t('Papers')}
      </h3>
      {papers.length > 0 && (
        <ul className="grid gap-1.5">
          {papers.map((p) => (
            <li key={p.id} className="flex flex-wrap items-center gap-x-3 gap-y-1">
              <span className="grow">
                {p.name}{' '}
                <span className="text-soft text-sm">{p.each ? t('each writes on a copy') : t('to look at')}</span>
              </span>
              {texts.length > 1 && (
                <Select
                  label={t('{{name}} goes with', { name: p.name })}
                  bare
                  value={p.textId}
                  set={(textId) => change(p.id, textId)}
                  options={[
                    { value: '', label: t('With all {{count}} texts', { count: texts.length }) },
                    ...texts.map((x) => ({ value: x.id, label: t('With “{{title}}”', { title: x.title }) })),
                  ]}
                />
              )}
              <Button
                size="sm"
                aria-label={t('Remove {{name}}', { name: p.name })}
                onClick={() => set(papers.filter((o) => o !== p))}
              >
                {t('Remove')}
              </Button>
            </li>
          ))}
        </ul>
      )}
      <p className="flex items-center gap-3">
        <FileButton label={t('Add paper…')} accept=".pdf,.png,.jpg,.jpeg" take={setFile} size="sm" />
        <span className="text-soft text-sm">{t('Optional. PDF, PNG or JPEG, up to 10 MB')}</span>
      </p>
      {wrong && <ErrorText>{wrong}</ErrorText>}
      {file && (
        <AddPaper
          file={file}
          close={() => setFile(null)}
          send={async (paperId, name, each) => {
            await ok(
              api.PUT('/classes/{classId}/papers/{paperId}', {
                params: { path: { classId, paperId }, query: { name, each } },
                body: file,
                ...asFile,
              }),
            );
            set([...papers, { id: paperId, name, each, textId: '' }]);
          }}
        />
      )}
    </section>
  );
}
