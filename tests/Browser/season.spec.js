const { test, expect } = require('@playwright/test');
const { openDemo, drawUp } = require('./garden');

test('from a changed promise to a plan, its working, and back', async ({ page }) => {
  const garden = await openDemo(page);
  await expect(page.getByText(/%\s+of\s+what\s+is\s+promised\s+from\s+today\s+on\s+is\s+covered/)).toBeVisible();

  await page.getByRole('navigation', { name: 'Garden' }).getByRole('link', { name: 'Markets' }).click();
  await page.getByRole('link', { name: 'Saturday stall' }).click();
  await page.goto(`${garden}/promises?outlet=stall&from=2026-09-28`);
  const cell = page.getByLabel(/^Head lettuce, Sat 10 Oct/);
  await cell.fill('160');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status')).toContainText('1 number saved');
  await expect(cell).toHaveValue('160');

  const week = page.getByRole('row', { name: /2026-W41/ }).first();
  const short = async () => { await page.goto(`${garden}/wall/table?product=head-lettuce`); return Number((await week.getByRole('cell').nth(2).textContent()) || 0); };
  const shortBefore = await short();
  expect(shortBefore).toBeGreaterThan(30);

  await page.goto(`${garden}/wall?product=head-lettuce`);
  await page.getByRole('link', { name: 'Draw up the plan' }).click();
  await drawUp(page);
  await page.getByRole('button', { name: /^Take all/ }).click();
  await expect(page.getByRole('status')).toContainText('Proposal taken');

  expect(await short()).toBeLessThan(shortBefore);
  await page.goto(`${garden}/wall?product=head-lettuce`);
  const lettuce = page.locator('a.planting', { has: page.locator('title', { hasText: /Head\s+lettuce.*planned:\s+.*ready\s+\d+\s+(Sep|Oct)/ }) }).first();
  await lettuce.focus();
  await page.keyboard.press('Enter');
  const panel = page.getByRole('region', { name: 'Planting' });
  await expect(panel.getByRole('heading', { name: /Head lettuce/ })).toBeFocused();
  await panel.getByText(/Show\s+the\s+working[\s\S]*Spots\s+in\s+the\s+bed/).click();
  await expect(panel.getByText('rows across the bed', { exact: true })).toBeVisible();
  await expect(panel.getByText(/Formula:\s+rows × \(length \/ distance in the row, whole spots only\)/)).toBeVisible();

  await page.keyboard.press('Escape');
  await expect(panel).toHaveCount(0);
  await expect(lettuce).toBeFocused();

  await page.getByRole('navigation', { name: 'Garden' }).getByRole('link', { name: 'Records' }).click();
  await page.getByRole('row', { name: /Proposal taken/ }).first().getByRole('button', { name: /Take back/ }).click();
  await expect(page.getByText(/Taken\s+back:\s+Proposal\s+taken/).first()).toBeVisible();
  expect(await short()).toBe(shortBefore);

  await page.getByRole('navigation', { name: 'Garden' }).getByRole('link', { name: 'Records' }).click();
  await page.getByRole('row', { name: /1 promise to Saturday stall changed/ }).first().getByRole('button', { name: /Take back/ }).click();
  await page.goto(`${garden}/promises?outlet=stall&from=2026-09-28`);
  await expect(cell).not.toHaveValue('160');
});

test('another page loads while a plan is being drawn', async ({ page, context }) => {
  const garden = await openDemo(page);
  const other = await context.newPage();
  await page.goto(`${garden}/plan`);
  await page.getByRole('button', { name: /Draw up/ }).click();
  await expect(page.locator('#run')).toContainText('Drawing up the plan.');
  await other.goto(`${garden}/crops`, { timeout: 5_000 });
  await expect(other.getByRole('heading', { name: 'Crop book' })).toBeVisible();
  await expect(page.getByText(/Last\s+drawing:\s+[\s\S]*kept|Nothing\s+of\s+it\s+counts\s+until\s+you\s+take\s+it/)).toBeVisible({ timeout: 40_000 });
});

