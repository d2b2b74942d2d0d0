const { test, expect } = require('@playwright/test');
const { default: AxeBuilder } = require('@axe-core/playwright');
const { openDemo } = require('./garden');

const VIEWS = ['wall', 'wall?zoom=month', 'wall?colour=problem&lanes[]=promises&lanes[]=hours&fold[]=A', 'wall/table', 'wall/problems', 'wall/shelf', 'wall/paper', 'map', 'map/edit', 'bed/E3/years', 'standing', 'bed/A1', 'forward', 'season', 'members', 'place', 'station', 'plan', 'promises?outlet=stall', 'beds', 'crops', 'crops/tomato', 'crops/cauliflower/ladder?schools=1&day=2026-07-21&place=field', 'crops/radish/own', 'crops/sheet/in', 'ahead?rain=2027-04-05&days=10', 'bed/A6/free', 'rules', 'rules/cost', 'plan/mend/lettuce-head', 'week', 'hands', 'own-jobs', 'bed/A1/temper', 'recipes', 'recipes/tarp-shallow-till', 'bed/A8/cover?cover=low-tunnel&purpose=growth&from=2027-04-20&to=2027-06-20', 'compare?way[0]=beet/sown&way[1]=beet/transplanted&stand[1]=clusters&sow=2026-08-01&ask=ready&length=10+m&place=field', 'offer', 'log', 'settings', 'file', 'soil', 'bed/A3/soil', 'feeding', 'feeding/cards', 'shed', 'water', 'purchases', 'coming', 'glut', 'mixes', 'delivery', 'boxes/sheet', 'boxes/note', 'what-if', 'rotation', 'promises/from-sales', 'orders', 'prices', 'boxes', 'take', 'packing', 'worth', 'ready', 'pick', 'load', 'load/cards', 'harvest', 'harvest/sheet', 'store', 'lots', 'labels', 'sprays', 'places'];

async function faults(page) {
  const result = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
  return result.violations.map((v) => `${v.id}: ${v.nodes.slice(0, 3).map((n) => n.target).join(' | ')}`);
}

for (const scheme of ['light', 'dark']) {
  test(`an audit of every main view finds nothing, ${scheme}`, async ({ browser }) => {
    test.setTimeout(420_000);
    const context = await browser.newContext({ colorScheme: scheme });
    const page = await context.newPage();
    await page.goto('/sign-in');
    expect(await faults(page), 'sign-in').toEqual([]);
    const garden = await openDemo(page);
    for (const view of VIEWS) {
      await page.goto(`${garden}/${view}`);
      expect(await faults(page), view).toEqual([]);
    }
    await page.goto('/gardens');
    expect(await faults(page), 'gardens').toEqual([]);
    await page.goto(`${garden}/wall`);
    await page.goto(await page.locator('a.planting').first().getAttribute('href'));
    expect(await faults(page), 'planting').toEqual([]);
    await context.close();
  });
}

test('no page is wider than a phone, and what is tapped is large enough', async ({ browser }) => {
  test.setTimeout(300_000);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  const garden = await openDemo(page);
  for (const view of VIEWS) {
    await page.goto(`${garden}/${view}`);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), view).toBeLessThanOrEqual(390);
    const small = await page.locator('.btn:visible, .bar a:visible, select:visible').evaluateAll((all) => all.filter((e) => e.getBoundingClientRect().height < 43.5).map((e) => e.textContent));
    expect(small, view).toEqual([]);
  }
  await context.close();
});

test('every list is whole on paper', async ({ page }) => {
  test.setTimeout(120_000);
  const garden = await openDemo(page);
  await page.emulateMedia({ media: 'print' });
  for (const view of ['beds', 'standing', 'offer', 'plan', 'week', 'log', 'crops']) {
    await page.goto(`${garden}/${view}`);
    const cut = await page.locator('.scroller').evaluateAll((all) => all.filter((e) => e.scrollHeight > e.clientHeight + 1).map((e) => e.getAttribute('aria-label')));
    expect(cut, view).toEqual([]);
    await expect(page.getByRole('navigation', { name: 'Garden' })).toBeHidden();
  }
});

test('nothing is fetched from elsewhere and nothing fails', async ({ page, baseURL }) => {
  test.setTimeout(300_000);
  const elsewhere = [];
  const failed = [];
  page.on('request', (request) => { if (!request.url().startsWith(baseURL) && !request.url().startsWith('data:')) elsewhere.push(request.url()); });
  page.on('response', (response) => { if (response.status() >= 400) failed.push(response.url()); });
  page.on('pageerror', (error) => failed.push(error.message));
  const garden = await openDemo(page);
  for (const view of VIEWS) await page.goto(`${garden}/${view}`);
  expect(elsewhere).toEqual([]);
  expect(failed).toEqual([]);
});

test('the wall of the demo stays within its budget of nodes and bytes', async ({ page }) => {
  const garden = await openDemo(page);
  const response = await page.goto(`${garden}/wall`);
  expect(response.headers()['content-encoding']).toBe('gzip');
  expect(Number(response.headers()['content-length'])).toBeLessThan(80 * 1024);
  expect(await page.evaluate(() => document.querySelectorAll('*').length)).toBeLessThan(12_000);
});
