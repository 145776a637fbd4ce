import { cut, places, schoolPlaces } from './cut.mjs';
import { axe, classOf, password, reader, signIn, teacher, toQuestions } from './people.mjs';
import { expect, test } from './world.mjs';

// For every hand and eye: pages at twice their size, a walk by keys alone, and what is read out.

/** A window of 1280 × 800 whose pages are zoomed to 200 %. */
const zoomed = { width: 640, height: 400 };

async function looked(page, paths) {
  const faults = [];
  for (const path of paths) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    faults.push(...(await cut(page)).map((fault) => `${path}: ${fault}`));
    await axe(page, `${path} at 200 %`);
  }
  return faults;
}

test('a teacher’s pages can be used at 200 %', async ({ page }) => {
  await page.setViewportSize(zoomed);
  await teacher(page);
  const classId = classOf(page);
  expect(
    await looked(
      page,
      places.map((at) => `/class/${classId}${at}`),
    ),
  ).toEqual([]);
});

test('the school’s pages can be used at 200 %', async ({ page }) => {
  await page.setViewportSize(zoomed);
  await signIn(page, 'ines');
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
  expect(
    await looked(
      page,
      schoolPlaces.map((at) => `/school${at}`),
    ),
  ).toEqual([]);
});

test('a reader’s pages can be used at 200 %', async ({ page }) => {
  await page.setViewportSize(zoomed);
  const faults = [];
  const look = async (what) => {
    faults.push(...(await cut(page)).map((fault) => `${what}: ${fault}`));
    await axe(page, `${what} at 200 %`);
  };
  await page.goto('/read/TERN46');
  await expect(page.getByRole('button', { name: 'Mateo' })).toBeVisible();
  await look('names');
  await reader(page);
  await look('home');
  await page.getByRole('link', { name: /^(Start|Continue) reading/ }).click();
  await expect(page.getByRole('article', { name: /, page/ })).toBeVisible();
  await look('reading');
  await toQuestions(page);
  await look('quiz');
  await page.goto('/choose');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await look('choosing');
  expect(faults).toEqual([]);
});

/** Presses Tab until something has the focus. */
async function tabTo(page, wanted, key = 'Tab') {
  for (let i = 0; i < 90; i++) {
    if (await wanted.evaluate((e) => e === document.activeElement).catch(() => false)) return;
    await page.keyboard.press(key);
  }
  throw new Error(`${wanted} cannot be reached by ${key}`);
}

/** A key that is up again before the page has done anything, as on a slow machine. */
const quickly = (page, key) =>
  page.evaluate((named) => {
    const event = (type) => new KeyboardEvent(type, { key: named, code: named, bubbles: true, cancelable: true });
    document.activeElement.dispatchEvent(event('keydown'));
    document.activeElement.dispatchEvent(event('keyup'));
  }, key);

test('a teacher signs in, picks readers and a text up, assigns it and undoes that, by keys alone', async ({ page }) => {
  await page.goto('/');
  await tabTo(page, page.getByLabel('User name'));
  await page.keyboard.type('marit');
  await page.keyboard.press('Tab');
  await page.keyboard.type(password);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /^4 Tern, / })).toBeVisible();

  await tabTo(page, page.getByRole('link', { name: 'Readers', exact: true }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'Skip to content' })).toBeAttached();
  await page.reload();
  await expect(page.getByRole('row').nth(3)).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to content' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  await tabTo(page, page.getByRole('row').nth(1));
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Tray' })).toContainText('2 readers');

  await tabTo(page, page.getByRole('link', { name: 'Texts', exact: true }), 'Shift+Tab');
  await page.keyboard.press('Enter');
  // One they have not had, and that is within their reach.
  const read = page.getByRole('group', { name: 'Read by class' });
  await tabTo(page, read.getByRole('radio', { name: 'either' }));
  await quickly(page, 'ArrowDown');
  await expect(read.getByRole('radio', { name: /^not yet/ })).toBeChecked();
  await expect(page.getByRole('row', { name: /readings/ })).toHaveCount(0);
  await tabTo(page, page.getByRole('row').nth(1));
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Tray' })).toContainText('1 text');
  await tabTo(page, page.getByRole('button', { name: /^Assign to/ }));
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('What happens')).toBeVisible();
  await tabTo(page, dialog.getByRole('button', { name: /^Assign / }));
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Assigned /).first()).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  // Messages say which keys lead to them.
  await expect(page.getByRole('region', { name: 'Notifications alt+T' })).toBeAttached();
  await page.keyboard.press('Alt+t');
  await tabTo(page, page.getByRole('button', { name: 'Undo' }).first());
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^(Undone|Took back|Taken back)/).first()).toBeVisible();
});

test('what is read out of a reader’s way in and of their page is what is there', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('dc-language', 'en'));
  await page.goto('/read/TERN46');
  await expect(page.getByRole('main')).toMatchAriaSnapshot({ name: 'tiles.aria.yml' });
  await page.getByRole('button', { name: 'Mateo' }).click();
  await expect(page.getByRole('main')).toMatchAriaSnapshot({ name: 'pictures.aria.yml' });
  for (const picture of ['boat', 'gull', 'shell']) await page.getByRole('button', { name: picture }).click();
  await expect(page.getByRole('heading', { name: 'My reading' })).toBeVisible();
  await expect(page.getByRole('main')).toMatchAriaSnapshot(`
    - main:
      - region "Next for you":
        - heading "Next for you" [level=2]
        - article:
          - paragraph: /Due .+/
          - heading /.+/ [level=3]
          - paragraph: /.+/
          - paragraph: /words, \\d+ questions/
          - link /^(Start|Continue) reading. .+/
      - region "My week":
        - heading "My week" [level=2]
        - paragraph: /words so far/
        - img
      - region "My goals":
        - heading "My goals" [level=2]
        - text: /by .+/
        - img /texts like/
      - region /answered/:
        - heading /answered/ [level=2]
      - region "Choose something to read":
        - heading "Choose something to read" [level=2]
        - list:
          - listitem:
            - button /^Read .+/
      - region "Kept words":
        - heading "Kept words" [level=2]
        - link /^Practise \\d/
      - region "Finished":
        - heading "Finished" [level=2]
        - link /^All \\d+/
        - list:
          - listitem:
            - link /right at once/
  `);
});
