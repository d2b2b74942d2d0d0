// What every journey begins with: the demo account, its garden, and a name for its pages.
const { expect } = require('@playwright/test');

async function openDemo(page) {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Open the demo garden' }).click();
  await expect(page).toHaveURL(/\/g\/[^/]+\/wall|\/gardens/);
  if (page.url().endsWith('/gardens')) await page.getByRole('link', { name: 'Larkspur Hollow' }).click();
  await expect(page).toHaveURL(/\/g\/[^/]+\/wall/);
  return page.url().match(/\/g\/[^/]+/)[0];
}

module.exports = { openDemo };
