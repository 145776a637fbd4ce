import { ArrowCounterClockwise, Eraser, HighlighterCircle, Pencil } from '@phosphor-icons/react';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { PaperPages, type Tool } from '../../shared/papers/PaperPages';
import type { PaperCopy } from '../../shared/papers/strokes';
import { isOpen } from '../../shared/ticketStates';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { PageTitle } from '../../ui/PageTitle';
import { ReaderBar, ReaderPage, Say } from '../../ui/Reader';
import { Segments } from '../../ui/Segments';
import { Empty, Show } from '../../ui/Show';
import { toTicket, useMine } from '../queries';
import { KeptNote } from '../KeptNote';
import { ToMyReading } from '../ToMyReading';
import { useMyPapers } from './paperQueries';
import { useStrokes } from './useStrokes';

/** The papers that go with a task: to look at, or to write and draw on. */
export default function Papers() {
  const { ticketId = '' } = useParams();
  const papers = useMyPapers(ticketId);
  const ticket = useMine().data?.find((k) => k.id === ticketId);
  const [here, setHere] = useState(0);
  return (
    <ReaderPage>
      <ReaderBar className="sticky top-0">
        <ToMyReading />
        <PageTitle>{t('Papers')}</PageTitle>
        <KeptNote />
        <span className="grow" />
        {ticket && (
          <Button asChild size="reader">
            <Link to={toTicket(ticket)}>{t('Back to task')}</Link>
          </Button>
        )}
      </ReaderBar>
      <main className="mx-auto grid max-w-225 gap-4 px-4 py-6">
        <Show query={papers}>
          {(all) => {
            const paper = all[here];
            if (!paper)
              return (
                <Empty title={t('No papers here')}>
                  <p>{t('Your teacher may have taken them back.')}</p>
                </Empty>
              );
            return (
              <>
                {all.length > 1 && (
                  <Segments
                    label={t('Papers')}
                    value={String(here)}
                    set={(i) => setHere(Number(i))}
                    size="reader"
                    options={all.map((p, i) => ({ value: String(i), label: p.name }))}
                  />
                )}
                <One
                  key={paper.id}
                  ticketId={ticketId}
                  paper={paper}
                  open={ticket !== undefined && isOpen(ticket.state)}
                />
              </>
            );
          }}
        </Show>
      </main>
    </ReaderPage>
  );
}

function One({ ticketId, paper, open }: { ticketId: string; paper: PaperCopy; open: boolean }) {
  const { all, error, add, rub, undo } = useStrokes(ticketId, paper);
  const [tool, setTool] = useState<Tool>('Fine');
  const draws = open && paper.eachOwn;
  return (
    <>
      {draws && (
        <div className="bg-paper border-ink sticky top-16 z-3 flex flex-wrap gap-2 border p-2">
          <Segments
            label={t('Draw with')}
            value={tool}
            set={setTool}
            size="reader"
            options={[
              { value: 'Fine', label: <Tooled of={<Pencil size={24} aria-hidden />}>{t('Pen')}</Tooled> },
              {
                value: 'Broad',
                label: <Tooled of={<HighlighterCircle size={24} aria-hidden />}>{t('Marker')}</Tooled>,
              },
              { value: 'Rubber', label: <Tooled of={<Eraser size={24} aria-hidden />}>{t('Rubber')}</Tooled> },
            ]}
          />
          <Button size="reader" disabled={all.every((s) => s.gone)} onClick={undo}>
            <ArrowCounterClockwise size={24} aria-hidden />
            {t('Undo')}
          </Button>
        </div>
      )}
      {error && <Say role="alert">{error}</Say>}
      <PaperPages
        src={`/api/my/tickets/${ticketId}/papers/${paper.id}/file`}
        kind={paper.kind}
        name={paper.name}
        strokes={all}
        {...(draws ? { drawing: { tool, add, rub } } : {})}
      />
    </>
  );
}

const Tooled = ({ of, children }: { of: ReactNode; children: ReactNode }) => (
  <>
    {of}
    {children}
  </>
);
