import { choose, expect, firstVisit, part, place, plainJob, saved, test } from './support';

test('a first visit opens the finished example, and every place of it can be pressed, printed and taken back', async ({
  page,
}) => {
  await firstVisit(page);
  await expect(page.getByLabel('Job name')).toHaveValue('Tarn Ferry reading room');
  await expect(page.getByRole('button', { name: /^Butt joint, wall 1/ }).first()).toBeAttached();
  await place(page, 'Finish');
  await expect(page.getByText('Eggshell in grazing light: Level 5 is enough.')).toBeVisible();
  // A press says what it does before it is made; a cure is one press, and one press back.
  const width = page.getByRole('note').filter({ hasText: 'A-WIDTH' }).first();
  await expect(width.locator('.effect')).toHaveText(/(same date|ready .*), costs \$\d+ (more|less)/);
  const advice = page.getByRole('note').filter({ hasText: 'The flats would show' });
  await advice.getByRole('button', { name: /^Finish/ }).click();
  await expect(advice).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(advice).toHaveCount(1);
  await place(page, 'Order');
  await expect(page.getByRole('heading', { name: 'Load list' })).toBeVisible();
  await expect(page.getByText(/4\.5 gal pail/).first()).toBeVisible();
  // On paper the list is kept, and the rail and buttons stay behind.
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('ls-rail')).toBeHidden();
  await expect(page.getByRole('link', { name: 'Order list' })).toBeHidden();
  await expect(page.getByText(/4\.5 gal pail/).first()).toBeVisible();
  await page.emulateMedia({ media: null });
  await place(page, 'Days');
  await expect(page.getByText('All ready for primer')).toBeVisible();
  // A learner takes longer, and the hours say what is usual.
  await expect(page.getByText(/per 1.000 sq ft of board/)).toBeVisible();
  await expect(page.locator('div.title')).toContainText('73 h');
  // What comes last: until then the lists beside it still move.
  await expect(page.getByRole('region', { name: 'Day sheet' })).toBeAttached();
  await choose(page, 'Crew pace', 'learner: twice the time');
  await expect(page.locator('div.title')).toContainText('learners take twice as long');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('div.title')).toContainText('73 h');
  await place(page, 'Today');
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
});

test('an address of an example opens it in a browser that was never here', async ({ page }) => {
  await page.goto('/job/pier-house/days');
  await expect(page.getByLabel('Job name')).toHaveValue('Pier house gallery');
  await expect(page.getByText('All ready for primer')).toBeVisible();
  await page.goto('/job/nowhere/days');
  await expect(page.getByRole('heading', { name: 'This job is not in this browser' })).toBeVisible();
});

test('from a room size to joints, coats, mud, tape and days', async ({ page }) => {
  await plainJob(page);
  const figures = page.locator('footer');
  await expect(figures).toContainText('4.8 m');
  await expect(figures).toContainText('26.4 m');
  await expect(figures).toContainText('57.6 m²');

  // A door takes its part of the seam away.
  await page.getByRole('button', { name: 'Add door' }).click();
  await expect(figures).toContainText('26.8 m');
  await choose(page, 'Wall', 'wall 2 · 3,600 mm');
  await expect(page.getByRole('button', { name: 'door, wall 2' }).first()).toBeVisible();
  await choose(page, 'On walls', 'vertical (stand-up)');
  await expect(figures).not.toContainText('26.8 m');

  await place(page, 'Finish');
  await choose(page, 'Level system', 'levels 0 to 5');
  await page.getByRole('group', { name: 'Level' }).getByRole('button', { name: '3' }).click();
  await expect(page.locator('.sentence')).toBeVisible();
  await page.getByRole('button', { name: 'Raise to Level 4' }).click();
  await expect(page.getByText('Level 4 is enough')).toBeVisible();
  await part(page, 'Method');
  await choose(page, 'Start from', 'Pan and knives, setting under drying');
  await part(page, 'Level and coats');
  await expect(
    page.getByRole('gridcell', { name: /bed, 100 mm.*lightweight setting/ }).first(),
  ).toBeVisible();

  await place(page, 'Order');
  await expect(page.getByRole('article', { name: 'lightweight setting compound' })).toContainText(
    '1 × 8.2 kg bag',
  );
  await page.getByRole('button', { name: 'Why? Paper tape' }).click();
  await expect(page.getByText('Every flat, butt and inside angle once')).toBeVisible();
  await page.keyboard.press('Escape');

  await place(page, 'Days');
  const rows = page.getByRole('region', { name: 'Day sheet' }).getByRole('row');
  // Its head, and a row for every coat at least.
  await expect.poll(() => rows.count()).toBeGreaterThan(4);
  const before = await page.locator('.main .big').first().textContent();
  await choose(page, 'Air', 'fan running');
  await expect(page.locator('.main .big').first()).not.toHaveText(before ?? '');
  await saved(page);
});

