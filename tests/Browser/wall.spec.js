// Real work on the wall, through to what is stored: by mouse, by finger, by keyboard; put back; two at once; a bad network.
const { test, expect } = require('@playwright/test');
const { AxeBuilder } = require('@axe-core/playwright');
const { openDemo } = require('./garden');

const SOWN_LATER = /planned:\s+.*sown\s+in\s+the\s+bed\s+\d+\s+(Aug|Sep)/;

async function planned(page, n = 0) {
  const link = page.locator('a.planting', { has: page.locator('title', { hasText: SOWN_LATER }) }).nth(n);
  await link.scrollIntoViewIfNeeded();
  return { link, key: await link.getAttribute('data-key'), day: Number(await link.getAttribute('data-day')), bed: await link.evaluate((a) => a.closest('[data-row]').dataset.row) };
}

/** A bed it may stand on without bending a rule, as the server says; on screen, and another one than its own. */
async function goodBed(page, key, day) {
  const when = new Date(day * 86_400_000).toISOString().slice(0, 10);
  return page.evaluate(async ([planting, on]) => {
    const wall = document.querySelector('[data-wall]');
    const got = await (await fetch(`${wall.dataset.places}?${new URLSearchParams({ planting, when: on })}`)).json();
    const own = document.querySelector(`a.planting[data-key="${planting}"]`).closest('[data-row]').dataset.row;
    return Object.entries(got.beds).find(([bed, [state]]) => state === 'may' && bed !== own)?.[0];
  }, [key, when]);
}

const where = (page, key) => page.evaluate((k) => { const a = document.querySelector(`a.planting[data-key="${k}"]`); return a && [a.closest('[data-row]').dataset.row, Number(a.dataset.day), a.classList.contains('drafted')]; }, key);

const version = (page) => page.evaluate(async () => Number((await (await fetch(document.querySelector('[data-wall]').dataset.version)).json()).number));

test('dragged with the mouse: where it may go is drawn, its effect is said, it is saved and undone after a reload', async ({ page }) => {
  const garden = await openDemo(page);
  const { link, key, day, bed } = await planned(page);
  const to = await goodBed(page, key, day);
  await link.scrollIntoViewIfNeeded();
  const frame = await link.locator('.frame').boundingBox();
  await page.mouse.move(frame.x + 8, frame.y + frame.height / 2);
  await page.mouse.down();
  await page.mouse.move(frame.x + 9, frame.y + 14, { steps: 3 });
  await expect(page.locator('.wall-veil .not').first()).toBeVisible();
  await expect(page.locator('.wall-veil .may').first()).toBeVisible();
  await page.evaluate((b) => document.querySelector(`svg[data-row="${b}"]`).scrollIntoView({ block: 'center' }), to);
  const row = await page.locator(`svg[data-row="${to}"]`).boundingBox();
  await page.mouse.move(frame.x + 8, row.y + row.height / 2, { steps: 6 });
  await expect(page.locator('.wall-tip')).toContainText(`bed ${to}: may stand there`);
  await page.mouse.up();
  const draft = page.getByRole('region', { name: 'Not saved yet' });
  await expect(draft).toContainText(`moved to bed ${to}`);
  await expect(draft.locator('.draft-effect')).not.toBeEmpty();
  expect(await where(page, key)).toEqual([to, day, true]);
  await draft.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status').first()).toContainText(`moved to bed ${to}`);
  expect(await where(page, key)).toEqual([to, day, false]);
  await page.goto(`${garden}/wall`);
  await page.getByRole('button', { name: /^Undo: .*moved to bed/ }).click();
  await expect(page.getByRole('status').first()).toContainText('Taken back');
  expect((await where(page, key))[0]).toBe(bed);
  await page.getByRole('button', { name: /^Redo: .*moved to bed/ }).click();
  await expect(page.getByRole('status').first()).toContainText('Taken back');
  expect((await where(page, key))[0]).toBe(to);
  await page.getByRole('button', { name: /^Undo/ }).click();
});

