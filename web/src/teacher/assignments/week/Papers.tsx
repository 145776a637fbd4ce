import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, asFile, ok, sentence } from '../../../shared/api';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { FileButton } from '../../../ui/FileButton';
import { SheetPart } from '../../../ui/Sheet';
import { AddPaper } from '../AddPaper';

/** The papers that go with an assignment: to look at, or a copy each to write on. */
export function Papers({ assignmentId, may }: { assignmentId: string; may: boolean }) {
  const client = useQueryClient();
  const queryKey = keys.papers(assignmentId);
  const papers = useQuery({
    queryKey,
    queryFn: () => ok(api.GET('/assignments/{assignmentId}/papers', { params: { path: { assignmentId } } })),
  });
  const [file, setFile] = useState<File | null>(null);
  const again = () => client.invalidateQueries({ queryKey });
  const set = async (paperId: string, there: boolean) => {
    const params = { params: { path: { paperId } } };
    try {
      await ok(there ? api.POST('/papers/{paperId}/restore', params) : api.DELETE('/papers/{paperId}', params));
      await again();
      if (!there)
        toast.success(t('Removed paper'), { action: { label: t('Undo'), onClick: () => void set(paperId, true) } });
    } catch (problem) {
      toast.error(sentence(problem));
    }
  };
  const all = papers.data ?? [];
  if (all.length === 0 && !may) return null;
  return (
    <SheetPart>
      <h3 className="text-base">{t('Papers')}</h3>
      <ul className="grid gap-1">
        {all.map((p) => (
          <li key={p.id} className="flex flex-wrap items-center gap-x-2">
            <a href={`/api/papers/${p.id}/file`} target="_blank" rel="noreferrer">
              {p.name}
            </a>
            <span className="text-soft grow text-sm">{p.eachOwn ? t('each writes on a copy') : t('to look at')}</span>
            {may && (
              <Button
                size="sm"
                onClick={() => void set(p.id, false)}
                aria-label={t('Remove {{name}}', { name: p.name })}
              >
                {t('Remove')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {may && (
        <p>
          <FileButton label={t('Add paper…')} accept=".pdf,.png,.jpg,.jpeg" take={setFile} size="sm" />
        </p>
      )}
      {file && (
        <AddPaper
          file={file}
          close={() => setFile(null)}
          send={async (paperId, name, each) => {
            await ok(
              api.PUT('/assignments/{assignmentId}/papers/{paperId}', {
                params: { path: { assignmentId, paperId }, query: { name, each } },
                body: file,
                ...asFile,
              }),
            );
            await again();
          }}
        />
      )}
    </SheetPart>
  );
}
