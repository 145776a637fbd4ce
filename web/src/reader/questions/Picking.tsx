import { ways } from './kinds';
import type { Picker } from './draft';

/** The way to answer a question that is answered by tapping, whatever its kind. A new try begins afresh. */
export function Picking(props: Picker) {
  const { Pick } = ways[props.q.kind];
  return Pick ? <Pick key={props.q.attempts.length} {...props} /> : null;
}
