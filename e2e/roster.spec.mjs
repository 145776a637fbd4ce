import { execFileSync } from 'node:child_process';
import { expect, test } from './world.mjs';
import { api, axe, choose, classOf, password, paste, place, signIn, teacher, view, starting } from './people.mjs';
import { zip } from './zip.mjs';

// A roster from nothing to a class that can sign in, and what happens to it in a year. Teo's and the school lead's
// side; Marit's class is left alone.
test.describe.configure({ mode: 'serial' });

const room = { code: '' };
const cell = (page, field, n) => page.getByRole('textbox', { name: `${field}, row ${n}`, exact: true });

async function openClass(page, name) {
  await teacher(page, 'teo');
  await goTo(page, name);
}

async function goTo(page, name = '5 Skua') {
  await page.getByRole('button', { name: /^Class:/ }).click();
  await page.getByRole('menuitem', { name: starting(name) }).click();
}

test('a class is made, and a list is pasted with what is wrong said in its cell', async ({ page }) => {
  await teacher(page, 'teo');
  await page.getByRole('button', { name: /^Class:/ }).click();
  await page.getByRole('menuitem', { name: 'New class…' }).click();
  await page.getByRole('button', { name: 'Create class' }).click();
  await expect(page.getByText('Enter a class name of 60 letters or fewer.')).toBeVisible();
  await expect(page.getByLabel('Class name')).toBeFocused();
  await page.getByLabel('Class name').fill('5 Skua');
  await choose(page.getByRole('combobox', { name: 'Grade' }), '5');
  await page.getByRole('button', { name: 'Create class' }).click();
  await page.getByRole('link', { name: 'Add many readers' }).click();

  await cell(page, 'Given name', 1).focus();
  await paste(
    page,
    'Ana\tCruz\t5\t38\nBo\tLee\tYear 6\tgrade 5\nZed\tQuux\tforty\tdeep\nMateo\tRivas\t4\t\nBo\tLee\t5\t\n',
  );
  // A bare number is asked about: 38 of what?
  await expect(page.getByText(/^Choose the level unit above, or write “38 fm”/)).toBeVisible();
  await choose(page.getByLabel('Level unit'), 'fm');
  await expect(page.getByText('2 new,')).toBeVisible();
  await expect(page.getByText('3 to fix')).toBeVisible();
  await expect(cell(page, 'Grade', 3)).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByText('Enter a grade from K to 12 or a label from the level chart.')).toBeVisible();

  // The same child as one of another class; another child of the same name.
  await page.getByRole('button', { name: /^Yes, Mateo Rivas of grade 4, 4 Tern/ }).click();
  await page.getByRole('button', { name: 'No, another child' }).last().click();
  await expect(page.getByText('1 to fix')).toBeVisible();
  await page.getByRole('button', { name: 'Save 4 rows' }).click();
  // The child of another class is asked for; their teacher answers.
  await expect(page.getByText('3 readers added, 1 requested')).toBeVisible();
  await expect(page.getByText('3 can sign in now')).toBeVisible();

  // The bad row is still there, also after coming back, and goes in when it is right.
  await expect(page.getByText(/^Saved \d\d:\d\d$/)).toBeVisible();
  await page.reload();
  await expect(cell(page, 'Given name', 1)).toHaveValue('Zed');
  await cell(page, 'Grade', 1).fill('5');
  await cell(page, 'Level', 1).fill('40 fm');
  await page.getByRole('button', { name: 'Save 1 row' }).click();
  await expect(page.getByText('1 reader added')).toBeVisible();
});

test('two hundred rows from a file are recognised by their columns', async ({ page }) => {
  await openClass(page);
  await view(page, 'Roster');
  await page.getByRole('button', { name: 'Add readers' }).click();
  await page.getByRole('menuitem', { name: /^Many/ }).click();
  const rows = Array.from({ length: 200 }, (_, i) => `Surname${i};Name${i};5;${30 + (i % 10)}`).join('\r\n');
  await page.getByLabel('Choose a file').setInputFiles({
    name: 'list.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`Surname;First name;Year;Fathoms\r\n${rows}\r\n`, 'latin1'),
  });
  await expect(page.getByText(/CSV, UTF-8.*200 rows/)).toBeVisible();
  await expect(page.getByText('200 new,')).toBeVisible();
  await expect(cell(page, 'Given name', 1)).toHaveValue('Name0');
  // One column means something else.
  await choose(page.getByRole('combobox', { name: 'Fathoms is' }), 'ID');
  await expect(cell(page, 'Id', 1)).toHaveValue('30');
  await page.getByRole('button', { name: 'Clear', exact: true }).click();
  await expect(cell(page, 'Given name', 1)).toHaveValue('');
});

