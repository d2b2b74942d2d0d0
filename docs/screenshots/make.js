// Takes the pictures of this folder anew from a running demo:
//   JOLLY_FURROW_TODAY=2026-07-21 PORT=8010 bin/demo --fresh     in one window, then
//   PORT=8010 node docs/screenshots/make.js                      in another
const { chromium } = require('@playwright/test');
const { join } = require('node:path');

const base = `http://127.0.0.1:${process.env.PORT || '8000'}`;
const LAPTOP = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

async function open(browser, viewport) {
  const page = await (await browser.newContext({ viewport })).newPage();
  await page.goto(`${base}/sign-in`);
  return page;
}

async function signIn(page) {
  await page.getByRole('button', { name: 'Open the demo garden' }).click();
  await page.waitForURL(/wall|gardens/);
  if (page.url().endsWith('/gardens')) await page.getByRole('link', { name: 'Larkspur Hollow' }).click();
  return page.url().match(/\/g\/[^/]+/)[0];
}

const shot = (page, name) => page.screenshot({ path: join(__dirname, `${name}.png`) });

(async () => {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM || '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync'] });
  const page = await open(browser, LAPTOP);
  await shot(page, 'sign-in');
  const garden = await signIn(page);
  await shot(page, 'wall');
  await page.locator('a.planting', { has: page.locator('title', { hasText: 'Cauliflower' }) }).first().focus();
  await page.keyboard.press('Enter');
  await page.getByRole('region', { name: 'Planting' }).waitFor();
  await shot(page, 'planting');
  for (const [name, path] of [['promises', 'promises?outlet=stall'], ['plan', 'plan'], ['beds', 'beds'], ['crops', 'crops'], ['crop', 'crops/carrot'], ['outlets-and-products', 'offer'], ['log', 'log'], ['settings', 'settings']]) {
    await page.goto(`${base}${garden}/${path}`);
    await shot(page, name);
  }
  const phone = await open(browser, PHONE);
  await signIn(phone);
  await shot(phone, 'wall-phone');
  await phone.locator('a.planting', { has: phone.locator('title', { hasText: 'Cauliflower' }) }).first().focus();
  await phone.keyboard.press('Enter');
  await phone.getByRole('region', { name: 'Planting' }).waitFor();
  await shot(phone, 'planting-phone');
  await browser.close();
})();
