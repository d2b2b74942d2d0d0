// What stands beside and around the wall: the shelf, problems with ways out, changes in the panel, weeks that light up, the map.
const { test, expect } = require('@playwright/test');
const { openDemo } = require('./garden');

const draftOf = (page) => page.getByRole('region', { name: 'Not saved yet' });
const stored = (page, key) => page.evaluate(async (k) => {
  const html = await (await fetch(window.location.href)).text();
  return new DOMParser().parseFromString(html, 'text/html').querySelectorAll(`a.planting[data-key^="${k}"]`).length;
}, key);

/** Where on the screen a bed's row shows a day of the season. */
async function place(page, bed, day) {
  await page.evaluate((b) => document.querySelector(`svg[data-row="${b}"]`).scrollIntoView({ block: 'center' }), bed);
  return page.evaluate(([b, d]) => {
    const wall = document.querySelector('.wall');
    const row = document.querySelector(`svg[data-row="${b}"]`).getBoundingClientRect();
    return { x: row.left + ((d - Number(wall.dataset.first)) * Number(wall.dataset.week)) / 7, y: row.top + row.height / 2 };
  }, [bed, day]);
}

test('a crop dragged from the shelf onto a bed is planned there, saved, and taken back', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Crops to add' }).click();
  const shelf = page.getByRole('region', { name: 'Shelf of crops' });
  const crop = shelf.locator('[data-shelf="arugula"], [data-shelf="radish"], [data-shelf="spinach"]').first();
  await crop.scrollIntoViewIfNeeded();
  const item = await crop.getAttribute('data-shelf');
  const today = await page.evaluate(() => Math.floor(Date.UTC(2026, 7, 4) / 86_400_000));
  const bed = await page.evaluate(async ([name, when]) => {
    const wall = document.querySelector('[data-wall]');
    const got = await (await fetch(`${wall.dataset.places}?${new URLSearchParams({ item: name, when })}`)).json();
    return Object.entries(got.beds).find(([, [state]]) => state === 'may')?.[0];
  }, [item, '2026-08-04']);
  const before = await stored(page, `${item}@2026-08-04`);
  const to = await place(page, bed, today);
  const from = await crop.locator('summary').boundingBox();
  await page.mouse.move(from.x + 20, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x - 40, from.y + 10, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 8 });
  await expect(page.locator('.wall-tip')).toContainText(`bed ${bed}: may stand there`);
  await page.mouse.up();
  await expect(draftOf(page)).toContainText(`on bed ${bed}, sown 4 Aug`);
  await draftOf(page).getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status').first()).toContainText(`on bed ${bed}, sown 4 Aug`);
  expect(await stored(page, `${item}@2026-08-04`)).toBe(before + 1);
  await page.getByRole('button', { name: /^Undo: .*sown 4 Aug/ }).click();
  await expect(page.getByRole('status').first()).toContainText('Taken back');
  expect(await stored(page, `${item}@2026-08-04`)).toBe(before);
});

test('the shelf by keyboard alone: opened, filled in, put on the wall', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Crops to add' }).focus();
  await page.keyboard.press('Enter');
  const crop = page.locator('[data-shelf="radish"]');
  await expect(page.getByRole('heading', { name: 'Crops to add' })).toBeFocused();
  await crop.evaluate((li) => { li.closest('.shelf-group').open = true; });
  await crop.locator('summary').focus();
  await page.keyboard.press('Enter');
  await crop.getByLabel('Sow on').fill('2026-08-04');
  await crop.getByLabel('Bed', { exact: true }).fill('Z99');
  await crop.getByLabel('Bed', { exact: true }).press('Enter');
  await expect(draftOf(page)).toContainText('There is no such bed');
  await expect(draftOf(page).getByRole('button', { name: 'Save' })).toBeDisabled();
  await draftOf(page).getByRole('button', { name: 'Put back' }).press('Enter');
  await expect(draftOf(page)).toHaveCount(0);
});

test('a problem is shown with ways out, and one press puts the way into the draft', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Problems' }).click();
  const problems = page.getByRole('region', { name: 'Problems' });
  const short = problems.locator('.problem-short').first();
  await short.getByRole('link', { name: 'Ways out' }).click();
  const way = short.locator('.ways button').first();
  await expect(way).toBeVisible();
  await way.click();
  await expect(draftOf(page).locator('.draft-effect')).toContainText(/\+|covered|short/);
  await expect(page.locator('a.planting.drafted').first()).toBeVisible();
  await draftOf(page).getByRole('button', { name: 'Put back', exact: true }).click();
  await problems.getByRole('button', { name: 'Show' }).first().click();
  await expect(page.locator('a.planting.found').first()).toBeVisible();
  await expect(page.locator('#wall-found')).toContainText(/on the wall/);
  const cents = await problems.locator('.problem-cents').allTextContents();
  const amounts = cents.map((text) => Number(text.replace(/[^\d]/g, '')));
  expect(amounts).toEqual([...amounts].sort((a, b) => b - a));
});

