import { ChooseNext } from '../ChooseNext';
import type { Home, MyTicket } from '../queries';
import { Finished } from './Finished';
import { Goals } from './Goals';
import { t } from '../../shared/words';
import { Answered, Kept, OwnPart } from './Own';
import { TidePools } from './TidePools';
import { Week } from './Week';

/** What is the reader's own: the week and goals; answers, choices, kept words and what is finished.
 * @param props.home Null while it is fetched, and where it cannot be. */
export default function OwnColumns({ home, done }: { home: Home | null; done: MyTicket[] }) {
  return (
    <div className="bg-paper px-8 pt-5.5 pb-8 md:contents">
      <div className="md:bg-paper md:px-8 md:pt-5.5 md:pb-8">
        {home && <Week home={home} />}
        {home?.term && <Goals term={home.term} />}
      </div>
      <div className="md:bg-paper max-md:mt-4 md:pt-5.5 md:pr-8 md:pb-8 [&_h2]:text-[22px] [&_h2]:leading-7">
        {home && <Answered home={home} />}
        <ChooseNext />
        {home?.pool && (
          <OwnPart id="pools" title={t('Tide pools')}>
            <TidePools pool={home.pool} />
          </OwnPart>
        )}
        {home && <Kept home={home} />}
        <Finished tickets={done} />
      </div>
    </div>
  );
}
