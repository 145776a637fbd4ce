import { expect, test } from './world.mjs';
import { assignments, axe, paste, place, reader, signIn, teacher, toQuestions, view } from './people.mjs';

// Accessibility of each view, at the width of a desk and of a tablet.
for (const [width, name] of [
  [1280, 'desk'],
  [820, 'tablet'],
]) {
  test.describe(name, () => {
    test.use({ viewport: { width, height: 800 } });

    test('doors', async ({ page }) => {
      await page.goto('/');
      await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
      await axe(page, 'sign in');
      await page.goto('/read/TERN46');
      await expect(page.getByRole('button', { name: 'Mateo' })).toBeVisible();
      await axe(page, 'tiles');
      await page.getByRole('button', { name: 'Mateo' }).click();
      await axe(page, 'pictures');
    });

    test('teacher', async ({ page }) => {
      await teacher(page);
      await expect(page.getByRole('heading', { name: /^4 Tern, / })).toBeVisible();
      await axe(page, 'chart');
      await page.getByRole('button', { name: 'Show as table' }).click();
      await axe(page, 'chart as table');
      await place(page, 'Readers');
      await page.getByRole('checkbox', { name: 'Select Nadia', exact: true }).click();
      await page.getByRole('button', { name: 'Leila Haddad' }).click();
      await expect(page.getByText('Depth and reach')).toBeVisible();
      await axe(page, 'readers with the sheet and the tray');
      await page.getByRole('link', { name: 'Open profile' }).click();
      await expect(page.getByRole('heading', { name: 'Reading history' })).toBeVisible();
      await axe(page, 'profile');
      await page.getByRole('button', { name: 'Sign-in' }).click();
      await expect(page.getByRole('list', { name: 'Picture secret' })).toBeVisible();
      await axe(page, 'sign-in card');
      await page.keyboard.press('Escape');
      await place(page, 'Texts');
      await expect(page.getByRole('link', { name: 'Salt Letters' })).toBeVisible();
      await axe(page, 'texts');
      await page.getByRole('checkbox', { name: 'Select Salt Letters' }).click();
      await page.getByRole('button', { name: /^Assign to/ }).click();
      await expect(page.getByText('What happens')).toBeVisible();
      await axe(page, 'assigning');
      await page.keyboard.press('Escape');
      await page.getByRole('link', { name: 'Salt Letters' }).click();
      await expect(page.getByRole('heading', { name: /^Depth/ })).toBeVisible();
      await axe(page, 'text');
      await place(page, 'Assignments');
      await expect(page.getByRole('region', { name: 'Everybody' })).toBeVisible();
      await axe(page, 'week');
      await page.getByRole('button', { name: /^The Mill That Waits/ }).click();
      await expect(page.getByRole('heading', { name: 'Who has which version' })).toBeVisible();
      await axe(page, 'an assignment of the week');
      await page.keyboard.press('Escape');
      await assignments(page, 'Who is where');
      await page.getByRole('button', { name: /Mateo, The Mill That Waits/ }).click();
      await expect(page.getByRole('heading', { name: 'Answers so far' })).toBeVisible();
      await axe(page, 'who is where');
      await page.keyboard.press('Escape');
      await assignments(page, 'All');
      await page.getByRole('table').getByRole('link').nth(24).click();
      await expect(page.getByRole('link', { name: /^Answers of/ }).first()).toBeVisible();
      await axe(page, 'assignment');
      await page
        .getByRole('link', { name: /^Answers of/ })
        .first()
        .click();
      await expect(page.getByRole('heading', { name: /^Level/ })).toBeVisible();
      await axe(page, 'ticket');
      await place(page, 'Goals');
      await page
        .getByRole('button', { name: /^Set goals for/ })
        .first()
        .click();
      await expect(page.getByRole('complementary', { name: /^Set goals for/ })).toBeVisible();
      await axe(page, 'goals');
      await place(page, 'Groups');
      await page.getByRole('button', { name: 'Edit groups' }).click();
      await expect(page.getByRole('heading', { name: 'Who moves and why' })).toBeVisible();
      await axe(page, 'groups');
      await page.getByRole('link', { name: /^Signals/ }).click();
      await expect(page.getByRole('region', { name: 'Kind' })).toBeVisible();
      await axe(page, 'signals');
    });

    test('roster', async ({ page }) => {
      await teacher(page);
      await view(page, 'Roster');
      await page.getByRole('checkbox', { name: 'Select Kalea', exact: true }).click();
      await axe(page, 'roster with what can be done');
      await page.getByRole('button', { name: 'Change…' }).click();
      await page.getByRole('checkbox', { name: 'Set the same supports for all' }).check();
      await axe(page, 'changing several');
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Kalea Mahoe' }).click();
      await expect(page.getByRole('dialog').getByText('since')).toBeVisible();
      await axe(page, 'details of a reader');
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Add readers' }).click();
      await page.getByRole('menuitem', { name: /^From school/ }).click();
      await expect(page.getByRole('dialog').getByRole('button', { name: /Nils Dahl/ })).toBeVisible();
      await axe(page, 'readers of the school');
      await page.keyboard.press('Escape');
      await page.goto(page.url().replace('/roster', '/many'));
      await page.getByRole('textbox', { name: 'Given name, row 1', exact: true }).focus();
      await paste(page, 'Nils\tDahl\t2\t20\nZed\tQuux\t99\tdeep\nNew\tOne\t4\t');
      await expect(page.getByText('2 to fix')).toBeVisible();
      await axe(page, 'the grid');
      await page.getByRole('button', { name: 'Clear', exact: true }).click();
      for (const name of ['Lists', 'Guardians', 'Class']) {
        await view(page, name);
        await expect(page.getByRole('status').filter({ hasText: 'Loading' })).toHaveCount(0);
        await axe(page, name);
      }
    });

    test('school', async ({ page }) => {
      await signIn(page, 'ines');
      for (const name of [
        'Readers',
        'Classes',
        'Staff',
        'Roster files',
        'Windows',
        'Years',
        'Level chart',
        'Choices',
        'Log',
      ]) {
        await place(page, name);
        await expect(page.getByRole('status').filter({ hasText: 'Loading' })).toHaveCount(0);
        await axe(page, `school: ${name}`);
      }
      await place(page, 'Readers');
      await page.getByRole('button', { name: 'Abel Tesfaye' }).click();
      await page.getByText('Delete permanently').click();
      await axe(page, 'what a lead does for a reader');
    });

    test('guardian', async ({ page }) => {
      await page.goto('/guardian');
      await expect(page.getByRole('heading', { name: /Follow/ })).toBeVisible();
      await axe(page, 'registering');
      await page.goto('/welcome');
      await axe(page, 'welcome');
      await page.goto('/read/HERN63');
      await page.getByRole('button').first().click();
      await expect(page.getByLabel('Your code')).toBeVisible();
      await axe(page, 'code');
      await signIn(page, 'lucia');
      await expect(page.getByRole('heading', { name: 'Pendiente' })).toBeVisible();
      await axe(page, 'guardian');
    });

    test('reader', async ({ page }) => {
      await reader(page);
      await axe(page, 'home');
      await page.getByRole('link', { name: /Mill That Waits/ }).click();
      await expect(page.getByRole('article', { name: /The Mill That Waits, page/ })).toBeVisible();
      await axe(page, 'reading');
      await toQuestions(page);
      await expect(page.getByRole('radiogroup')).toBeVisible();
      await axe(page, 'quiz');
      await page.getByRole('link', { name: 'Stop for now' }).click();
      await page
        .getByRole('link', { name: /right at once/ })
        .first()
        .click();
      // How it went, and what is worth a look, is the demo's chance.
      await expect(page.getByText(/(\d+ of \d+ right on the first try|all \d+ right at once)/)).toBeVisible();
      await axe(page, 'result');
    });
  });
}