test('units turn from feet to millimetres and back; what is no measure is said under its field, and changes nothing', async ({
  page,
}) => {
  await firstVisit(page);
  await expect(page.getByLabel('Length').first()).toHaveValue(`28' 0"`);
  await page.getByRole('button', { name: 'Units: feet and inches' }).click();
  await expect(page.getByLabel('Length').first()).toHaveValue('8,534 mm');
  await page.getByRole('button', { name: 'Units: millimeters' }).click();
  await expect(page.getByLabel('Length').first()).toHaveValue(`28' 0"`);

  const field = page.getByLabel('Length').first();
  await field.fill('quite long');
  await expect(page.getByText('“quite long” is not a length')).toBeVisible();
  await field.fill(`30' 6"`);
  await expect(page.getByText('wall 1 · 30\' 6"')).toBeAttached();
});

test('the keyboard alone walks the places, the joints and the commands', async ({ page }) => {
  await firstVisit(page);
  await page.getByRole('button', { name: /Study nook/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('group', { name: /Unfolded drawing of Study nook/ }).focus();
  await page.keyboard.press('Home');
  await expect(page.getByRole('heading', { name: /^Flat/ })).toBeVisible();
  await page.keyboard.press('End');
  await expect(page.getByRole('heading', { name: /^Outside corner/ })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Room', { exact: true })).toHaveValue('Study nook');
  await page.keyboard.press('5');
  await expect(page.getByText('All ready for primer')).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByText('search or run a command', { exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText('search or run a command', { exact: true })).toBeHidden();
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Search or run a command' }).fill('plant');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Room', { exact: true })).toHaveValue('Plant room');
});

test('trouble is marked on a butt with the keyboard only, and the order follows', async ({ page }) => {
  await plainJob(page);
  const mud = page.locator('footer .mud .figure');
  const before = await mud.textContent();
  await page.getByRole('group', { name: /Unfolded drawing/ }).focus();
  await page.keyboard.press('Home');
  const title = page.locator('ls-joint-sheet h2');
  const picked = () =>
    page
      .locator('.joint.on .hit')
      .first()
      .evaluate((line) => line.outerHTML);
  for (let i = 0; i < 12 && !/^Butt joint/.test((await title.textContent()) ?? ''); i++) {
    const last = await picked();
    await page.keyboard.press('ArrowDown');
    // The page follows a key in its own time; the next one is pressed once it has.
    await expect.poll(picked).not.toBe(last);
  }
  await expect(title).toHaveText(/^Butt joint/);
  // Wide enough to be packed with half a pan of mud.
  for (let i = 0; i < 14; i++) await page.keyboard.press(']');
  await expect(page.locator('.flag', { hasText: 'gap 16 mm' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Hump' }).focus();
  await page.keyboard.type('2');
  await page.keyboard.press('Enter');
  await expect(page.locator('.flag', { hasText: '2 mm hump' })).toBeVisible();
  await expect(mud).not.toHaveText(before ?? '');
  await page.keyboard.press('Control+z');
  await expect(page.locator('.flag', { hasText: 'gap 16 mm' })).toBeVisible();
});
