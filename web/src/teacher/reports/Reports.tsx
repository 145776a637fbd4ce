import { useOutletContext, useParams, useSearchParams } from 'react-router';
import { t } from '../../shared/words';
import { ListPage, PageHead } from '../../ui/Page';
import { SegmentLinks } from '../../ui/Segments';
import { useTitle } from '../../ui/useTitle';
import { allGroups } from '../classQueries';
import type { Place } from '../frame/Frame';
import { AnswerReport } from './AnswerReport';
import { LogReport } from './LogReport';
import { OverTime } from './OverTime';
import { QuestionReport } from './QuestionReport';
import { ReaderReport } from './ReaderReport';
import { ReportExports } from './ReportExports';
import { ReportFilter } from './ReportFilter';
import { useDays } from './reportQueries';
import { addressOf, askedOf, type Asked } from './span';
import { SpanPicker } from './SpanPicker';
import { TextReport } from './TextReport';

/** A class over a day, a week, a month, a term or any days: by reader, by question, by text, and line by line. */
export default function Reports() {
  const { data } = useOutletContext<Place>();
  const { view = 'readers' } = useParams();
  const [search, setSearch] = useSearchParams();
  const asked = askedOf(search);
  const set = (next: Asked) => setSearch(addressOf(next, search));
  const views = [
    { path: '', name: t('Readers') },
    { path: '/over-time', name: t('Over time') },
    { path: '/questions', name: t('Questions') },
    { path: '/texts', name: t('Texts') },
    { path: '/log', name: t('Log') },
  ];
  const View =
    {
      'over-time': OverTime,
      questions: QuestionReport,
      texts: TextReport,
      log: LogReport,
      answers: AnswerReport,
    }[view] ?? ReaderReport;
  const spans = useDays(data.id, asked).data;
  useTitle(t('Reports'));
  return (
    <ListPage>
      <PageHead
        title={t('Reports')}
        beside={
          <SegmentLinks
            label={t('Views of the reports')}
            links={views.map((v) => ({
              to: `/class/${data.id}/reports${v.path}?${addressOf(asked).toString()}`,
              name: v.name,
            }))}
          />
        }
      >
        <SpanPicker asked={asked} set={set} spans={spans} />
        <ReportFilter asked={asked} set={set} groups={allGroups(data)} />
        <ReportExports classId={data.id} asked={asked} />
      </PageHead>
      <View data={data} asked={asked} />
    </ListPage>
  );
}
