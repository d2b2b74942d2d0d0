// In the field: this week on a phone, ticked without reception, sent once when there is reception again.
const { test, expect } = require('@playwright/test');
const { openDemo } = require('./garden');

test.use({ viewport: { width: 390, height: 844 } });

/** This week, with its pages kept on the device. */
async function weekKept(page) {
  const garden = await openDemo(page);
  await page.goto(`${garden}/week`);
  await expect(page.locator('html')).toHaveAttribute('data-kept', 'yes', { timeout: 60_000 });
  return garden;
}
/** Sends the browser off and says so to the page, as a phone does. */
const reception = async (context, is) => context.setOffline(!is);
const jobs = (page) => page.locator('li.job:has(button.job-tick)');
const changes = async (page, garden, words) => {
  await page.goto(`${garden}/log`);
  return page.locator('main').getByText(words).count();
};

test('without reception: open, tick, note, come back, sent once', async ({ page, context }) => {
  const garden = await weekKept(page);
  await reception(context, false);
  await page.reload();
  await expect(page.getByRole('heading', { name: /Today/ })).toBeVisible();
  await expect(page.locator('[data-waiting]')).toContainText('No reception');

  const first = jobs(page).filter({ hasText: 'Daily round' }).first();
  await first.locator('button.job-tick').click();
  await expect(page.locator('[data-waiting]')).toContainText('1 note waits');
  await expect(page.locator('li.job.is-waiting')).toHaveCount(1);

  const other = jobs(page).filter({ hasText: 'Pick' }).first();
  const bed = (await other.locator('.job-words strong').last().textContent()).split(/[ ,]/)[0];
  await other.locator('.job-words').click();
  await page.getByText('Part of it, hours, a note').click();
  await page.getByLabel('Note').fill('soft tips, left the small ones');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page).toHaveURL(/\/week/);
  await expect(page.locator('[data-waiting]')).toContainText('2 notes wait');

  await page.goto(`${garden}/bed/${bed}`);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(bed);
  await page.goto(`${garden}/plan`);
  await expect(page.getByRole('heading', { name: 'No reception' })).toBeVisible();
  await page.goto(`${garden}/week`);

  await reception(context, true);
  await expect(page.locator('[data-waiting]')).toBeHidden({ timeout: 30_000 });
  await page.reload();
  expect(await page.evaluate(async () => (await new Promise((resolve) => { const asked = indexedDB.open('jolly-furrow'); asked.onsuccess = () => { const got = asked.result.transaction('waiting').objectStore('waiting').getAll(); got.onsuccess = () => resolve(got.result); }; })).length)).toBe(0);
  expect(await changes(page, garden, 'Daily round: done')).toBe(1);
});

test('two phones at once: the second is asked', async ({ browser }) => {
  const phones = [];
  for (const n of [1, 2]) {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const page = await context.newPage();
    phones.push({ context, page, garden: await weekKept(page), n });
  }
  const tasks = await jobs(phones[0].page).filter({ hasText: 'Look whether' }).first().locator('input[name="t[]"]').first().inputValue();
  const row = (page) => page.locator(`li.job:has(button.job-tick):has(input[value="${tasks}"])`);
  for (const { context, page } of phones) {
    await reception(context, false);
    await page.evaluate(() => document.querySelectorAll('details').forEach((one) => { one.open = true; }));
    await row(page).locator('button.job-tick').click();
    await expect(page.locator('[data-waiting]')).toContainText('1 note waits');
  }
  await reception(phones[0].context, true);
  await expect(phones[0].page.locator('[data-waiting]')).toBeHidden({ timeout: 30_000 });
  await reception(phones[1].context, true);
  const bar = phones[1].page.locator('[data-waiting]');
  await expect(bar).toContainText('this already', { timeout: 30_000 });
  await bar.getByRole('button', { name: 'Drop mine' }).click();
  await expect(bar).toBeHidden();
  for (const { context } of phones) await context.close();
});

test('a full device says so and keeps nothing by halves', async ({ page, context }) => {
  await weekKept(page);
  await page.evaluate(() => { IDBObjectStore.prototype.put = () => { throw new DOMException('full', 'QuotaExceededError'); }; });
  await reception(context, false);
  const said = page.waitForEvent('dialog').then(async (dialog) => { const words = dialog.message(); await dialog.accept(); return words; });
  await jobs(page).first().locator('button.job-tick').click();
  expect(await said).toContain('no room left');
  await expect(page.locator('li.job.is-waiting')).toHaveCount(0);
});

test('a day-old page says how old it is, and signing out asks before it drops what waits', async ({ page, context }) => {
  const garden = await weekKept(page);
  await page.clock.setFixedTime(Date.now() + 86_400_000);
  await reception(context, false);
  await page.goto(`${garden}/week`);
  await expect(page.locator('[data-waiting]')).toContainText('This page is as it was');
  await jobs(page).first().locator('button.job-tick').click();
  await expect(page.locator('[data-waiting]')).toContainText('1 note waits');

  const asked = [];
  page.on('dialog', async (dialog) => { asked.push(dialog.message()); await (asked.length === 1 ? dialog.dismiss() : dialog.accept()); });
  await page.locator('.thumb summary').click();
  await page.locator('.thumb').getByRole('link', { name: 'Sign out' }).click();
  await expect.poll(() => asked.length).toBe(1);
  expect(asked[0]).toContain('1 note was not sent yet');
  await reception(context, true);
});

test('without reception: a harvest from the pick list waits, and is one lot', async ({ page, context }) => {
  const garden = await weekKept(page);
  const before = await changes(page, garden, /^Harvested:/);
  await page.goto(`${garden}/pick`);
  await reception(context, false);
  await page.locator('.pick-list a').first().click();
  await expect(page.getByLabel('How much')).not.toHaveValue('');
  await page.getByRole('button', { name: 'Save' }).first().click();
  await expect(page.locator('[data-waiting]')).toContainText('1 note waits');
  await reception(context, true);
  await expect(page.locator('[data-waiting]')).toBeHidden({ timeout: 30_000 });
  await expect.poll(() => changes(page, garden, /^Harvested:/), { timeout: 20_000 }).toBe(before + 1);
});