test('variety, way of growing and preparation are changed beside the wall', async ({ page }) => {
  await openDemo(page);
  const link = page.locator('a.planting', { has: page.locator('title', { hasText: /planned:\s+.*sown\s+in\s+the\s+bed/ }) }).first();
  const key = await link.getAttribute('data-key');
  await link.focus();
  await page.keyboard.press('Enter');
  await page.locator('#panel').getByRole('link', { name: 'Change it' }).click();
  await page.locator('#panel').getByRole('link', { name: 'Bed preparation' }).click();
  const choice = page.locator('#panel').getByLabel('How its bed is made ready');
  const other = await choice.evaluate((s) => [...s.options].find((o) => !o.selected).value);
  await choice.selectOption(other);
  await page.locator('#panel').getByRole('button', { name: 'Show what changes' }).click();
  await expect(draftOf(page)).toContainText('on a bed made ready by');
  await expect(page.locator(`a.planting.drafted[data-key="${key}"]`).first()).toBeVisible();
});

test('pointing at a week lights what feeds it, and a planting lights its weeks', async ({ page }) => {
  await openDemo(page);
  const lane = page.locator('.wall-foot [data-feeding]').first();
  await lane.evaluate((l) => l.scrollIntoView({ block: 'end' }));
  const items = (await lane.getAttribute('data-feeding')).split(' ');
  // A week that is fed by something, and a planting that feeds it.
  const found = await page.evaluate((wanted) => {
    const link = [...document.querySelectorAll('a.planting[data-feeds]')].find((a) => wanted.includes(a.dataset.key.split('@')[0]));
    const box = document.querySelector('.wall-foot [data-feeding] svg').getBoundingClientRect();
    const week = Number(link.dataset.feeds.match(/\d+/)[0]);
    return { key: link.dataset.key, x: box.left + (week + 0.5) * Number(document.querySelector('.wall').dataset.week), y: box.top + box.height / 2 };
  }, items);
  await page.mouse.move(found.x, found.y);
  const lit = page.locator(`a.planting[data-key="${found.key}"]`).first();
  await expect(lit).toHaveClass(/ lit/);
  await lit.evaluate((a) => a.scrollIntoView({ block: 'center' }));
  await lit.focus();
  await expect(page.locator('.wall-lit-week').first()).toBeVisible();
  await lane.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('#wall-found')).toContainText(/Week from .*: fed by \d+ plantings/);
});

test('found by product and outlet; a folded block is one ridge; lanes come after the wall', async ({ page }) => {
  const garden = await openDemo(page);
  await page.getByLabel('Find on the wall').fill('box shares');
  await expect(page.locator('#wall-found')).toContainText(/[1-9]\d* found/);
  await page.getByRole('link', { name: /^Block A, \d+ beds: fold$/ }).click();
  await expect(page.locator('svg[data-row="A1"]')).toHaveCount(0);
  await expect(page.getByRole('img', { name: 'How much of block A is taken, by week' })).toBeVisible();
  await page.goto(`${garden}/wall?lanes[]=hours&lanes[]=bench&lanes[]=promises&colour=state`);
  await expect(page.getByRole('img', { name: /^Hours by week/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Bench by week/ })).toBeVisible();
  await expect(page.locator('.heat.whole').first()).toBeVisible();
  await expect(page.locator('.wall-legend')).toContainText('in the nursery');
});

test('the map goes through the season by slider, and a bed opens', async ({ page }) => {
  const garden = await openDemo(page);
  await page.goto(`${garden}/map?day=2026-06-10`);
  const taken = Number(await page.locator('[data-map-count]').textContent());
  const slider = page.getByLabel('Day of the season');
  await slider.focus();
  await page.keyboard.press('End');
  await expect(page.locator('[data-map-day]')).toContainText('Feb');
  expect(Number(await page.locator('[data-map-count]').textContent())).toBeLessThan(taken);
  await page.keyboard.press('Home');
  await page.getByRole('button', { name: 'Play' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  await expect.poll(async () => page.locator('[data-map-day]').textContent()).not.toContain('Feb');
  await page.getByRole('button', { name: 'Stop' }).click();
  await page.getByRole('link', { name: /^Bed A4/ }).click();
  await expect(page.getByRole('heading', { name: 'Bed A4' })).toBeVisible();
});

test('at 200 % and with reduced motion nothing runs off the page, and Play goes in steps', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 640, height: 400 }, reducedMotion: 'reduce' });
  const page = await context.newPage();
  const garden = await openDemo(page);
  for (const view of ['wall', 'map', 'wall/problems', 'wall/shelf', 'wall/table', 'bed/A1/years']) {
    await page.goto(`${garden}/${view}`);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth), view).toBeLessThanOrEqual(0);
  }
  await page.goto(`${garden}/map?day=2026-05-05`);
  await page.getByRole('button', { name: 'Play' }).click();
  await expect.poll(async () => page.locator('[data-map-day]').textContent()).toContain('2 Jun');
  await page.getByRole('button', { name: 'Stop' }).click();
  await context.close();
});
