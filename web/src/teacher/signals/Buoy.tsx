import * as ui from '../../ui/Buoy';
import { signals, type SignalKind } from './signals';

/** A signal's shape. */
export const Buoy = ({ kind }: { kind: SignalKind }) => (
  <ui.Buoy topmark={signals[kind].topmark} open={signals[kind].open} />
);
