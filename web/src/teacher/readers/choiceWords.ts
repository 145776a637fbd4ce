import type { Api } from '../../shared/api';
import { phrase, type Phrase } from '../../shared/words';

/** What readers may choose for themselves, in words. */
type Own = Api<'OwnChoice'>;
export const depths: Record<NonNullable<Own['depth']>, Phrase> = {
  WithinReach: phrase('within their reach'),
  OrEasier: phrase('within their reach, or easier'),
  Any: phrase('at any depth'),
};
export const sorts: Record<NonNullable<Own['sort']>, Phrase> = {
  Both: phrase('stories and other texts'),
  Stories: phrase('stories only'),
  Others: phrase('other texts only'),
};
export const formats: Record<NonNullable<Own['format']>, Phrase> = {
  Any: phrase('any format'),
  WithRecording: phrase('with a recording'),
  Short: phrase('short texts'),
};
