import { t } from '../../../shared/words';
import { Checkbox } from '../../../ui/Checkbox';
import type { How } from '../how';
import { useStream } from './streamQueries';

/** Whether what is given stands in the class's stream, too; nothing where the class has none. */
export function ShareField({
  of: { how, setHow },
  classId,
}: {
  of: { how: How; setHow: (change: Partial<How>) => void };
  classId: string;
}) {
  const stream = useStream(classId);
  if (stream.data?.course == null) return null;
  return (
    <p>
      <Checkbox checked={how.share} set={(share) => setHow({ share })}>
        {t('Share to class stream: its readers find the title, due day and link there')}
      </Checkbox>
    </p>
  );
}