test('readers of the school come in with two keystrokes, and undo takes them out', async ({ page }) => {
  await openClass(page, '2 Plover');
  const one = (await api(page, 'GET', `/classes/${classOf(page)}`)).readers[0];
  await goTo(page);
  await view(page, 'Roster');
  await expect(page.getByText('4 of 4 readers')).toBeVisible();
  await page.getByRole('button', { name: 'Add readers' }).click();
  await page.getByRole('menuitem', { name: /^From school/ }).click();
  await page.keyboard.type(`${one.givenName} ${one.familyName}`);
  await expect(page.getByRole('button', { name: `${one.givenName} ${one.familyName}` })).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(page.getByText('5 of 5 readers')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('4 of 4 readers')).toBeVisible();
});

test('several are changed at once, one is given supports and a code, one is moved', async ({ page }) => {
  await openClass(page);
  await view(page, 'Roster');
  for (const name of ['Ana', 'Zed']) await page.getByRole('checkbox', { name: `Select ${name}`, exact: true }).click();
  await page.getByRole('button', { name: 'Change…' }).click();
  await choose(page.getByRole('combobox', { name: 'Signs in with' }), 'Password');
  await page.getByRole('checkbox', { name: 'Set the same supports for all' }).check();
  await page.getByRole('checkbox', { name: 'Listen' }).check();
  await page.getByRole('button', { name: 'Change 2 readers' }).click();
  await expect(page.getByRole('row', { name: /Ana Cruz.*password.*listen/ })).toBeVisible();

  await page.getByRole('button', { name: 'Ana Cruz' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Home language').fill('Catalan');
  await dialog.getByLabel('Guardian’s email').fill('cruz@home.example');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('button', { name: 'Ana Cruz' }).click();
  await expect(dialog.getByLabel('Home language')).toHaveValue('Catalan');
  await dialog.getByRole('button', { name: 'code', exact: true }).click();
  await expect(dialog.getByText('Code', { exact: true })).toBeVisible();
  room.secret = await dialog.getByLabel('Code', { exact: true }).innerText();
  // A picture is one reader's in the class, and no classmate's can be chosen.
  await dialog.getByRole('button', { name: 'Change picture' }).click();
  const pictures = page.getByLabel('Pictures');
  await expect(pictures.getByRole('button', { disabled: true }).first()).toBeVisible();
  await pictures.getByRole('button', { name: 'wheel, in a ring' }).click();
  await expect(dialog.getByText('Picture: wheel, in a ring')).toBeVisible();
  await page.keyboard.press('Escape');

  await page.getByRole('checkbox', { name: 'Select Ana', exact: true }).click();
  await page.getByRole('button', { name: 'Move to a class…' }).click();
  await choose(page.getByRole('combobox', { name: 'Move to' }), '2 Plover');
  await page.getByRole('button', { name: 'Move 1 reader' }).click();
  await expect(page.getByText('Moved Zed Quux from 5 Skua to 2 Plover')).toBeVisible();
  await expect(page.getByText('1 former reader')).toBeVisible();
});

test('cards, the list and letters are printed as PDF', async ({ page }) => {
  await openClass(page);
  await view(page, 'Roster');
  await page.getByRole('button', { name: 'Print' }).click();
  for (const name of [/^Sign-in cards.*A4/, /^List/, /^Letters/]) {
    const href = await page.getByRole('menuitem', { name }).getAttribute('href');
    const answer = await page.request.get(href);
    expect(answer.headers()['content-type']).toBe('application/pdf');
    expect((await answer.body()).subarray(0, 4).toString()).toBe('%PDF');
  }
  await page.keyboard.press('Escape');
  await view(page, 'Guardians');
  await expect(page.getByRole('row', { name: /Ana Cruz.*valid until/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take back code of Ana' }).click();
  await expect(page.getByRole('row', { name: /Ana Cruz.*taken back/ })).toBeVisible();
});

test('guardians whose address is on the roster are invited by mail, one alone or those picked up', async ({
  page,
  browser,
}) => {
  await openClass(page);
  await view(page, 'Guardians');
  await page.getByRole('button', { name: 'Invite guardians of Ana by email' }).click();
  await expect(page.getByText('Sent 1 letter by email')).toBeVisible();
  await expect(page.getByRole('row', { name: /Ana Cruz.*cruz@home.example.*valid until/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Invite guardians of Bo/ })).toHaveCount(0);
  for (const name of ['Ana', 'Bo'])
    await page
      .getByRole('checkbox', { name: new RegExp(`^Select ${name}\\b`) })
      .first()
      .click();
  await expect(page.getByRole('button', { name: 'Invite 1 by email' })).toBeVisible();
  await axe(page, 'guardians');

  const lead = await (await browser.newContext()).newPage();
  await signIn(lead, 'ines');
  await place(lead, 'Log');
  await lead.getByRole('radio', { name: 'Email sent' }).click();
  await lead.getByText('cruz@home.example').first().click();
  await expect(lead.locator('details[open] pre')).toContainText('Ana');
  await lead.context().close();
});

test('the device is handed over, a reader signs in by code, another asks to join, and the password brings it back', async ({
  page,
}) => {
  await openClass(page);
  await view(page, 'Class');
  room.code = await page
    .getByRole('region', { name: 'Class code' })
    .getByText(/^[A-Z0-9]{4,}$/)
    .innerText();
  await page.getByRole('button', { name: 'Hand device to class' }).click();
  await expect(page.getByRole('heading', { name: '5 Skua: who are you?' })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('heading', { name: '5 Skua: who are you?' })).toBeVisible();
  await page.getByRole('button', { name: 'Ana' }).click();
  await page.getByLabel('Your code').fill(room.secret);
  await page.getByRole('button', { name: 'Continue' }).click();
  await expect(page.getByText('All done')).toBeVisible();
  await page.getByRole('button', { name: /Sign out/ }).click();
  await expect(page.getByRole('heading', { name: '5 Skua: who are you?' })).toBeVisible();
  await page.getByRole('button', { name: 'My name is not here' }).click();
  await page.getByLabel('Given name').fill('Joy');
  await page.getByRole('button', { name: 'Ask to join' }).click();
  await page.getByRole('button', { name: 'Back to the names' }).click();
  await page.getByRole('button', { name: 'Back to teacher pages' }).click();
  await page.getByLabel('Password of Teo Baptiste').fill('not this');
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByText('Wrong password.')).toBeVisible();
  await page.getByLabel('Password of Teo Baptiste').fill(password);
  await page.getByRole('button', { name: 'Back' }).click();
  await view(page, 'Roster');
  await page.getByRole('button', { name: 'Approve Joy' }).click();
  await expect(page.getByRole('button', { name: /^Joy/ })).toBeVisible();
});

test('a list is kept by hand and another by a filter', async ({ page }) => {
  await openClass(page);
  await view(page, 'Lists');
  await page.getByRole('button', { name: 'New list', exact: true }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Book club');
  await dialog.getByRole('checkbox', { name: 'Ana Cruz' }).check();
  await dialog.getByRole('button', { name: 'Save list' }).click();
  await expect(page.getByRole('heading', { name: /Book club 1 reader/ })).toBeVisible();
  await page.getByRole('button', { name: 'New list from filter' }).click();
  await dialog.getByLabel('Name').fill('All the Lees');
  await dialog.getByLabel('Include readers matching').fill('lee');
  await dialog.getByRole('button', { name: 'Save list' }).click();
  await expect(page.getByRole('heading', { name: /All the Lees 2 readers, updates itself: lee/ })).toBeVisible();
  await page.getByRole('button', { name: 'Actions for Book club' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: /Book club 1 reader/ })).toBeVisible();
});

const roster = (mended) =>
  zip({
    'manifest.csv':
      'propertyName,value\noneroster.version,1.2\nfile.classes,delta\nfile.users,delta\nfile.roles,delta\nfile.enrollments,delta\n',
    'classes.csv': 'sourcedId,title,grades\nk1,7 Fulmar,07\n',
    'users.csv': [
      'sourcedId,givenName,familyName,grades,email',
      'x1,Anneke,Prins,07,',
      `x2,Ravi,Sen,${mended},`,
      'x3,Tia,Moana,,tia@port-ellery.example\n',
    ].join('\n'),
    'roles.csv': 'userSourcedId,role\nx1,student\nx2,student\nx3,teacher\n',
    'enrollments.csv':
      'sourcedId,classSourcedId,userSourcedId,role\ny1,k1,x1,student\ny2,k9,x2,student\ny3,k1,x3,teacher\n',
  });

test('a roster file is previewed, its good rows taken in, its bad rows mended, and all of it undone', async ({
  page,
}) => {
  await signIn(page, 'ines');
  await place(page, 'Roster files');
  await page
    .getByLabel('Choose OneRoster zip')
    .setInputFiles({ name: 'fulmar.zip', mimeType: 'application/zip', buffer: roster('99') });
  await expect(page.getByRole('heading', { name: '2 to fix' })).toBeVisible();
  await expect(page.getByRole('row', { name: /users.csv, line 3 grades/ })).toBeVisible();
  await page.getByRole('button', { name: 'Add 1 reader' }).click();
  await expect(page.getByText(/^Imported\. New readers/)).toBeVisible();
  await page.getByRole('textbox', { name: 'grades in line 3' }).fill('07');
  await page.getByRole('textbox', { name: 'classSourcedId in line 3' }).fill('k1');
  await page.getByRole('button', { name: 'Check again with 2 fixes' }).click();
  await page.getByRole('button', { name: 'Add 1 reader' }).click();
  await expect(page.getByText(/^Imported\. New readers/)).toBeVisible();
  await place(page, 'Classes');
  await expect(page.getByRole('row', { name: /7 Fulmar.*Tia Moana.*2 of 2/ })).toBeVisible();

  const out = await page.request.get('/api/school/roster.zip');
  await place(page, 'Roster files');
  await page
    .getByLabel('Choose OneRoster zip')
    .setInputFiles({ name: 'our-own.zip', mimeType: 'application/zip', buffer: await out.body() });
  await expect(page.getByText('The school already matches this file.')).toBeVisible();

  await place(page, 'Log');
  const undos = page.getByRole('button', { name: /^Undo: Imported fulmar.zip/ });
  for (const left of [1, 0]) {
    await expect(undos).toHaveCount(left + 1);
    await undos.first().click();
    await expect(undos).toHaveCount(left);
  }
  await place(page, 'Classes');
  await expect(page.getByRole('row', { name: /7 Fulmar/ })).toHaveCount(0);
});

test('the district’s server is asked, and gives the same kind of preview', async ({ page }) => {
  await signIn(page, 'ines');
  await place(page, 'Roster files');
  await page.getByRole('button', { name: 'Fetch from Ellery Sound district' }).click();
  await expect(page.getByRole('row', { name: 'Readers 24 0 0 0' })).toBeVisible();
  await page.getByRole('button', { name: 'Discard import' }).click();
  await expect(page.getByRole('heading', { name: 'Roster files' })).toBeVisible();
});

const whole = (names) =>
  zip({
    'manifest.csv': 'propertyName,value\noneroster.version,1.2\nsource.systemName,Dunlin SIS\n',
    'classes.csv': 'sourcedId,title,grades\nd1,2 Dunlin,02\n',
    'users.csv': `sourcedId,role,givenName,familyName,grades\n${names.map((n) => `d-${n},student,${n},Dunlin,02\n`).join('')}`,
    'enrollments.csv': `sourcedId,classSourcedId,userSourcedId,role\n${names.map((n) => `de-${n},d1,d-${n},student\n`).join('')}`,
  });

test('a file that would end more than a tenth is done when the number is typed, and touches no other source', async ({
  page,
}) => {
  await signIn(page, 'ines');
  const bring = async (names) => {
    await place(page, 'Roster files');
    await page
      .getByLabel('Choose OneRoster zip')
      .setInputFiles({ name: 'dunlin.zip', mimeType: 'application/zip', buffer: whole(names) });
  };
  await bring([
    'Ada',
    'Ben',
    'Cai',
    'Dot',
    'Eli',
    'Fay',
    'Gus',
    'Hal',
    'Ivo',
    'Jem',
    'Kit',
    'Lou',
    'Mei',
    'Ned',
    'Oda',
    'Pip',
  ]);
  await page.getByRole('button', { name: 'Add 16 readers' }).click();
  await expect(page.getByText(/^Imported\. New readers/)).toBeVisible();
  // The school's other readers come from elsewhere: only what this source brought ends.
  await bring(['Ada']);
  await expect(page.getByRole('row', { name: 'Readers 0 0 15 0' })).toBeVisible();
  const end = page.getByRole('button', { name: 'End 15 readers' });
  await expect(end).toBeDisabled();
  await page.getByLabel('Type 15 to confirm').fill('15');
  await end.click();
  await expect(page.getByText(/^Imported\. New readers/)).toBeVisible();
  await place(page, 'Log');
  const undos = page.getByRole('button', { name: /^Undo: Imported dunlin.zip/ });
  for (const left of [1, 0]) {
    await expect(undos).toHaveCount(left + 1);
    await undos.first().click();
    await expect(undos).toHaveCount(left);
  }
});

test('a colleague is invited, chooses a password, and is signed out everywhere', async ({ page, browser }) => {
  await signIn(page, 'ines');
  await place(page, 'Staff');
  await page.getByRole('button', { name: 'Invite colleague' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Nele Brandt');
  await page.getByLabel('Email').fill('nele@port-ellery.example');
  await page.getByRole('button', { name: 'Invite', exact: true }).click();
  const link = await page.getByRole('textbox', { name: 'Link' }).inputValue();
  await page.getByRole('button', { name: 'Done' }).click();
  await place(page, 'Log');
  await page.getByRole('radio', { name: 'Email sent' }).click();
  await expect(page.getByText('nele@port-ellery.example')).toBeVisible();

  const nele = await (await browser.newContext()).newPage();
  await nele.goto(link);
  await expect(nele.getByText('Use 10 to 200 characters')).toBeVisible();
  await nele.getByLabel('Choose a password').fill('short');
  await nele.getByRole('button', { name: 'Sign in' }).click();
  await expect(nele.getByRole('alert')).toContainText('10 to 200');
  await nele.getByLabel('Choose a password').fill('a gull on the mast');
  await nele.getByRole('button', { name: 'Sign in' }).click();
  await expect(nele.getByRole('heading', { name: 'Create your first class' })).toBeVisible();

  await place(page, 'Staff');
  await page.getByRole('button', { name: 'Sign Nele Brandt out everywhere' }).click();
  await expect(page.getByText('Nele Brandt is signed out on every device')).toBeVisible();
  await nele.goto('/');
  await expect(nele.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await nele.context().close();
});

test('several colleagues are invited at once, and nobody while one of them is wrong', async ({ page }) => {
  await signIn(page, 'ines');
  await place(page, 'Staff');
  await page.getByRole('button', { name: 'Invite several…' }).click();
  const dialog = page.getByRole('dialog');
  const list = dialog.getByLabel('Names and email addresses');
  await list.fill('Jo Pike <jo@port-ellery.example>\nMax Oldham\nkit@nowhere');
  await expect(dialog.getByRole('row', { name: 'Max Oldham sheet' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Invite 3 people' }).click();
  await expect(dialog.getByText('kit@nowhere is not an email address.')).toBeVisible();
  await list.fill('Jo Pike <jo@port-ellery.example>\nMax Oldham');
  await dialog.getByRole('button', { name: 'Invite 2 people' }).click();
  await expect(dialog.getByText('1 link was sent by email.')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Print 1 invitation sheet' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('row', { name: /Jo Pike.*invited until/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('row', { name: /Jo Pike/ })).toHaveCount(0);
});

test('days off are pressed in the year, one by one and a stretch at a time', async ({ page }) => {
  await signIn(page, 'ines');
  await place(page, 'Years');
  const days = page.getByRole('grid', { name: 'School days and days off' });
  await expect(page.getByText('5 days, hatched below.')).toBeVisible();
  const first = days.getByRole('button', { name: /Term 1/ }).first();
  await first.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await expect(page.getByText('6 days, hatched below.')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+Space');
  await expect(page.getByText('11 days, hatched below.')).toBeVisible();
  const before = await page.getByText(/school days$/).innerText();
  await page.getByRole('button', { name: 'Save year' }).click();
  await expect(page.getByText(/school days$/)).not.toHaveText(before);
  await page.reload();
  await expect(page.getByText('11 days, hatched below.')).toBeVisible();
});

test('the level chart gets the school’s own labels, and the next year is added and rolled over', async ({ page }) => {
  await signIn(page, 'ines');
  await place(page, 'Level chart');
  await page.getByRole('textbox', { name: 'New column' }).fill('Pier steps');
  await page.getByRole('button', { name: 'Add column' }).click();
  await page.getByRole('textbox', { name: 'Pier steps of row 5' }).fill('Step 5');
  await page.getByRole('button', { name: 'Preview changes…' }).click();
  await expect(page.getByText('The column “Pier steps” appears wherever a level is chosen.')).toBeVisible();
  await page.getByRole('button', { name: 'Save level chart' }).click();
  await expect(page.getByText('your school’s chart')).toBeVisible();

  await place(page, 'Years');
  await page.getByRole('button', { name: 'Add next year' }).click();
  await page.getByRole('button', { name: 'Add year' }).click();
  await expect(page.getByRole('radio', { name: /^2027/ })).toBeChecked();
  await page.getByRole('radio', { name: /^2026/ }).first().click();
  await page.getByRole('button', { name: /^Roll over to/ }).click();
  await expect(page.getByText(/\d+ readers move up a grade/)).toBeVisible();
  await expect(page.getByText('5 Tern')).toBeVisible();
  await page.getByRole('button', { name: 'Roll over', exact: true }).click();
  await expect(page.getByText(/Rolled .* over to/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Undone.')).toBeVisible();
});

test('the whole school is filtered at a keystroke; a record is taken out; a reader is deleted for good', async ({
  page,
}) => {
  await signIn(page, 'ines');
  await place(page, 'Readers');
  await page.getByRole('searchbox').fill('joy');
  await expect(page.getByText(/^1 of \d+/)).toBeVisible();
  await page.getByRole('button', { name: /^Joy/ }).click();
  const dialog = page.getByRole('dialog');
  expect(
    (await page.request.get(await dialog.getByRole('link', { name: 'Download JSON' }).getAttribute('href'))).ok(),
  ).toBe(true);
  await dialog.getByText('Delete permanently').click();
  await dialog.getByLabel('Type the full name to confirm').fill('Joy');
  await dialog.getByRole('button', { name: 'Delete Joy permanently' }).click();
  await expect(page.getByText('Deleted permanently, with all records.')).toBeVisible();
  await expect(page.getByText(/^0 of \d+/)).toBeVisible();
  await place(page, 'Log');
  await page.getByRole('radio', { name: 'Viewed, exported, deleted' }).click();
  await expect(page.getByRole('row', { name: /deleted/ }).first()).toBeVisible();
});

test('a guardian registers with the letter’s code, confirms by mail, and sees only their own child', async ({
  page,
  browser,
}) => {
  await openClass(page);
  await view(page, 'Guardians');
  const href = await page.getByRole('link', { name: 'Letter for Bo' }).first().getAttribute('href');
  const letter = execFileSync('pdftotext', ['-layout', '-', '-'], {
    input: await (await page.request.get(href)).body(),
  }).toString();
  expect(letter).toContain('Follow Bo’s reading');
  const [code] = /[A-Z0-9]{4}-[A-Z0-9]{4}-[A-Z0-9]{4}/.exec(letter);

  const home = await (await browser.newContext()).newPage();
  await home.goto('/guardian');
  await home.getByLabel('Code from the letter').fill(code.toLowerCase());
  await home.getByLabel('Your name').fill('Wei Lee');
  await home.getByLabel('Your email address').fill('wei@home.example');
  await home.getByLabel('Choose a password').fill('tea at four o’clock');
  await home.getByRole('button', { name: 'Register' }).click();
  await expect(home.getByText('We sent you an email.')).toBeVisible();
  const lead = await (await browser.newContext()).newPage();
  await signIn(lead, 'ines');
  await place(lead, 'Log');
  await lead.getByRole('radio', { name: 'Email sent' }).click();
  await lead.getByText('wei@home.example').click();
  const link = /http\S+confirm#\S+/.exec(await lead.locator('details[open] pre').innerText())[0];
  await lead.context().close();
  await home.goto(link);
  await expect(home.getByText('Email confirmed.')).toBeVisible();
  await home.getByRole('link', { name: 'Sign in' }).click();
  await home.getByLabel('User name').fill('wei@home.example');
  await home.getByLabel('Password').fill('tea at four o’clock');
  await home.getByRole('button', { name: 'Sign in' }).click();
  await expect(home.getByRole('heading', { name: 'Bo’s week' })).toBeVisible();
  await expect(home.getByRole('heading', { level: 2 })).toHaveCount(1);
  await home.context().close();

  const lucia = await (await browser.newContext()).newPage();
  await signIn(lucia, 'lucia');
  await expect(lucia.getByRole('heading', { name: 'Mateo' })).toBeVisible();
  await expect(lucia.getByText(/^Mateo lee textos propios de.* grado/)).toBeVisible();
  await expect(lucia.getByRole('heading', { name: 'Pendiente' })).toBeVisible();
  await expect(lucia.getByText('Rivas', { exact: true })).toHaveCount(0);
  expect((await lucia.request.get('/api/school')).status()).toBe(404);
  await lucia.context().close();

  const stranger = await (await browser.newContext()).newPage();
  await stranger.goto('/guardian#WRONG-CODE');
  await stranger.getByLabel('Your name').fill('Eve');
  await stranger.getByLabel('Your email address').fill('eve@example.org');
  await stranger.getByLabel('Choose a password').fill('a long enough one');
  await stranger.getByRole('button', { name: 'Register' }).click();
  await expect(stranger.getByText('This code is wrong or has expired. Ask the school for a new letter.')).toBeVisible();
  await stranger.context().close();
});

test('an assistant sees the roster and is offered nothing that changes it', async ({ page }) => {
  await teacher(page, 'bram');
  await view(page, 'Roster');
  await expect(page.getByText('As assistant you cannot change the roster')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add readers' })).toHaveCount(0);
  await view(page, 'Class');
  await expect(page.getByRole('button', { name: 'Replace code' })).toHaveCount(0);
});

test('a reader changes schools: offered by one lead, taken by the other, with the history', async ({ page }) => {
  await signIn(page, 'ines');
  await place(page, 'Readers');
  await page.getByRole('searchbox').fill('esther mbeki');
  await page.getByRole('button', { name: 'Esther Mbeki' }).click();
  await choose(page.getByRole('dialog').getByLabel('School'), 'Skerry Point School');
  await page.getByRole('dialog').getByRole('button', { name: 'Offer' }).click();
  await expect(page.getByText('Esther stays here until the other school takes them.')).toBeVisible();
  await place(page, 'Classes');
  await expect(page.getByRole('region', { name: 'Readers changing schools' })).toContainText(
    'offered to Skerry Point School',
  );

  await page.context().clearCookies();
  await signIn(page, 'oona');
  await page.getByRole('button', { name: /^You:/ }).click();
  await page.getByRole('menuitem', { name: 'School' }).click();
  await place(page, 'Classes');
  await expect(page.getByRole('region', { name: 'Readers changing schools' })).toContainText('from Port Ellery School');
  await page.getByRole('button', { name: 'Accept', exact: true }).click();
  await expect(page.getByText('Esther Mbeki is here now. Add them to a class.')).toBeVisible();
  await place(page, 'Readers');
  await page.getByRole('button', { name: 'Esther Mbeki' }).click();
  await choose(page.getByRole('dialog').getByLabel('Class', { exact: true }), '4 Eider');
  await page.getByRole('dialog').getByRole('button', { name: 'Add' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.getByRole('row', { name: /Esther Mbeki.*4 Eider/ })).toBeVisible();

  // Who had her before sees her no more.
  await page.context().clearCookies();
  await signIn(page, 'ines');
  await place(page, 'Readers');
  await page.getByRole('searchbox').fill('esther mbeki');
  await expect(page.getByText(/^0 of \d+/)).toBeVisible();
});

test('lists of the school show the columns that are wanted, and rows are picked up by keys', async ({ page }) => {
  await signIn(page, 'ines');
  await place(page, 'Classes');
  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'Code' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('columnheader', { name: 'Code' })).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('columnheader', { name: 'Code' })).toHaveCount(0);
  await page.getByRole('row', { name: /2 Plover/ }).focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Shift+Space');
  await expect(page.getByText('2 selected')).toBeVisible();
  const sheet = await page.request.get(
    await page.getByRole('link', { name: 'Sign-ins of 2 classes' }).getAttribute('href'),
  );
  expect(sheet.headers()['content-type']).toBe('application/pdf');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('navigation', { name: 'Views of the readers' })).toBeVisible();
});
