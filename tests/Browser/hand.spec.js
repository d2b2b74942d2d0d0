const { test, expect } = require('@playwright/test');
const { openDemo } = require('./garden');

test('a rejected form leads to its first fault, and reads it out', async ({ page }) => {
  const garden = await openDemo(page);
  const focused = () => page.evaluate(() => {
    const at = document.activeElement;
    return [at.name, document.getElementById(at.getAttribute('aria-describedby'))?.textContent ?? ''];
  });
  await page.goto(`${garden}/bed/A5/edit`);
  await page.getByLabel('Width').fill('wide');
  await page.locator('form', { has: page.getByLabel('Width') }).getByRole('button', { name: 'Save' }).click();
  await expect(page.locator('[aria-invalid=true]')).toHaveCount(1);
  expect((await focused())[0]).toBe('width');
  expect((await focused())[1]).not.toBe('');
  await page.goto(`${garden}/offer`);
  await page.getByText('Add an outlet').click();
  const form = page.locator('form', { has: page.getByRole('button', { name: 'Add the outlet' }) });
  await form.getByLabel('Priority').fill('first');
  await form.getByRole('button', { name: 'Add the outlet' }).click();
  await expect(form.locator('[aria-invalid=true]')).toHaveCount(2);
  expect((await focused())[0]).toBe('name');
  expect((await focused())[1]).toContain('write something');
});

// In the hand: nothing is wider than the screen, and what is tapped is large enough.
for (const width of [320, 390]) {
  test(`every page of the menu fits a screen of ${width} pixels`, async ({ page }) => {
    test.setTimeout(180_000);
    await page.setViewportSize({ width, height: 780 });
    const garden = await openDemo(page);
    const pages = ['week', 'hands', 'own-jobs', 'wall', 'standing', 'plan', 'forward', 'rules', 'beds', 'beds/blocks', 'beds/list', 'bed/A5', 'bed/A5/edit', 'ahead', 'recipes', 'crops', 'crops/carrot', 'compare', 'promises', 'offer', 'offer/outlet/stall', 'season', 'log', 'station', 'place', 'members', 'settings', 'file', 'file/lists', 'find?q=leek'];
    const faults = [];
    for (const name of pages) {
      await page.goto(`${garden}/${name}`);
      faults.push(...await page.evaluate((at) => {
        const wide = document.documentElement.scrollWidth > window.innerWidth ? [`${at}: ${document.documentElement.scrollWidth} wide`] : [];
        const small = [...document.querySelectorAll('main button, main .btn, main input:not([type=hidden]), main select, nav a, .practice button')]
          .filter((e) => e.checkVisibility() && !e.closest('table, .scroller, svg, label.tick') && !['checkbox', 'radio'].includes(e.type))
          .filter((e) => e.getBoundingClientRect().height < 40).map((e) => `${at}: ${e.textContent.trim().slice(0, 30) || e.name} ${Math.round(e.getBoundingClientRect().height)} high`);
        return [...wide, ...small.slice(0, 3)];
      }, name));
    }
    expect(faults).toEqual([]);
  });
}
