/** What is there, as the page knows and the type does not. It is an error in the page where it is not. */
export function sure<T>(value: T | null | undefined): T {
  if (value == null) throw new Error('Something is missing that has to be here.');
  return value;
}
