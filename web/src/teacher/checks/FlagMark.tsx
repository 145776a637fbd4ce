import type { Api } from '../../shared/api';
import { phrase, type Phrase, t } from '../../shared/words';

const flags: Partial<Record<Api<'PartFlag'>, Phrase>> = {
  TooFast: phrase('too fast'),
  Thin: phrase('too few answers'),
  Missing: phrase('missed'),
};

/** What is doubtful about a part. */
export function FlagMark({ of }: { of: Api<'PartFlag'> }) {
  return (
    <b className="[&_svg]:text-buoy inline-flex items-center gap-1 font-semibold">
      <svg width="10" height="12" viewBox="0 0 10 12" aria-hidden>
        <path d="M1 11V1h7l-2 3 2 3H2.5" fill="none" stroke="currentColor" strokeWidth="1.5" />
      </svg>{' '}
      {flags[of] && t(flags[of])}
    </b>
  );
}
