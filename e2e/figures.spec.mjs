import { execFileSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { expect, test } from './world.mjs';
import { api, classOf, teacher } from './people.mjs';

// Figures on the pages against the same reckoned from the tables alone, by tests/figures.sql.

const command = fileURLToPath(new URL('../deepcurrent', import.meta.url));
const file = fileURLToPath(new URL('../tests/figures.sql', import.meta.url));

/** What the tables come to. */
function reckoned(world, values) {
  const database = process.env.DEEPCURRENT_DATABASE ?? world.name;
  const given = Object.entries(values).flatMap(([name, value]) => ['-v', `${name}=${value}`]);
  return JSON.parse(execFileSync(command, ['world', database, 'sql', file, ...given], { encoding: 'utf8' }));
}

const byReader = (a, b) => a.readerId.localeCompare(b.readerId);

test('reports and results say what the tables come to', async ({ page, world }) => {
  await teacher(page);
  const classId = classOf(page);
  const { rows: given } = await api(page, 'GET', `/classes/${classId}/assignments`);
  const quizzes = given.filter((a) => a.kind === 'Text' && a.done > 2).slice(0, 4);
  expect(quizzes.length).toBeGreaterThan(0);
  for (const [i, kind] of ['Month', 'Term', 'Week', 'Day'].entries()) {
    const report = await api(page, 'GET', `/classes/${classId}/reports/readers?kind=${kind}`);
    const assignment = quizzes[i % quizzes.length];
    const { from, to } = report.spans.span;
    const sql = reckoned(world, {
      class: classId,
      assignment: assignment.id,
      from: begins(from),
      until: begins(dayAfter(to)),
    });
    const shown = report.rows.map(({ readerId, sums }) => ({
      readerId,
      readings: sums.readings,
      openings: sums.openings,
      words: sums.words,
      seconds: Math.round(sums.seconds),
      quizzes: sums.quizzes,
      once: sums.atOnce,
      later: sums.later,
      not: sums.notYet,
    }));
    const tables = sql.readers.map((r) => ({
      readerId: r.reader_id,
      readings: r.readings,
      openings: r.openings,
      words: r.words,
      seconds: r.seconds,
      quizzes: r.quizzes,
      once: r.at_once,
      later: r.later,
      not: r.not_yet,
    }));
    expect(shown.sort(byReader), kind).toEqual(tables.sort(byReader));
    expect(shown.reduce((sum, r) => sum + r.words, 0)).toBe(report.sum.words);
    if (kind === 'Term') await goalsSay(page, classId, sql.goals);

    const results = await api(page, 'GET', `/assignments/${assignment.id}/results`);
    expect([results.figures.handedIn, results.figures.counted], assignment.title).toEqual([sql.handedIn, sql.counted]);
    for (const q of sql.questions ?? []) {
      const mine = results.questions.find((x) => x.question.id === q.question_id);
      expect([mine.answered, Math.round((mine.right ?? 0) * mine.answered)], mine.question.stem).toEqual([
        q.answered,
        q.right_ones,
      ]);
    }
  }
});

/** Goals stand by what was read and understood this term, and how it was answered. */
async function goalsSay(page, classId, tables) {
  const { lines } = await api(page, 'GET', `/classes/${classId}/goals`);
  const soFar = (l, kind) => l.kinds.find((k) => k.kind === kind).soFar;
  const shown = lines.map((l) => ({
    readerId: l.readerId,
    words: soFar(l, 'Words'),
    comprehension: soFar(l, 'Comprehension') === null ? null : Math.round(soFar(l, 'Comprehension')),
  }));
  const own = tables.map((g) => ({ readerId: g.reader_id, words: g.words, comprehension: g.comprehension }));
  expect(shown.sort(byReader), 'goals').toEqual(own.sort(byReader));
}

const dayAfter = (day) => new Date(Date.parse(`${day}T00:00:00Z`) + 86_400_000).toISOString().slice(0, 10);

/** When a day begins where the demo's school is, in London. */
function begins(day) {
  const midnight = new Date(`${day}T00:00:00Z`);
  const hour = new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/London', hour: '2-digit', hourCycle: 'h23' });
  return new Date(midnight.getTime() - Number(hour.format(midnight)) * 3_600_000).toISOString();
}
