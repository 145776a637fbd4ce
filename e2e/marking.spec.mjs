import { expect, test } from './world.mjs';
import { api, axe, classOf, nothingToMark, pictures, teacher } from './people.mjs';

// Marking: key by key, proposals, the same words at once, sending back, releasing.

const secret = ['boat', 'key', 'shell'];
const code = 'TERN46';
const words = [
  'We do not know.',
  'So that we can imagine what the letter says.',
  'The letter is a secret that Zola kept, and the two halves coming together matters more, so we imagine the rest.',
  'idk',
  'Idk!',
  'It is a surprise.',
];

/** Readers read a text and hand in its quiz, each with an answer in their own words. */
async function answers(page, browser, title, words) {
  const classId = classOf(page);
  const readers = (await api(page, 'GET', `/classes/${classId}`)).readers.slice(0, words.length);
  const found = await api(page, 'GET', `/library?classId=${classId}&q=${encodeURIComponent(title)}`);
  await api(page, 'POST', `/classes/${classId}/assignments`, {
    readerIds: readers.map((r) => r.id),
    textId: found.rows[0].id,
    attempts: 1,
    skipGiven: false,
  });
  const child = await (await browser.newContext()).newPage();
  for (const [i, r] of readers.entries()) {
    await pictures(page, r.givenName, secret.join(' '));
    await child.goto('/read');
    await api(child, 'POST', '/session/reader', { code, readerId: r.id, secret: secret.join(' ') });
    const ticket = (await api(child, 'GET', '/my/tickets')).find((k) => k.title.includes(title) && !k.handedInAt);
    await api(child, 'POST', `/my/tickets/${ticket.id}/open`);
    const work = await api(child, 'GET', `/my/tickets/${ticket.id}`);
    await api(child, 'PUT', `/my/tickets/${ticket.id}/answers/${crypto.randomUUID()}`, {
      questionId: work.questions.find((q) => q.kind === 'Short' || q.kind === 'Long').id,
      picks: [],
      words: words[i],
      at: new Date().toISOString(),
      milliseconds: 20_000,
    });
    await api(child, 'POST', `/my/tickets/${ticket.id}/hand-in`);
    await api(child, 'DELETE', '/session');
  }
  await child.context().close();
  return readers;
}

