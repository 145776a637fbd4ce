import { cx } from 'class-variance-authority';
import { useState, type ReactNode } from 'react';

/** The picture of a text. Where its file does not come, what it shows is said in words, or something else stands there.
 * @param shows What the picture shows.
 * @param instead In place of a picture that does not come; its words where nothing is given. */
export function TextDrawing({
  textId,
  shows,
  className,
  instead,
}: {
  textId: string;
  shows: string;
  className: string;
  instead?: ReactNode;
}) {
  const [lost, setLost] = useState(false);
  if (!lost)
    return <img src={`/api/texts/${textId}/picture`} alt={shows} className={className} onError={() => setLost(true)} />;
  return (
    instead ?? <span className={cx('bg-depth-1 grid place-content-center p-3 text-center', className)}>{shows}</span>
  );
}
