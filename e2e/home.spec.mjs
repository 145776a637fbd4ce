import { expect, test } from './world.mjs';
import { api, axe, classOf, signIn, teacher } from './people.mjs';

// A family and its teacher write to each other, and a family looks back at earlier weeks.
test.describe.configure({ mode: 'serial' });

const written = 'He chose the longest text today, and finished it.';

test('a teacher writes to a family, changes it, removes it and brings it back', async ({ page }) => {
  await teacher(page);
  const { readers } = await api(page, 'GET', `/classes/${classOf(page)}`);
  await page.goto(`/class/${classOf(page)}/readers/${readers.find((r) => r.givenName === 'Mateo').id}`);
  const section = page.getByRole('region', { name: 'Messages to the family' });
  await section.getByRole('button', { name: 'Write to the family…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Send' }).click();
  await expect(dialog.getByText('Write something first.')).toBeVisible();
  await axe(page, 'writing to a family');
  await dialog.getByRole('textbox', { name: 'Message' }).fill('He chose the longest text.');
  await dialog.getByRole('button', { name: 'Send' }).click();
  const row = section.getByRole('listitem').first();
  await expect(row).toContainText('He chose the longest text.');
  await row.getByRole('button', { name: 'Change…' }).click();
  await dialog.getByRole('textbox', { name: 'Message' }).fill(written);
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(row).toContainText(written);
  await row.getByRole('button', { name: /^Remove the message/ }).click();
  await expect(section.getByText(written)).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(section.getByText(written)).toBeVisible();
  await axe(page, 'a profile with messages to the family');
});

test('a guardian answers, looks at earlier weeks, and the teacher sees the answer', async ({
  page,
  browser,
  baseURL,
}) => {
  const home = await (await browser.newContext({ baseURL, viewport: { width: 390, height: 844 } })).newPage();
  await signIn(home, 'lucia');
  const school = home.getByRole('region', { name: 'De la escuela' });
  await expect(school).toContainText(written);
  await school.getByRole('button', { name: 'Responder…' }).first().click();
  await school.getByRole('textbox', { name: 'Su respuesta' }).fill('Gracias, lo leímos otra vez en casa.');
  await axe(home, 'answering at home');
  await school.getByRole('button', { name: 'Enviar respuesta' }).click();
  await expect(school).toContainText('Gracias, lo leímos otra vez en casa.');

  const week = home.getByRole('region', { name: 'Semana', exact: true });
  await week.getByRole('button', { name: 'Semana anterior' }).click();
  await expect(week.getByText(/^Semana del /)).toBeVisible();
  await expect(week.getByRole('heading', { name: 'Terminado esa semana' })).toBeVisible();
  await axe(home, 'an earlier week at home');
  await week.getByRole('button', { name: 'Esta semana' }).click();
  await expect(week.getByText(/^Semana del /)).toBeHidden();

  await teacher(page);
  await page.goto(`/class/${classOf(page)}/marking`);
  await page.getByRole('link', { name: /^The family of Mateo/ }).click();
  const section = page.getByRole('region', { name: 'Messages to the family' });
  await expect(section).toContainText('Gracias, lo leímos otra vez en casa.');
  await section.getByRole('button', { name: 'Mark as seen' }).click();
  await expect(section.getByRole('button', { name: 'Mark as seen' })).toHaveCount(0);
  await home.reload();
  await expect(school).toContainText('vista por la escuela');
});
