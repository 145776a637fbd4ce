import { useOutletContext, useParams, useSearchParams } from 'react-router';
import { t } from '../../shared/words';
import { ListPage, PageHead } from '../../ui/Page';
import { SegmentLinks } from '../../ui/Segments';
import { useTitle } from '../../ui/useTitle';
import type { Place } from '../frame/Frame';
import { LogReport } from './LogReport';
import { QuestionReport } from './QuestionReport';
import { ReaderReport } from './ReaderReport';
import { ReportExports } from './ReportExports';
import { ReportFilter } from './ReportFilter';
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
    { path: '/questions', name: t('Questions') },
    { path: '/texts', name: t('Texts') },
    { path: '/log', name: t('Log') },
  ];
  const View = { questions: QuestionReport, texts: TextReport, log: LogReport }[view] ?? ReaderReport;
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
        <SpanPicker asked={asked} set={set} classId={data.id} today={data.today} />
        <ReportFilter asked={asked} set={set} groups={data.groups} />
        <ReportExports classId={data.id} asked={asked} />
      </PageHead>
      <View data={data} asked={asked} />
    </ListPage>
  );
}
