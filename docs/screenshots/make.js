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
  await page.waitForURL(/week|gardens/);
  if (page.url().endsWith('/gardens')) await page.getByRole('link', { name: 'Larkspur Hollow' }).click();
  return page.url().match(/\/g\/[^/]+/)[0];
}

const shot = (page, name) => page.screenshot({ path: join(__dirname, `${name}.png`) });

(async () => {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM || '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync'] });
  const page = await open(browser, LAPTOP);
  const garden = await signIn(page);
  await page.goto(`${base}${garden}/week`);
  await shot(page, 'week');
  await page.goto(`${base}${garden}/wall`);
  await shot(page, 'wall');
  await page.locator('a.planting', { has: page.locator('title', { hasText: 'Cauliflower' }) }).first().focus();
  await page.keyboard.press('Enter');
  await page.getByRole('region', { name: 'Planting' }).waitFor();
  await shot(page, 'planting');
  for (const [name, path] of [['standing', 'standing'], ['promises', 'promises?outlet=stall'], ['plan', 'plan'], ['place', 'place'], ['coming', 'coming?outlet=stall'], ['crop', 'crops/corn'], ['soil', 'soil'], ['nursery', 'nursery'], ['map', 'map'], ['bed-years', 'bed/A1/years'], ['store', 'store'], ['pick', 'pick']]) {
    await page.goto(`${base}${garden}/${path}`);
    await shot(page, name);
  }
  await page.goto(`${base}${garden}/wall`);
  await page.getByRole('link', { name: 'Problems' }).click();
  const short = page.locator('.problem-short').first();
  await short.getByRole('link', { name: 'Ways out' }).click();
  await short.locator('.ways button').first().click();
  await page.locator('.draft-effect').waitFor();
  await shot(page, 'problems');
  await page.getByRole('button', { name: 'Put back', exact: true }).click();
  await page.goto(`${base}${garden}/promises?outlet=stall&from=2026-09-28`);
  await page.getByLabel(/^Head lettuce, Sat 10 Oct/).fill('160');
  await page.getByLabel(/^Radishes, Sat 17 Oct/).fill('90');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.goto(`${base}${garden}/plan`);
  await page.locator('select[name=what]').selectOption('block:B');
  await page.getByRole('button', { name: /Draw up/ }).click();
  await page.waitForURL(/proposal$/);
  await page.locator('details.more summary').first().click();
  await shot(page, 'proposal');
  const phone = await open(browser, PHONE);
  await signIn(phone);
  await shot(phone, 'week-phone');
  await phone.goto(`${base}${garden}/bed/A8`);
  await shot(phone, 'bed-phone');
  await browser.close();
})();
