const { test, expect } = require('@playwright/test');
const { spawn, execSync } = require('node:child_process');
const { join } = require('node:path');

const root = join(__dirname, '..', '..');
const port = '8127';
const running = () => execSync(`ps -eo args | grep -- '-S 127.0.0.1:${port}' | grep -v grep || true`).toString().trim();

test('Ctrl-C ends the demo and every process it began', async () => {
  test.setTimeout(120_000);
  const demo = spawn('bin/demo', [], { cwd: root, detached: true, env: { ...process.env, PORT: port, JOLLY_FURROW_DATA: join(root, 'var/browser-data-2') } });
  await new Promise((resolve, reject) => {
    demo.stdout.on('data', (text) => { if (String(text).includes('is running')) resolve(); });
    demo.on('exit', () => reject(new Error('bin/demo ended by itself')));
  });
  expect(running()).not.toBe('');
  const ended = new Promise((resolve) => demo.on('exit', resolve));
  process.kill(-demo.pid, 'SIGINT');
  await ended;
  await expect.poll(running).toBe('');
});
