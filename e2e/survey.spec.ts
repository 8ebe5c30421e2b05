import { choose, expect, plainJob, saved, test } from './support';

test('a room is measured with the simulated meter, and boarded as it stands', async ({ page }) => {
  await plainJob(page);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: 'Laser meter' }).click();
  await expect(page.getByText('The meter is simulated')).toBeVisible();
  await page.getByRole('button', { name: 'Listen to the meter' }).click();
  await expect(page.getByText('All measurements received.')).toBeVisible({ timeout: 30000 });
  const form = page.getByRole('form', { name: 'Add a room' });
  for (const label of ['Wall 1', 'Wall 4', 'Height'])
    await expect(form.getByLabel(label, { exact: true })).toHaveValue(/mm$/);
  await expect(form.getByText(/The corner of walls 1 and 2 is 9?\d\.\d°|is 8\d\.\d°/)).toBeVisible();
  await form.getByRole('button', { name: 'Add room' }).click();
  await expect(page.getByRole('group', { name: /Unfolded drawing of Room 2/ })).toBeVisible();
  await saved(page);
});

test('a table of 200 rooms with three bad rows is shown before it lands', async ({ page }) => {
  await plainJob(page);
  const rows = Array.from({ length: 200 }, (_, i) => {
    if (i === 20) return 'Bad 1;long;3,6;2,4';
    if (i === 90) return 'Bad 2;4,8;;2,4';
    if (i === 150) return 'Bad 3;4,8;3,6;0,1';
    return `Room ${101 + i};${(3 + (i % 7) / 2).toFixed(1).replace('.', ',')};3,6;2,4`;
  });
  await page.getByRole('button', { name: 'Import and export' }).click();
  await page.getByLabel('Choose a table or a drawing').setInputFiles({
    name: 'hotel.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`name;length (m);width (m);height (m)\n${rows.join('\n')}\n`),
  });
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('3 things are wrong')).toBeVisible();
  await expect(dialog.getByText('Row 22, length (m): “long” is not a length')).toBeVisible();
  await expect(dialog.getByText('Row 92, width (m): The width is missing.')).toBeVisible();
  await expect(dialog.getByText(/Row 152, height \(m\): .*100 mm/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Add 197 rooms' }).click();
  await expect(page.getByRole('button', { name: /^Room 300/ })).toBeAttached();
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Room 300/ })).toHaveCount(0);
});