test('a drag is put back with Escape, and nothing is kept of it', async ({ page }) => {
  await openDemo(page);
  const { link, key } = await planned(page);
  const before = await where(page, key);
  const frame = await link.locator('.frame').boundingBox();
  await page.mouse.move(frame.x + 8, frame.y + frame.height / 2);
  await page.mouse.down();
  await page.mouse.move(frame.x + 60, frame.y + 60, { steps: 5 });
  await expect(page.locator('.wall-ghost')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(page.locator('.wall-ghost')).toHaveCount(0);
  await expect(page.locator('.draft')).toHaveCount(0);
  expect(await where(page, key)).toEqual(before);
});

test('by keyboard alone: two changes in one draft, kept through a reload, one put back, the other saved', async ({ page }) => {
  await openDemo(page);
  const { link, key, day } = await planned(page);
  await link.focus();
  await page.keyboard.press('Shift+ArrowRight');
  const draft = page.getByRole('region', { name: 'Not saved yet' });
  await expect(draft.locator('li')).toHaveCount(1);
  const later = (await where(page, key))[1];
  expect(later).toBeGreaterThan(day);
  await page.locator(`a.planting[data-key="${key}"]`).focus();
  await page.keyboard.press('-');
  await expect(draft.locator('li')).toHaveCount(2);
  expect((await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze()).violations.map((v) => v.id)).toEqual([]);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Not saved yet' }).locator('li')).toHaveCount(2);
  await page.getByRole('button', { name: 'Put back', exact: true }).click();
  await expect(draft.locator('li')).toHaveCount(1);
  await expect(page.locator('#wall-told')).toContainText('Not saved yet');
  await draft.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status').first()).toContainText('sown');
  expect(await where(page, key)).toEqual([expect.any(String), later, false]);
  await page.getByRole('button', { name: /^Undo/ }).first().click();
});

test('dragged with a finger that is held first; a finger that slides scrolls', async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 820, height: 1180 } });
  const page = await context.newPage();
  await openDemo(page);
  const { link, key, day } = await planned(page);
  const to = await goodBed(page, key, day);
  const frame = await link.locator('.frame').boundingBox();
  const client = await context.newCDPSession(page);
  const touch = (type, x, y) => client.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] });
  await touch('touchStart', frame.x + 8, frame.y + frame.height / 2);
  await page.waitForTimeout(600);
  await expect(page.locator('.wall-ghost')).toBeVisible();
  await page.evaluate((b) => document.querySelector(`svg[data-row="${b}"]`).scrollIntoView({ block: 'center' }), to);
  const row = await page.locator(`svg[data-row="${to}"]`).boundingBox();
  await touch('touchMove', frame.x + 8, row.y + 10);
  await touch('touchMove', frame.x + 8, row.y + row.height / 2);
  await touch('touchEnd');
  const draft = page.getByRole('region', { name: 'Not saved yet' });
  await expect(draft).toContainText(`moved to bed ${to}`);
  await draft.getByRole('button', { name: 'Save' }).tap();
  await expect(page.getByRole('status').first()).toContainText(`moved to bed ${to}`);
  await expect.poll(async () => (await where(page, key))?.[0]).toBe(to);
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await context.close();
});

test('two at once see each other within seconds, and the second is asked', async ({ browser }) => {
  const [one, two] = [await (await browser.newContext()).newPage(), await (await browser.newContext()).newPage()];
  await openDemo(one);
  const { key, link } = await planned(one);
  await openDemo(two);
  await link.focus();
  await one.keyboard.press('Shift+ArrowRight');
  await expect(one.getByRole('region', { name: 'Not saved yet' }).locator('li')).toHaveCount(1);
  await two.locator(`a.planting[data-key="${key}"]`).focus();
  await two.keyboard.press('-');
  await expect(two.getByRole('region', { name: 'Not saved yet' }).locator('li')).toHaveCount(1);
  const seen = await two.locator('.draft').getAttribute('data-seen');
  await one.getByRole('button', { name: 'Save' }).click();
  await expect(one.getByRole('status').first()).toContainText('sown');
  const moved = (await where(one, key))[1];
  await expect(two.locator('#wall-told')).toContainText(/Changed meanwhile/, { timeout: 12_000 });
  expect((await where(two, key))[1]).toBe(moved);
  // What was tried before the other saved is refused with a question.
  const status = await two.evaluate(async ([was, k]) => {
    const wall = document.querySelector('[data-wall]');
    const token = JSON.parse(document.body.getAttribute('hx-headers'))['X-Token'];
    const body = new URLSearchParams({ _token: token, changes: JSON.stringify([{ do: 'shorter', planting: k }]), seen: was, token: crypto.randomUUID() });
    return (await fetch(wall.dataset.save, { method: 'POST', body })).status;
  }, [seen, key]);
  expect(status).toBe(409);
  await one.getByRole('button', { name: /^Undo/ }).first().click();
});

test('a network that drops neither loses a change nor makes it twice', async ({ page, context }) => {
  const garden = await openDemo(page);
  const { link, key } = await planned(page);
  await link.focus();
  await page.keyboard.press('Shift+ArrowRight');
  const draft = page.getByRole('region', { name: 'Not saved yet' });
  await expect(draft.locator('li')).toHaveCount(1);
  const later = (await where(page, key))[1];
  const before = await version(page);
  // It arrives, but its answer is lost.
  await page.route('**/wall/save', async (route) => { await route.fetch(); await route.abort(); }, { times: 1 });
  await draft.getByRole('button', { name: 'Save' }).click();
  await expect(page.locator('#wall-told')).toContainText('Not saved: no answer');
  await context.setOffline(true);
  await draft.getByRole('button', { name: 'Save' }).click();
  await expect(page.locator('#wall-told')).toContainText('Not saved: no answer');
  await context.setOffline(false);
  await draft.getByRole('button', { name: 'Save' }).click();
  await expect(page.locator('.draft')).toHaveCount(0);
  expect((await where(page, key))[1]).toBe(later);
  expect(await version(page)).toBe(before + 1);
  await page.goto(`${garden}/wall`);
  await page.getByRole('button', { name: /^Undo/ }).first().click();
});

test('found on the wall: the rest fades', async ({ page }) => {
  await openDemo(page);
  await page.getByLabel('Find on the wall').fill('radish');
  await expect(page.locator('#wall-found')).toContainText(/\d+ found/);
  expect(await page.locator('a.planting.found').count()).toBeGreaterThan(2);
  expect(await page.locator('a.planting:not(.found)').first().evaluate((a) => Number(getComputedStyle(a).opacity))).toBeLessThan(0.3);
});
