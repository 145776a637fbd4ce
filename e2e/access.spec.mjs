import { expect, test } from '@playwright/test';
import { axe, place, reader, teacher, toQuestions } from './people.mjs';

// Accessibility of each view, at the width of a desk and of a tablet.
for (const [width, name] of [[1280, 'desk'], [820, 'tablet']]) {
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
      await page.getByRole('checkbox', { name: 'Pick up Nadia', exact: true }).click();
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
      await page.getByRole('checkbox', { name: 'Pick up Salt Letters' }).click();
      await page.getByRole('button', { name: /^Assign to/ }).click();
      await expect(page.getByText('What will happen')).toBeVisible();
      await axe(page, 'assigning');
      await page.keyboard.press('Escape');
      await page.getByRole('link', { name: 'Salt Letters' }).click();
      await expect(page.getByRole('heading', { name: /^Depth/ })).toBeVisible();
      await axe(page, 'text');
      await place(page, 'Assignments');
      await page.getByRole('table').getByRole('link').nth(12).click();
      await expect(page.getByRole('link', { name: /^Answers of/ }).first()).toBeVisible();
      await axe(page, 'assignment');
      await page.getByRole('link', { name: /^Answers of/ }).first().click();
      await expect(page.getByRole('heading', { name: /^Level/ })).toBeVisible();
      await axe(page, 'ticket');
      await place(page, 'Goals');
      await expect(page.getByRole('button', { name: /^Suggest/ })).toBeVisible();
      await page.getByRole('button', { name: /^Suggest/ }).click();
      await axe(page, 'goals');
      await place(page, 'Groups');
      await page.getByRole('button', { name: 'Change by hand' }).click();
      await expect(page.getByRole('heading', { name: 'Who moves and why' })).toBeVisible();
      await axe(page, 'groups');
    });

    test('reader', async ({ page }) => {
      await reader(page);
      await axe(page, 'home');
      await page.getByRole('link', { name: /Mill That Waits/ }).click();
      await expect(page.getByRole('article')).toBeVisible();
      await axe(page, 'reading');
      await toQuestions(page);
      await expect(page.getByRole('radiogroup')).toBeVisible();
      await axe(page, 'quiz');
      await page.getByRole('link', { name: 'Stop for now' }).click();
      await page.getByRole('link', { name: /at the first try/ }).first().click();
      await expect(page.getByRole('heading', { name: /right at the first try/ })).toBeVisible();
      await axe(page, 'result');
    });
  });
}
