/** A question that a person marks. */
export const isWritten = (kind: string) => kind === 'Short' || kind === 'Long';
