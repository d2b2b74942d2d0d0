const { test, expect } = require('@playwright/test');
const { spawn } = require('node:child_process');
const { rmSync } = require('node:fs');
const { join } = require('node:path');

const root = join(__dirname, '..', '..');
const port = '8129';
const data = join(root, 'var/browser-own');
const pictures = process.env.PICTURES;
let server;
let first;

test.beforeAll(async () => {
  test.setTimeout(240_000);
  rmSync(data, { recursive: true, force: true });
  server = spawn('bin/serve', [], { cwd: root, detached: true, env: { ...process.env, PORT: port, JOLLY_FURROW_DATA: data, JOLLY_FURROW_TODAY: '2026-07-21' } });
  first = await new Promise((resolve, reject) => {
    let said = '';
    server.stdout.on('data', (text) => {
      said += String(text);
      if (said.includes('Ctrl-C')) resolve(said.match(/http:\S+\/first\?code=\S+/)[0]);
    });
    server.on('exit', () => reject(new Error('bin/serve ended by itself')));
  });
});

test.afterAll(async () => {
  const ended = new Promise((resolve) => server.on('exit', resolve));
  process.kill(-server.pid, 'SIGINT');
  await ended;
});

test('from nothing to a garden with what stands in it, in five clicks', async ({ page }) => {
  let clicks = 0;
  const click = async (name) => { clicks += 1; await page.getByRole('button', { name }).click(); };
  const look = async (name) => { if (pictures) await page.screenshot({ path: join(pictures, `${name}.png`) }); };

  await page.goto(first);
  await look('first-owner');
  await page.getByLabel('Your name').fill('Tansy');
  await page.getByLabel('E-mail address').fill('tansy@example.test');
  await page.getByLabel('New password').fill('under the old pear');
  await page.getByLabel('The same once more').fill('under the old pear');
  await click('Open the account');

  await expect(page.getByRole('heading', { name: 'Begin a garden' })).toBeVisible();
  await look('first-garden');
  await page.getByLabel('Name').fill('Little Rill');
  await page.getByLabel('Where').fill('39° N, 800 ft');
  await page.getByLabel('Units').selectOption('us');
  await click('Begin');

  await expect(page.getByText('Start with what is in the ground')).toBeVisible();
  await look('first-paste');
  await page.getByLabel('Rows: bed, crop').fill('Bed\tCrop\tPlanted\tLength\nA1\ttomato\t5/14/2026\nA2\tgarlic\t10/20/2025\t50 ft\nA3\tcarrot, storage\t7/6/2026\thalf\nA3\tzucchini\t6/28/2026\t20 ft');
  await click('Read the list');
  await look('first-check');
  await click('Look again');
  await click(/Save these 4/);

  await expect(page.getByRole('heading', { name: /Ready when/ })).toBeVisible();
  await look('first-stands');
  expect(clicks).toBeLessThanOrEqual(5);
  await expect(page.getByText('what do you promise, to whom?')).toBeVisible();
  await expect(page.getByRole('row', { name: /Carrot, storage/ })).toBeVisible();
  expect((await page.request.get(first)).status()).toBe(404);
});

// Three outlets and what they take, as it lies in somebody's spreadsheet: to a plan of one's own within forty clicks, a paste counted as one.
test('from there to a plan with three outlets, within forty clicks', async ({ page }) => {
  let clicks = 6;
  const click = async (what) => { clicks += 1; await what.click(); };
  const button = (name) => page.getByRole('button', { name });
  const paste = async (field, rows) => { clicks += 1; await field.fill(rows.map((row) => row.join('\t')).join('\n')); };
  await page.goto(first.replace(/\/first.*/, '/sign-in'));
  await page.getByLabel('E-mail address').fill('tansy@example.test');
  await page.getByLabel('Password').fill('under the old pear');
  await button('Sign in').click();

  await click(page.getByRole('link', { name: 'Beds', exact: true }).first());
  await click(page.getByRole('link', { name: /Paste a list of beds/ }));
  await paste(page.getByLabel('One bed, or a run of beds'), [['B1-B6', '50 ft', '30 in'], ['T1-T2', '50 ft', '30 in', 'tunnel']]);
  await click(button('Save'));

  await click(page.getByRole('link', { name: 'Markets' }).first());
  await click(page.getByRole('link', { name: 'Outlets and products' }).first());
  await click(page.getByRole('link', { name: /Paste a list of outlets/ }));
  const bring = async (kind, rows) => {
    await click(page.getByText(`Bring ${kind} in`));
    await paste(page.locator(`form[action$="/${kind}"] textarea`), rows);
    await click(page.locator(`form[action$="/${kind}"]`).getByRole('button', { name: 'Show what changes' }));
    await click(button('Save'));
  };
  await bring('outlets', [['Outlet', 'Days', 'Priority'], ['Farm shop', 'Tue, Sat', '2'], ['Boxes', 'Wed', '1'], ['Inn', 'Fri', '3']]);
  await bring('products', [['Product', 'Unit', 'Price', 'Made of'], ['Radishes', 'bunch', '2.50', 'radish'], ['Arugula', '100 g', '3', 'rocket'], ['Salad', 'head', '2', 'head lettuce']]);
  const weeks = [...Array(5).keys()].map((n) => new Date(Date.UTC(2026, 8, 14 + 7 * n)));
  const on = (monday, day) => new Date(monday.getTime() + day * 86_400_000).toISOString().slice(0, 10);
  await bring('promises', [['Outlet', 'Product', 'Day', 'Quantity'], ...weeks.flatMap((monday) => [
    ['Farm shop', 'Radishes', on(monday, 1), 8], ['Farm shop', 'Salad', on(monday, 5), 12], ['Boxes', 'Arugula', on(monday, 2), 15], ['Inn', 'Radishes', on(monday, 4), 5]])]);

  await click(page.getByRole('link', { name: 'Plan', exact: true }).first());
  await click(button(/Draw up/));
  await expect(page).toHaveURL(/\/proposal$/, { timeout: 60_000 });
  await click(button(/Take (all|the)/).first());
  await click(page.getByRole('link', { name: 'Wall' }).first());
  await expect(page.locator('a.planting title', { hasText: 'Radish' }).first()).toBeAttached();
  expect(clicks).toBeLessThanOrEqual(40);
  console.log(`${clicks} clicks to a plan`);
});
