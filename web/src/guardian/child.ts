import type { Api } from '../shared/api';

export type Child = Api<'ChildView'>;