test('joints are swept together; a butt is dragged to another stud, an opening along its wall, and both come back; wheel and buttons go nearer', async ({
  page,
}) => {
  await plainJob(page);
  const drawing = page.getByRole('group', { name: /Unfolded drawing/ });
  const box = (await drawing.boundingBox())!;
  await page.keyboard.down('Shift');
  await page.mouse.move(box.x + 4, box.y + 4);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width - 4, box.y + box.height - 4, { steps: 4 });
  await page.mouse.up();
  await page.keyboard.up('Shift');
  await expect(page.getByRole('heading', { name: '19 joints' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Gap' }).fill('5');
  await page.getByRole('textbox', { name: 'Gap' }).press('Enter');
  await expect(page.locator('.flag')).toHaveCount(19);
  await page.getByRole('button', { name: 'Back to the room' }).click();

  await page.getByRole('button', { name: 'Add door' }).click();
  const butt = page
    .getByRole('button', { name: /^Butt joint, wall 3/ })
    .first()
    .locator('.hit');
  const before = (await butt.boundingBox())!;
  const [x, y] = [before.x + before.width / 2, before.y + before.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 70, y, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveAttribute('title', /Move the butt/);
  await expect
    .poll(async () => Math.abs(((await butt.boundingBox())?.x ?? 0) - before.x))
    .toBeGreaterThan(20);
  const door = page.getByRole('button', { name: 'door, wall 1' }).first();
  const from = (await door.boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2 + 60, from.y + from.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => ((await door.boundingBox())?.x ?? 0) - from.x).toBeGreaterThan(30);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => Math.abs(((await door.boundingBox())?.x ?? 0) - from.x)).toBeLessThan(4);

  const face = page.locator('.face').first();
  const width = async () => (await face.boundingBox())?.width ?? 0;
  const fitted = await width();
  await page.getByRole('button', { name: 'Zoom in' }).click();
  await expect.poll(width).toBeGreaterThan(fitted * 1.3);
  const middle = (await page.getByRole('group', { name: /Unfolded drawing/ }).boundingBox())!;
  await page.mouse.move(middle.x + middle.width / 2, middle.y + middle.height / 2);
  await page.mouse.wheel(0, -400);
  await expect.poll(width).toBeGreaterThan(fitted * 1.8);
  await page.getByRole('button', { name: 'Fit', exact: true }).click();
  await expect.poll(async () => Math.round((await width()) - fitted)).toBe(0);
});

test('a drawing goes out as DXF and SVG, and an outline comes in; ways to board stand side by side, and one press takes one', async ({
  page,
}) => {
  await plainJob(page);
  await page.getByRole('button', { name: 'Import and export' }).click();
  const got = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name, exact: true }).click(),
    ]);
    const stream = await download.createReadStream();
    let text = '';
    for await (const part of stream) text += String(part);
    return text;
  };
  expect(await got('This room (SVG)')).toContain('<svg xmlns');
  const dxf = await got('This room (DXF)');
  expect(dxf).toContain('JOINT-BUTT');
  expect(await got('Table of rooms (CSV)')).toContain('Room 1,4800,3600,2400,Q3,flat-paint');
  await page.getByLabel('Choose a table or a drawing').setInputFiles({
    name: 'room.dxf',
    mimeType: 'image/vnd.dxf',
    buffer: Buffer.from(dxf),
  });
  await expect(page.getByText(/outlines?, in millimeters/)).toBeVisible();

  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Compare boards' }).click();
  const upright = page.getByRole('row', { name: /^vertical \(stand-up\)/ });
  await expect(upright).toContainText('0 m');
  await upright.getByRole('button', { name: 'Use vertical (stand-up)' }).click();
  await expect(page.locator('footer')).toContainText('0 m');
  await page.getByRole('button', { name: 'Tables' }).click();
  await page.getByRole('button', { name: 'Joints' }).click();
  await expect(page.getByRole('cell', { name: 'butt joint' })).toHaveCount(0);
});

test('an attic: slopes, knee walls and a flat, with a soffit and a closet; an L-shaped room takes five numbers', async ({
  page,
}) => {
  await plainJob(page);
  await page.getByText('Ceiling, soffits, closets').click();
  await choose(page, 'Ceiling shape', 'gable');
  await expect(page.locator('.label', { hasText: 'slope 1' })).toBeVisible();
  await page.getByRole('button', { name: 'Add a flat top' }).click();
  await expect(page.locator('.label', { hasText: /^\s*ceiling\s*$/ })).toBeAttached();
  await page.getByRole('button', { name: 'soffit' }).click();
  await expect(page.getByRole('button', { name: /^soffit, wall 1/ })).toBeVisible();
  await page.getByRole('button', { name: 'closet', exact: true }).click();
  await expect(page.getByRole('button', { name: /^closet, wall 1 / }).first()).toBeVisible();
  await saved(page);

  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const form = page.getByRole('form', { name: 'Add a room' });
  await form.getByRole('button', { name: 'L-shaped' }).click();
  for (const [label, value] of [
    ['Length', '6 m'],
    ['Width', '5 m'],
    ['Height', '2.4 m'],
    ['Cutout length', '3 m'],
    ['Cutout width', '3 m'],
  ] as const) {
    await form.getByLabel(label, { exact: true }).fill(value);
    await form.getByLabel(label, { exact: true }).blur();
  }
  await form.getByRole('button', { name: 'Add room' }).click();
  // 21 m² of ceiling and 22 m of wall 2.4 m high; one outside corner.
  await expect(page.locator('footer')).toContainText('73.8 m²');
  await expect(page.locator('footer')).toContainText('2.4 m');
  await expect(page.getByText('6 corners')).toBeVisible();
});
