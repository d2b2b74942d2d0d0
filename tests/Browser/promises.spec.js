const { test, expect } = require('@playwright/test');
const { openDemo, drawUp } = require('./garden');

const value = (page, name) => page.getByLabel(name).inputValue();

async function pasteInto(page, text) {
  await page.evaluate((block) => {
    const data = new DataTransfer();
    data.setData('text', block);
    document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, text);
}

test('the promises by keyboard only: move, fill, paste, undo, keep', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/promises?outlet=stall&from=2027-03-01`);
  const first = page.getByLabel(/^Head lettuce, Sat 6 Mar/);
  await first.focus();
  await page.keyboard.type('30');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel(/^Head lettuce, Sat 13 Mar/)).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByLabel(/^Head lettuce, Sat 20 Mar/)).toBeFocused();
  await page.keyboard.type('12');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/^Salad mix, Sat 20 Mar/)).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect(first).toBeFocused();
  await page.keyboard.press('>');
  await expect(page.getByLabel(/^Head lettuce, Sat 24 Apr/)).toHaveValue('30');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel(/^Head lettuce, Sat 24 Apr/)).toHaveValue('');
  expect(await value(page, /^Head lettuce, Sat 20 Mar/)).toBe('12');

  await first.focus();
  await pasteInto(page, '1\t2\t3\t4\t5\t6\t7\t8\t9\n');
  await expect(page.getByText(/The\s+block\s+is\s+1\s+row\s+by\s+9\s+columns;\s+[\s\S]*\s+room\s+for\s+\d+\s+by\s+8\.\s+Nothing\s+is\s+pasted\./)).toBeVisible();
  await expect(first).toHaveValue('30');
  await pasteInto(page, '21\t22\n31\t32\n');
  await expect(first).toHaveValue('21');
  await expect(page.getByLabel(/^Salad mix, Sat 13 Mar/)).toHaveValue('32');

  await page.getByRole('button', { name: 'Save' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'saved' })).toContainText('5 numbers saved');
  await expect(page.getByLabel(/^Salad mix, Sat 6 Mar/)).toHaveValue('31');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.goto(`${garden}/promises?outlet=stall&from=2027-03-01`);
  await expect(first).toHaveValue('');
});

test('a pattern, and about as last year', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/promises?outlet=stall&from=2027-08-02`);
  const year = page.locator('form', { has: page.getByRole('heading', { name: 'About as last year' }) });
  await year.getByLabel('Percent of it').fill('50');
  await year.getByRole('button').click();
  await expect(page.getByRole('status').filter({ hasText: 'Promised' })).toContainText('about as the year before, 50 %');
  await page.goto(`${garden}/promises?outlet=stall&from=2026-08-03`);
  const then = Number(await value(page, /^Head lettuce, Sat 8 Aug/));
  await page.goto(`${garden}/promises?outlet=stall&from=2027-08-02`);
  expect(Number(await value(page, /^Head lettuce, Sat 7 Aug/))).toBe(Math.round(then / 2));
  const pattern = page.locator('form', { has: page.getByRole('heading', { name: 'By a pattern' }) });
  await pattern.getByLabel('Product').selectOption('Head lettuce');
  await pattern.getByLabel('How many').fill('77');
  await pattern.getByLabel('How often').selectOption('every second week');
  await pattern.getByRole('button').click();
  await expect(page.getByLabel(/^Head lettuce, Sat 7 Aug/)).toHaveValue('77');
  await expect(page.getByLabel(/^Head lettuce, Sat 14 Aug/)).not.toHaveValue('77');
  await page.goto(`${garden}/log`);
  for (let i = 0; i < 2; ++i) await page.getByRole('row', { name: /Promised: / }).filter({ has: page.getByRole('button', { name: /Take back/ }) }).first().getByRole('button').click();
});

test('a proposal is taken in part', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/promises?outlet=stall&from=2026-09-28`);
  await page.getByLabel(/^Head lettuce, Sat 10 Oct/).fill('160');
  await page.getByLabel(/^Radishes, Sat 17 Oct/).fill('90');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.goto(`${garden}/plan`);
  await drawUp(page);
  await expect(page.getByText('It serves').first()).toBeVisible();
  const boxes = page.getByRole('checkbox');
  const all = await boxes.count();
  expect(all).toBeGreaterThan(1);
  for (let i = 1; i < all; ++i) await boxes.nth(i).uncheck();
  await page.getByRole('button', { name: 'Take what is ticked' }).click();
  // What stands where the ticked one is to come must go with it: asked, ticked and taken.
  await expect(page.getByRole('status').or(page.getByRole('alert')).first()).toBeVisible();
  if (await page.getByText('must go with').count()) await page.getByRole('button', { name: 'Take what is ticked' }).click();
  await expect(page.getByRole('status')).toContainText('Proposal taken in part');
  expect(await boxes.count()).toBeGreaterThan(0);
  expect(await boxes.count()).toBeLessThan(all);
  await page.getByRole('button', { name: 'Discard' }).click();
  await expect(page.getByText('The proposal is discarded')).toBeVisible();
  await page.goto(`${garden}/log`);
  for (let i = 0; i < 2; ++i) await page.getByRole('button', { name: /Take back/ }).first().click();
  await expect(page.getByText(/Taken\s+back:\s+2\s+promises/).first()).toBeVisible();
});
