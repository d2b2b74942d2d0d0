const { test, expect } = require('@playwright/test');
const { openDemo } = require('./garden');

test('a value is made one\'s own, kept with what it touches told, and taken back', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/crops?q=kohlrabi`);
  await page.getByRole('link', { name: 'Kohlrabi' }).click();
  await page.getByRole('link', { name: 'Our own values …' }).click();
  await page.getByLabel('Days to maturity, from planting out').fill('twelve');
  await page.getByLabel('What customers say').fill('Sweet, even raw');
  await page.getByRole('button', { name: 'Show what changes' }).click();
  await expect(page.getByText('it is a whole number from 15 to 400')).toBeVisible();
  await expect(page.getByLabel('What customers say')).toHaveValue('Sweet, even raw');
  await page.getByLabel('Days to maturity, from planting out').fill('44');
  await page.getByRole('button', { name: 'Show what changes' }).click();
  await expect(page.getByRole('heading', { name: 'What it touches' })).toBeVisible();
  await page.getByRole('button', { name: /^Save/ }).first().click();
  await expect(page.getByText('What customers say: Sweet, even raw')).toBeVisible();
  await expect(page.getByRole('row', { name: /Days to maturity, from planting out 44 days this garden/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.goto(`${garden}/crops/kohlrabi`);
  await expect(page.getByText('Sweet, even raw')).toHaveCount(0);
});

test('a gap in a ladder is filled from the page that shows it', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/crops/broccoli/ladder`);
  const year = Number((await page.getByLabel('All planted out on').inputValue()).slice(0, 4)) + 1;
  await page.getByLabel('All planted out on').fill(`${year}-05-05`);
  await page.getByRole('button', { name: 'Show' }).click();
  await expect(page.getByRole('row', { name: /Foxgate/ })).toContainText(String(year));
  await page.getByRole('link', { name: 'Fill this gap' }).first().click();
  await expect(page.getByRole('heading', { name: 'Repeat sowings' })).toBeVisible();
  await expect(page.getByLabel('First sowing')).toHaveValue(new RegExp(`^${year}|^${year - 1}`));
  await page.getByRole('button', { name: 'Show what it yields' }).click();
  await expect(page.getByRole('heading', { name: /^1 sowing/ })).toBeVisible();
  await page.goto(`${garden}/crops/broccoli/ladder?day=${year}-05-05&place=field&schools=1`);
  await expect(page.getByRole('row', { name: /^Market days with a gap/ })).toContainText('of');
});

test('the timing chart is read off by keys and tells why a sowing is unsafe', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/crops/corn`);
  await page.locator('.timing-chart').focus();
  await page.keyboard.press('PageUp');
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('[data-readout]')).toContainText('Sown Sun, 1 Feb');
  await expect(page.locator('[data-readout]')).toContainText(/soil/);
  await expect(page.locator('.timing-chart')).toContainText('soil too cold');
  await page.getByText('The chart as a table').click();
  await expect(page.locator('#timing-table tbody tr')).toHaveCount(27);
});

test('a cover is put on from the planting, drawn on the wall and taken back', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/bed/T2-2/cover`);
  await page.locator('select[name=cover]').selectOption('low tunnel');
  await page.getByLabel('It is').selectOption('against frost');
  await page.getByLabel('Off').fill('2020-01-01');
  await page.getByRole('button', { name: 'Show what changes' }).click();
  await expect(page.getByText('It comes off before it is put on')).toBeVisible();
  const on = await page.getByLabel('On', { exact: true }).inputValue();
  await page.getByLabel('Off').fill(`${Number(on.slice(0, 4)) + 1}${on.slice(4)}`);
  await page.getByRole('button', { name: 'Show what changes' }).click();
  await expect(page.getByText(/Warmer\s+at\s+night\s+5\s+°C/)).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status')).toContainText('Low tunnel against frost over bed T2-2');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.goto(`${garden}/bed/T2-2/cover`);
  await expect(page.getByRole('heading', { name: 'There already' })).toHaveCount(0);
});

test('a sheet with a broken line is mended in place and kept', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/crops`);
  await page.getByRole('link', { name: 'Sheet in and out …' }).click();
  await page.getByLabel('or the lines themselves').fill('crop,value,is,source,note\nown-rill,of,turnip\nown-rill,variety,Rill White\nown-rill,days_sown,ten');
  await page.getByRole('button', { name: 'Show what changes' }).click();
  await expect(page.getByRole('row', { name: /^4 own-rill days_sown/ })).toContainText('whole number');
  await page.getByLabel('or the lines themselves').fill('crop,value,is,source,note\nown-rill,of,turnip\nown-rill,variety,Rill White\nown-rill,days_sown,41');
  await page.getByRole('button', { name: 'Show what changes' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status')).toContainText('3 of our own');
  await page.getByRole('link', { name: 'Rill White' }).click();
  await expect(page.getByRole('heading', { name: /Rill White.*our own/ })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.goto(`${garden}/crops/sheet/in`);
  await page.getByRole('link', { name: 'All, spreadsheet' }).click();
  expect((await download).suggestedFilename()).toBe('crop-values.xlsx');
  await page.goto(`${garden}/crops/own-rill/own`);
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: 'Rill White' })).toHaveCount(0);
});
