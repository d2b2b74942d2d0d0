const { test, expect } = require('@playwright/test');
const { openDemo, beginGarden } = require('./garden');

const MONTHS = [
  '27 28 33 38 46 52 55 55 49 42 34 29',
  '38 41 51 59 68 73 77 76 68 58 46 39',
  '2.4 2.2 2.4 2.6 3.3 3.7 3.9 3.5 3 2.6 2.6 2.6',
].map((line) => line.replace(/ /g, '\t')).join('\n');

test('a place by twelve months in Fahrenheit and inches: refused as Celsius, then kept, and dates go by it', async ({ page }) => {
  const garden = await beginGarden(page, 'Warm Wall');
  await page.locator('summary.brand').click();
  await page.getByRole('navigation', { name: 'Garden' }).getByRole('link', { name: 'Climate' }).click();
  await expect(page.getByText('Only a guess:')).toBeVisible();
  await page.getByLabel(/^Three lines/).fill(MONTHS);
  await page.getByRole('button', { name: 'Save these months' }).click();
  await expect(page.getByText('Are these degrees Fahrenheit?')).toBeVisible();
  await expect(page.getByLabel(/^Three lines/)).toHaveValue(MONTHS);
  await page.locator('form', { has: page.getByRole('button', { name: 'Save these months' }) }).getByLabel('Temperatures in').selectOption('degrees Fahrenheit');
  await page.locator('form', { has: page.getByRole('button', { name: 'Save these months' }) }).getByLabel('Rain in').selectOption('inches');
  await page.getByRole('button', { name: 'Save these months' }).click();
  await expect(page.getByRole('status')).toContainText('The climate is saved');
  await expect(page.getByRole('img', { name: /Daily minimum and maximum/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^July/ })).toContainText('25.0');
  await expect(page.getByRole('row', { name: /^0 °C, last after/ })).toBeVisible();

  await page.goto(`${garden}/standing`);
  await page.getByLabel(/^Rows:/).fill('A1, radish, sown 20 June, half\nA2, cutting lettuce, sown 1 July, half');
  await page.getByRole('button', { name: 'Read the list' }).click();
  await page.getByRole('button', { name: 'Save these 2 plantings' }).click();
  await page.getByRole('link', { name: 'Radish' }).click();
  await page.getByText(/Show\s+the\s+working:\s+Ready/).click();
  await expect(page.getByText(/July,\s+counted\s+as\s+[\d.]+\s+days\s+of\s+the\s+catalogue/).first()).toBeVisible();
});

test('readings are read from the station and typed on a phone', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  const garden = await openDemo(page);
  await page.goto(`${garden}/station`);
  await expect(page.getByRole('heading', { name: 'Seven days ahead' })).toBeVisible();
  await page.getByLabel(/^Rain, mm/).fill('wet');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('"wet" will not do. Write a number, in mm.')).toBeVisible();
  await page.getByLabel(/^Rain, mm/).fill('31.5');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('row', { name: /Mon 20 Jul 2026/ })).toContainText('31.5');
  await page.getByRole('button', { name: 'Read the simulated station' }).click();
  await expect(page.getByRole('row', { name: /Mon 20 Jul 2026/ })).toContainText('31.5');
  await context.close();
});

test('the timing chart is read off by arrow keys and by its form', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/crops/carrot`);
  const chart = page.locator('.timing-chart');
  await chart.focus();
  for (let i = 0; i < 6; ++i) await page.keyboard.press('PageUp');
  await page.keyboard.press('ArrowRight');
  const readout = page.locator('[data-readout]');
  await expect(readout).toContainText('Sown Wed, 1 Jul 2026. open field: ready');
  await page.getByLabel('Day', { exact: true }).fill('2026-07-01');
  await page.getByRole('button', { name: 'Read off' }).click();
  await expect(page.getByText(/open\s+field:\s+ready\s+\w+\s+\d+\s+Sep\s+2026,\s+holds\s+until/)).toBeVisible();
});
