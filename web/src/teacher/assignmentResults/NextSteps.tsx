import { Link } from 'react-router';
import { listed } from '../../shared/format';
import { say, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { SidePanel } from '../../ui/Page';
import { Flag, Plate } from '../../ui/Shapes';
import type { ClassData } from '../classQueries';
import { useTray } from '../tray/useTray';
import type { Results, StepView } from './results';
import { SheetLink } from '../readers/SheetLink';

/** Steps that suggest themselves; each fills the tray and gives nothing by itself. */
export function NextSteps({ r, data, name }: { r: Results; data: ClassData; name: (id: string) => string }) {
  return (
    <SidePanel aria-labelledby="next">
      <h2 id="next" className="px-4.5 pt-2.5 pb-2">
        {t('What next')}
      </h2>
      {r.next.length === 0 && (
        <p className="border-line border-t px-4.5 py-2">
          {r.figures.counted === 0
            ? t('Steps appear here when readers have handed in.')
            : t('All as forecast: nothing stands out.')}
        </p>
      )}
      <ul className="grow">
        {r.next.map((s, i) => (
          <Step key={i} s={s} r={r} data={data} name={name} />
        ))}
      </ul>
      {r.next.length > 0 && (
        <p className="border-ink text-soft border-t px-4.5 py-2 text-sm">
          {t('Nothing is assigned until you confirm it in the tray.')}
        </p>
      )}
    </SidePanel>
  );
}

const numberOf = (r: Results, questionId: string | null) =>
  r.questions.find((q) => q.question.id === questionId)?.number ?? 0;

const strandOf = (r: Results, questionId: string | null) =>
  r.questions.find((q) => q.question.id === questionId)?.question.strand;

function titleOf(s: StepView, r: Results) {
  const n = numberOf(r, s.step.question);
  switch (s.step.kind) {
    case 'Harder':
      return t('Harder, with less help');
    case 'TeachAgain':
      return t('Teach question {{n}} again', { n });
    case 'EasierFirst':
      return t('Easier text first, then this one again');
    case 'ReadAgain':
      return t('Not really read');
    case 'CheckQuestion':
      return t('Check question {{n}}', { n });
  }
}

function Step({ s, r, data, name }: { s: StepView; r: Results; data: ClassData; name: (id: string) => string }) {
  const tray = useTray();
  const { readers } = s.step;
  const groups = data.groups
    .map((g) => ({ id: g.id, name: g.name, count: g.readerIds.filter((id) => readers.includes(id)).length }))
    .filter((g) => g.count > 0);
  const here = readers.filter((id) => data.readers.some((x) => x.id === id));
  const add = () => {
    tray.pickReaders(here, true);
    if (s.text && !tray.texts.includes(s.text.id)) tray.toggleText(s.text.id);
  };
  return (
    <li className="border-line border-t px-4.5 pt-2 pb-2.5">
      <h3 className="font-ui flex items-baseline justify-between gap-2 text-base font-bold">
        {titleOf(s, r)}
        <span className="text-sm font-normal whitespace-nowrap">
          {t('{{count}} readers', { count: readers.length })}
        </span>
      </h3>
      <p className="text-sm">
        {say(s.step.why)}
        {s.step.kind === 'TeachAgain' && groups.length > 1 && (
          <> {listed(groups.map((g) => `${g.name} ${g.count}`))}.</>
        )}
      </p>
      <ul className="my-1.5 flex flex-wrap gap-1">
        {readers.map((id) => (
          <li key={id}>
            <SheetLink readerId={id} className="inline-block no-underline">
              <Flag>{name(id)}</Flag>
            </SheetLink>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-2">
        {s.text && (
          <Link to={`/class/${data.id}/texts/${s.text.id}`} className="no-underline">
            <Plate>{s.text.title}</Plate>
          </Link>
        )}
        <span className="grow" />
        {s.step.kind === 'TeachAgain' && data.mayAssign && (
          <PlanMeeting groups={groups} strand={strandOf(r, s.step.question)} classId={data.id} />
        )}
        {s.step.kind === 'CheckQuestion' ? (
          <Button asChild size="sm">
            <Link to={`/class/${data.id}/texts/${r.assignment.textId ?? ''}/quiz`}>{t('Look at quiz')}</Link>
          </Button>
        ) : (
          <Button size="sm" disabled={here.length === 0} onClick={add}>
            {s.text
              ? t('Add {{count}} and text to tray', { count: here.length })
              : t('Add {{count}} readers to tray', { count: here.length })}
          </Button>
        )}
      </div>
    </li>
  );
}

/** The group in which most of them are meets to be taught what the question asks. */
function PlanMeeting({
  groups,
  strand,
  classId,
}: {
  groups: { id: string; name: string; count: number }[];
  strand: string | undefined;
  classId: string;
}) {
  const [most] = [...groups].sort((a, b) => b.count - a.count);
  if (!most || !strand) return null;
  return (
    <Button asChild size="sm">
      <Link to={`/class/${classId}/groups/meetings?plan=${most.id}&strand=${strand}`}>
        {t('Plan meeting of {{group}}…', { group: most.name })}
      </Link>
    </Button>
  );
}
