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
