/** The strands, in the order in which they are drawn. */
export const strands = [
  'Retrieve',
  'Infer',
  'WordMeaning',
  'Summarise',
  'Structure',
  'AuthorsCraft',
  'Connect',
] as const;
