import { Say } from '../../ui/Reader';

/** What went wrong when something was kept or handed in. */
export const TaskError = ({ children }: { children: string }) => (children ? <Say role="alert">{children}</Say> : null);
