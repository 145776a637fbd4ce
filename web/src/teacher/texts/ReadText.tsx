import { useQuery } from '@tanstack/react-query';
import { cx } from 'class-variance-authority';
import { api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';
import { Block } from '../../shared/paragraphs';
import { t } from '../../shared/words';
import { Dialog } from '../../ui/Dialog';
import { Show } from '../../ui/Show';

interface Props {
  textId: string;
  /** As it was read; null where it was none that is there now. */
  version: string | null;
  proof: string | null;
}

const useText = (textId: string) =>
  useQuery({
    queryKey: keys.text.one(textId),
    queryFn: () => ok(api.GET('/texts/{textId}', { params: { path: { textId } } })),
  });

/** Pages one after the other, with the paragraph marked that proves an answer. */
export const Passage = ({ pages, proof }: { pages: string[][]; proof: string | null }) => (
  <div className="grid max-w-170 gap-2.5 font-serif text-lg">
    {pages.flat().map((p, i) => (
      <div key={i} className={cx(proof !== null && p.includes(proof) && 'border-depth-5 bg-tint border-l-3 pl-3')}>
        <Block text={p} />
      </div>
    ))}
  </div>
);

/** A version of a text to read through, with the sentence marked that proves an answer. */
export function ReadText({ textId, version, proof }: Props) {
  return (
    <Show query={useText(textId)}>
      {(x) => <Passage pages={x.versions.find((v) => v.label === version)?.pages ?? []} proof={proof} />}
    </Show>
  );
}

/** The same, over the page. */
export function WholeText({ close, ...of }: Props & { close: () => void }) {
  const text = useText(of.textId);
  return (
    <Dialog title={text.data?.title ?? t('Whole text')} close={close} wide>
      <ReadText {...of} />
    </Dialog>
  );
}