test('a plan being drawn can be stopped', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/plan`);
  // The start is held back until the stop is asked for, so that the plan is not done before.
  let begin;
  const held = new Promise((resolve) => { begin = resolve; });
  await page.route(/\/plan\/run\/[^/]+$/, async (route) => {
    if (route.request().method() === 'POST') await held;
    await route.continue();
  });
  await page.getByRole('button', { name: /Draw up/ }).click();
  await page.getByRole('button', { name: /Stop here/ }).click();
  await expect(page.getByRole('button', { name: /Stopping/ })).toBeDisabled();
  begin();
  await expect(page.getByText(/Last\s+drawing:|Nothing\s+of\s+it\s+counts\s+until\s+you\s+take\s+it/)).toBeVisible({ timeout: 40_000 });
  await page.goto(`${garden}/plan`);
  await expect(page.getByText(/Last\s+drawing:\s+[\s\S]*Stopped\s+early/)).toBeVisible();
});

test('everything works without scripts', async ({ browser }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  const garden = await openDemo(page);
  await page.goto(`${garden}/promises?outlet=stall&from=2026-09-28`);
  await page.getByLabel(/^Radishes, Sat 10 Oct/).fill('140');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.goto(`${garden}/plan`);
  await drawUp(page);
  await page.getByRole('button', { name: /^Take all/ }).click();
  await page.goto(`${garden}/wall`);
  await page.locator('a.planting').nth(5).click();
  await expect(page.getByRole('heading', { name: 'Dates' })).toBeVisible();
  await page.goto(`${garden}/log`);
  await page.getByRole('button', { name: /Take back/ }).first().click();
  await expect(page.getByText(/Taken\s+back:\s+Proposal\s+taken/).first()).toBeVisible();
  await context.close();
});

test('the wall is worked by arrow keys', async ({ page }) => {
  await openDemo(page);
  await page.locator('.wall').focus();
  await page.keyboard.press('Tab');
  expect(await page.evaluate(() => document.activeElement === document.querySelector('a.planting'))).toBe(true);
  await page.keyboard.press('ArrowRight');
  const second = await page.evaluate(() => document.activeElement.closest('[data-row]').querySelectorAll('a.planting')[1] === document.activeElement);
  expect(second).toBe(true);
  const bed = await page.evaluate(() => document.activeElement.closest('[data-row]').getAttribute('aria-label'));
  await page.keyboard.press('ArrowDown');
  expect(await page.evaluate(() => document.activeElement.closest('[data-row]').getAttribute('aria-label'))).not.toBe(bed);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Planting' })).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('region', { name: 'Planting' })).toBeHidden();
});

test('a wrong number comes back with its reason, everything typed still there', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/promises?outlet=boxes&from=2026-09-28`);
  await page.getByLabel(/^Kale, Wed 30 Sep/).fill('44');
  await page.getByLabel(/^Kale, Wed 7 Oct/).fill('a few');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('alert')).toContainText('nothing is saved yet');
  await expect(page.getByText('"a few" is not a quantity')).toBeVisible();
  await expect(page.getByLabel(/^Kale, Wed 30 Sep/)).toHaveValue('44');
  await expect(page.getByLabel(/^Kale, Wed 7 Oct/)).toHaveValue('a few');
});

test('a garden is begun, given beds, and kept as a file', async ({ page }) => {
  await openDemo(page);
  await page.goto('/gardens');
  await page.getByLabel('Name').fill('Willow Corner');
  await page.getByLabel('Where').fill('46.9 N');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'In the ground' })).toBeVisible();
  await page.getByRole('navigation', { name: 'Garden' }).getByRole('link', { name: 'Beds' }).click();
  await page.getByLabel('How many beds').fill('12');
  await page.getByLabel('Width').fill('30 in');
  await page.getByRole('button', { name: 'Add the beds' }).click();
  await expect(page.getByRole('status')).toContainText('12 beds are added');
  await expect(page.getByRole('row', { name: /A12/ })).toContainText('76.2 cm');
  await page.locator('summary.brand').click();
  await page.getByRole('navigation', { name: 'Garden' }).getByRole('link', { name: 'Backup' }).click();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Save as a file' }).click()]);
  await page.goto('/gardens');
  await page.getByLabel('Garden file').setInputFiles(await download.path());
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByText('Willow Corner').first()).toBeVisible();
  await expect(page.locator('[data-row]')).toHaveCount(12);
});

test('what is short is mended from its page, and a planting says why it is where it is', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/promises?outlet=stall&from=2026-09-28`);
  await page.getByLabel(/^Head lettuce, Sat 10 Oct/).fill('170');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status')).toContainText('1 number saved');
  await page.goto(`${garden}/plan`);
  await page.locator('a[href$="/plan/mend/lettuce-head"]').first().click();
  await expect(page.getByRole('heading', { name: 'Head lettuce: ways to fix this' })).toBeVisible();
  await page.getByRole('button', { name: /^Take this/ }).first().click();
  await expect(page.getByText(/Head\s+lettuce\s+mended:/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.goto(`${garden}/log`);
  await expect(page.getByText(/Taken\s+back:\s+Head\s+lettuce\s+mended/).first()).toBeVisible();
  await page.getByRole('row', { name: /1 promise to Saturday stall changed/ }).first().getByRole('button', { name: /Take back/ }).click();
  await page.goto(`${garden}/wall`);
  await page.goto(await page.locator('a.planting', { has: page.locator('title', { hasText: /planned/ }) }).last().getAttribute('href'));
  await expect(page.getByRole('button', { name: 'Close' })).toHaveCount(0);
  await page.getByText('Why this day, variety, length and bed').click();
  await expect(page.getByRole('rowheader', { name: 'Bed', exact: true })).toBeVisible();
});