test('six written answers are marked with at most 14 keys, and no click', async ({ page, browser }) => {
  await teacher(page);
  await nothingToMark(page);
  const six = await answers(page, browser, 'Museum of Lost', words);
  await page.goto(`/class/${classOf(page)}/marking`);
  await expect(page.getByRole('heading', { name: 'Why may the writer stop here' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Proposed mark' })).toContainText(/Proposed: \d of 3/);
  await axe(page, 'marking');
  await page.setViewportSize({ width: 820, height: 1180 });
  await axe(page, 'marking on a tablet');
  await page.setViewportSize({ width: 1280, height: 800 });

  let pressed = 0;
  const press = async (...all) => {
    for (const key of all) {
      pressed += 1;
      await page.keyboard.press(key);
    }
  };
  const status = (n) => page.getByRole('status').filter({ hasText: `${n} of 6 marked` });
  // The proposed mark, then marks of one's own.
  await press('a', 'Enter');
  await expect(status(1)).toBeVisible();
  await press('2', 'Enter');
  await expect(status(2)).toBeVisible();
  await press('3', 'Enter');
  await expect(status(3)).toBeVisible();
  // Two wrote the same: both are marked.
  await expect(page.getByText(/^Also for .*, who wrote the same$/)).toBeVisible();
  await press('0', 'Enter');
  await expect(status(5)).toBeVisible();
  await press('1', 'Enter');
  await expect(status(6)).toBeVisible();
  expect(pressed).toBeLessThanOrEqual(14);

  await page.keyboard.press('Control+z');
  await expect(status(5)).toBeVisible();
  await page.keyboard.press('1');
  await page.keyboard.press('c');
  await page.keyboard.type('Say why, too.');
  await page.keyboard.press('Control+Enter');
  await expect(status(6)).toBeVisible();
  await page.getByRole('button', { name: 'Release all' }).click();
  await expect(page.getByText('Released to 6 readers')).toBeVisible();

  const child = await (await browser.newContext()).newPage();
  await child.goto('/read');
  await api(child, 'POST', '/session/reader', { code, readerId: six[5].id, secret: secret.join(' ') });
  const ticket = (await api(child, 'GET', '/my/tickets')).find((k) => /Museum of Lost/.test(k.title));
  await child.goto(`/text/${ticket.id}/result`);
  await expect(child.getByText('Say why, too.')).toBeVisible();
});

test('a rubric of several rows is marked row by row, with keys, and the reader sees what it came to', async ({
  page,
  browser,
}) => {
  await teacher(page);
  await nothingToMark(page);
  const [first] = await answers(page, browser, 'Who Owns a Word', [
    'Each was right in part, because a reader might not understand the word and yet it exists.',
    'The teacher was right.',
  ]);
  await page.goto(`/class/${classOf(page)}/marking`);
  const row = (name) => page.getByRole('group', { name });
  await expect(row('Says what is decided')).toBeVisible();
  await expect(page.getByText('5 marks; 4 or more count as right')).toBeVisible();
  await axe(page, 'marking by rows');
  const next = page.getByRole('button', { name: 'Mark and next' });
  await page.keyboard.press('2');
  await expect(row('Says what is decided').getByRole('button', { pressed: true })).toContainText('Says that each');
  await page.keyboard.press('1');
  await expect(page.getByRole('status').filter({ hasText: '3 so far, 1 row to choose' })).toBeVisible();
  await expect(next).toBeDisabled();
  // The row before is chosen again.
  await page.keyboard.press('Backspace');
  await page.keyboard.press('2');
  await page.keyboard.press('1');
  await expect(page.getByRole('status').filter({ hasText: '5 so far' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: '1 of 2 marked' })).toBeVisible();
  // Points are chosen by hand as well, and a figure beyond the row does nothing.
  await page.keyboard.press('9');
  await row('Says what is decided')
    .getByRole('button', { name: /Says that one/ })
    .click();
  await row('Gives the reasons')
    .getByRole('button', { name: /No reason/ })
    .click();
  await row('Thinks of who reads').getByRole('button', { name: /alone/ }).click();
  await next.click();
  await page.getByRole('button', { name: 'Release all' }).click();
  await expect(page.getByText('Released to 2 readers')).toBeVisible();

  const child = await (await browser.newContext()).newPage();
  await child.goto('/read');
  await api(child, 'POST', '/session/reader', { code, readerId: first.id, secret: secret.join(' ') });
  const ticket = (await api(child, 'GET', '/my/tickets')).find((k) => k.title.includes('Who Owns a Word'));
  await child.goto(`/text/${ticket.id}/result`);
  await expect(child.getByText('5 of 5', { exact: true })).toBeVisible();
});

test('an answer is sent back with a comment that is kept, and lies behind the next one', async ({ page, browser }) => {
  await teacher(page);
  await nothingToMark(page);
  const classId = classOf(page);
  const [first] = (await api(page, 'GET', `/classes/${classId}`)).readers;
  await pictures(page, first.givenName, secret.join(' '));
  await api(page, 'POST', `/classes/${classId}/assignments`, {
    readerIds: [first.id],
    attempts: 1,
    skipGiven: false,
    tasks: [{ id: crypto.randomUUID(), kind: 'Written', title: 'One more thing', prompt: 'What would you ask Zola?' }],
  });
  const child = await (await browser.newContext()).newPage();
  await child.goto('/read');
  await api(child, 'POST', '/session/reader', { code, readerId: first.id, secret: secret.join(' ') });
  const ticket = (await api(child, 'GET', '/my/tickets')).find((k) => k.title === 'One more thing');
  const write = async (said) => {
    await api(child, 'POST', `/my/tickets/${ticket.id}/open`);
    await api(child, 'PUT', `/my/tickets/${ticket.id}/reply`, { words: said, at: new Date().toISOString() });
    await api(child, 'POST', `/my/tickets/${ticket.id}/hand-in`);
  };
  await write('Nothing.');
  await page.goto(`/class/${classId}/marking`);
  await expect(page.getByRole('heading', { name: 'What would you ask Zola?' })).toBeVisible();
  await page.getByLabel(/^Comment to/).fill('Ask about the letter.');
  await page.getByRole('button', { name: 'Keep this comment' }).click();
  await expect(page.getByRole('list', { name: 'Kept comments' }).getByText('Ask about the letter.')).toBeVisible();
  await page.getByRole('heading', { name: 'Rubric' }).click();
  await page.keyboard.press('b');
  const dialog = page.getByRole('dialog', { name: /^Send back to/ });
  await expect(dialog.getByLabel('Comment to reader')).toHaveValue('Ask about the letter.');
  await axe(page, 'sending back');
  await dialog.getByRole('button', { name: 'Send back' }).click();
  await expect(dialog).toBeHidden();

  await write('Did you read it?');
  await page.reload();
  await expect(page.getByText('Did you read it?')).toBeVisible();
  await expect(page.getByText('“Nothing.”')).toBeVisible();
  await expect(page.getByText(/You sent it back: “Ask about the letter.”/)).toBeVisible();
  // K and a figure put a kept comment in, once it is known which are kept.
  await expect(page.getByRole('list', { name: 'Kept comments' }).getByText('Ask about the letter.')).toBeVisible();
  await page.keyboard.press('k');
  await page.keyboard.press('1');
  await expect(page.getByLabel(/^Comment to/)).toHaveValue('Ask about the letter.');
  await page.getByRole('checkbox', { name: 'Release when all are marked' }).click();
  await page.getByRole('heading', { name: 'Rubric' }).click();
  await page.keyboard.press('3');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Released to 1 reader')).toBeVisible();
});
