/** What the pages ask for, by subject: the keys of queries are made here and nowhere else. */
export const keys = {
  session: ['session'] as const,
  me: { sessions: ['me', 'sessions'] as const, comments: ['me', 'comments'] as const },
  pass: (token: string) => ['pass', token] as const,

  /** A reader's own side. */
  my: {
    all: ['my'] as const,
    tickets: ['my', 'tickets'] as const,
    ticket: (ticketId: string) => ['my', 'ticket', ticketId] as const,
    task: (ticketId: string) => ['my', 'task', ticketId] as const,
    partners: (ticketId: string) => ['my', 'task', ticketId, 'partners'] as const,
    result: (ticketId: string) => ['my', 'result', ticketId] as const,
    papers: (ticketId: string) => ['my', 'papers', ticketId] as const,
    versions: (ticketId: string, depth: number) => ['my', 'ticket', ticketId, 'versions', depth] as const,
    home: ['my', 'home'] as const,
    notes: (ticketId: string) => ['my', 'notes', ticketId] as const,
    words: ['my', 'words'] as const,
    readings: ['my', 'readings'] as const,
    ratings: ['my', 'ratings'] as const,
    talk: (ticketId: string) => ['my', 'talk', ticketId] as const,
    commentReplies: (ticketId: string) => ['my', 'comment-replies', ticketId] as const,
    choices: ['my', 'choices'] as const,
    checks: ['my', 'checks'] as const,
    check: (sittingId: string) => ['my', 'check', sittingId] as const,
  },
  code: (code: string) => ['code', code] as const,
  children: ['children'] as const,
  together: (readerId: string) => ['children', readerId, 'together'] as const,
  childWeek: (readerId: string, monday: string) => ['children', readerId, 'week', monday] as const,

  class: (classId: string) => ['class', classId] as const,
  roster: (classId: string) => ['roster', classId] as const,
  draft: (classId: string) => ['draft', classId] as const,
  listCheck: (classId: string, rows: unknown, system: string) => ['list-check', classId, rows, system] as const,
  find: (classId: string, asked: string, grade: string, from: string) => ['find', classId, asked, grade, from] as const,
  lists: (classId: string) => ['lists', classId] as const,
  guardians: (classId: string) => ['guardians', classId] as const,
  choosing: (classId: string) => ['choosing', classId] as const,
  changes: (of: string) => ['changes', of] as const,
  colleagues: ['colleagues'] as const,

  reader: {
    one: (readerId: string | undefined) => ['reader', readerId] as const,
    evidence: (readerId: string) => ['reader', readerId, 'evidence'] as const,
    absences: (readerId: string) => ['reader', readerId, 'absences'] as const,
    elsewhere: (readerId: string) => ['reader', readerId, 'elsewhere'] as const,
    homeMessages: (readerId: string) => ['reader', readerId, 'home-messages'] as const,
    ownChoice: (readerId: string) => ['reader', readerId, 'own-choice'] as const,
    records: (readerId: string) => ['reader', readerId, 'records'] as const,
    record: (readerId: string, recordId: string) => ['reader', readerId, 'record', recordId] as const,
  },
  groups: {
    groupings: (classId: string) => ['groups', classId, 'groupings'] as const,
    rules: (classId: string, grouping: string | null = null) => ['groups', classId, 'rules', grouping] as const,
    judged: (classId: string, grouping: string | null, plan: unknown, rules: unknown) =>
      ['groups', classId, 'judged', grouping, plan, rules] as const,
    past: (classId: string) => ['groups', classId, 'past'] as const,
    leaders: (classId: string) => ['groups', classId, 'leaders'] as const,
    again: (classId: string, rules: unknown) => ['groups', classId, 'again', rules] as const,
  },
  meetings: {
    week: (classId: string, monday: string | null) => ['meetings', classId, monday] as const,
    one: (meetingId: string) => ['meetings', 'one', meetingId] as const,
  },
  signals: (classId: string) => ['signals', classId] as const,
  feedback: (ticketId: string) => ['feedback', ticketId] as const,
  correction: (assignmentId: string, questionId: string, id: string, key: unknown) =>
    ['correction', assignmentId, questionId, id, key] as const,
  reports: {
    days: (classId: string, asked: unknown) => ['reports', classId, 'days', asked] as const,
    readers: (classId: string, asked: unknown) => ['reports', classId, 'readers', asked] as const,
    questions: (classId: string, asked: unknown) => ['reports', classId, 'questions', asked] as const,
    texts: (classId: string, asked: unknown) => ['reports', classId, 'texts', asked] as const,
    answers: (classId: string, asked: unknown, which: unknown) =>
      ['reports', classId, 'answers', asked, which] as const,
    overTime: (classId: string, asked: unknown) => ['reports', classId, 'over-time', asked] as const,
    log: (classId: string, asked: unknown, readerId: string | undefined) =>
      ['reports', classId, 'log', asked, readerId] as const,
  },
  conference: (classId: string) => ['conference', classId] as const,
  signIn: (readerId: string) => ['sign-in', readerId] as const,
  stays: (readerId: string) => ['stays', readerId] as const,
  goesAlong: (readerId: string) => ['goes-along', readerId] as const,

  text: {
    one: (textId: string | undefined) => ['text', textId] as const,
    maze: (textId: string, versionId: string) => ['text', textId, 'maze', versionId] as const,
    mazeDraft: (textId: string, versionId: string, draft: number | null) =>
      ['text', textId, 'maze', versionId, draft] as const,
    revisions: (textId: string) => ['text', textId, 'revisions'] as const,
    use: (textId: string, classId: string) => ['text', textId, 'use', classId] as const,
    quiz: (textId: string) => ['text', textId, 'quiz'] as const,
  },
  texts: (classId: string, ids: string[]) => ['texts', classId, ids] as const,
  library: {
    all: ['library'] as const,
    rows: (classId: string, readers: string[], asked: string) => ['library', classId, readers, asked] as const,
    forRecord: (classId: string, readerId: string, asked: string) =>
      ['library', classId, 'record', readerId, asked] as const,
    forCopies: (title: string) => ['library', 'copies', title] as const,
    forWordLists: (typed: string) => ['library', 'wordLists', typed] as const,
    jump: (classId: string, word: string) => ['library', 'jump', classId, word] as const,
    facets: ['library-facets'] as const,
  },
  fitIn: (classId: string, texts: string[]) => ['fit', classId, 'everybody', texts] as const,
  fit: (classId: string, readers: string[], texts: string[]) => ['fit', classId, readers, texts] as const,
  measure: (...of: unknown[]) => ['measure', ...of] as const,
  patterns: ['patterns'] as const,
  searches: ['searches'] as const,
  wordLists: ['wordLists'] as const,
  copies: ['copies'] as const,
  plans: {
    all: ['plans'] as const,
    look: (classId: string, planId: string, revision: number, readers: string[], from: string) =>
      ['plans', 'look', classId, planId, revision, readers, from] as const,
  },

  assignments: (classId: string, asked: object) => ['assignments', classId, 'all', asked] as const,
  suggestions: (classId: string) => ['assignments', classId, 'suggestions'] as const,
  notes: (classId: string, about: unknown) => ['assignments', classId, 'notes', about] as const,
  calendar: (classId: string, readerId: string | undefined) => ['calendar', classId, readerId ?? ''] as const,
  home: (classId: string, readerId: string) => ['assignments', classId, 'home', readerId] as const,
  work: (ticketId: string) => ['ticket', ticketId, 'work'] as const,
  task: (ticketId: string) => ['ticket', ticketId, 'task'] as const,
  week: (classId: string, from: string, to: string) => ['assignments', classId, 'week', from, to] as const,
  places: (classId: string, from: string, to: string) => ['assignments', classId, 'places', from, to] as const,
  sideBySide: (classIds: readonly string[], from: string, to: string) =>
    ['assignments', 'side', classIds, from, to] as const,
  papers: (assignmentId: string) => ['assignment', assignmentId, 'papers'] as const,
  ticketNotes: (ticketId: string) => ['ticket', ticketId, 'notes'] as const,
  ticketPapers: (ticketId: string) => ['ticket', ticketId, 'papers'] as const,
  paperFile: (src: string) => ['paper-file', src] as const,
  stream: (classId: string) => ['stream', classId] as const,
  streamClass: (course: string) => ['stream-class', course] as const,
  assignment: (assignmentId: string) => ['assignment', assignmentId] as const,
  results: (assignmentId: string) => ['assignment', assignmentId, 'results'] as const,
  ticket: (ticketId: string) => ['ticket', ticketId] as const,
  talk: (assignmentId: string) => ['assignment', assignmentId, 'talk'] as const,
  marking: {
    others: (classId: string) => ['marking', classId, 'others'] as const,
    queue: (classId: string) => ['marking', classId, 'queue'] as const,
    recommendations: (classId: string) => ['marking', classId, 'recommendations'] as const,
    tickets: (classId: string) => ['marking', classId] as const,
    recordings: (classId: string) => ['marking', classId, 'recordings'] as const,
  },
  checks: (of: string) => ['checks', of] as const,
  check: (checkId: string | undefined) => ['check', checkId] as const,
  checkChoices: ['check-choices'] as const,
  checkPreview: (asked: object) => ['check-preview', asked] as const,
  goals: (classId: string, termId: string | null) => ['goals', classId, termId] as const,

  school: {
    one: ['school'] as const,
    reports: (asked: unknown, by: string) => ['school-reports', asked, by] as const,
    readers: ['school-readers'] as const,
    classes: ['school-classes'] as const,
    chart: ['level-chart'] as const,
    staff: ['staff'] as const,
    years: ['years'] as const,
    year: (yearId: string | undefined) => ['year', yearId] as const,
    roll: (from: string, to: string, keepClasses: boolean) => ['year', 'roll', from, to, keepClasses] as const,
    windows: ['windows'] as const,
    transfers: ['transfers'] as const,
    imports: ['imports'] as const,
    import: (importId: string) => ['import', importId] as const,
    looks: ['looks'] as const,
    mail: ['mail'] as const,
    signIns: ['sign-ins'] as const,
  },
};

/** What a key begins with: the subject it is about. */
type SubjectOf<K> = K extends readonly [infer S extends string, ...unknown[]]
  ? S
  : K extends (...of: never[]) => infer Made
    ? SubjectOf<Made>
    : { [P in keyof K]: SubjectOf<K[P]> }[keyof K];
export type Subject = SubjectOf<typeof keys>;
