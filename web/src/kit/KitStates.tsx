import { Button } from '../ui/Button';
import { Progress } from '../ui/Measures';
import { Card, Notice, SidePanel } from '../ui/Page';
import { Empty, Failed, Loading } from '../ui/Show';
import { Part } from './Part';

export function States() {
  return (
    <Part title="States">
      <Notice>Something one should know.</Notice>
      <Notice kind="action" row aria-label="With the readers picked">
        <b>3 readers</b> <Button size="sm">Edit…</Button>
      </Notice>
      <div className="grid gap-4 lg:grid-cols-3">
        <Card>
          <Empty title="No texts yet">
            <p>Texts you write or import are listed here.</p>
            <Button look="main">Import texts…</Button>
          </Empty>
        </Card>
        <Card>
          <Failed error={new Error('offline')} again={() => undefined} />
        </Card>
        <Card>
          <Loading />
          <Progress value={0.4}>Reading 400 of 1,000 rows</Progress>
        </Card>
      </div>
      <SidePanel className="max-w-80" aria-label="Side panel">
        <p className="px-4 py-2">What stands at the side and narrows a page.</p>
      </SidePanel>
    </Part>
  );
}
