// What every journey begins with: the demo account, its garden, and a name for its pages.
const { expect } = require('@playwright/test');

async function openDemo(page) {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Open the demo garden' }).click();
  await expect(page).toHaveURL(/\/g\/[^/]+\/week|\/gardens/);
  if (page.url().endsWith('/gardens')) await page.getByRole('link', { name: 'Larkspur Hollow' }).click();
  await expect(page).toHaveURL(/\/g\/[^/]+\/(week|wall)/);
  const garden = page.url().match(/\/g\/[^/]+/)[0];
  await page.goto(`${garden}/wall`);
  return garden;
}

/** Draws up from the plan page and waits for the proposal. */
async function drawUp(page) {
  await page.getByRole('button', { name: /Draw up/ }).click();
  await expect(page).toHaveURL(/\/proposal$/, { timeout: 40_000 });
}

/** A garden with nothing in it yet. */
async function beginGarden(page, name) {
  await openDemo(page);
  await page.goto('/gardens');
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Where').fill('47° N, 300 m');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'In the ground' })).toBeVisible();
  return page.url().match(/\/g\/[^/]+/)[0];
}

/** Opens the page of a bed where a crop stands today, by what the wall says of it; whichever bed the plan gave it. */
async function openBedWhere(page, garden, words) {
  await page.goto(`${garden}/wall`);
  const found = await page.locator('a.planting title', { hasText: words }).first().textContent();
  const bed = found.match(/bed ([^,]+),/)[1];
  await page.goto(`${garden}/bed/${bed}`);
  return bed;
}

module.exports = { openDemo, drawUp, beginGarden, openBedWhere };
