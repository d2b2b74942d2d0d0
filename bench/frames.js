// Frames of scrolling and dragging on the wall of 600 plantings, from Chromium's own trace. Beside a running bin/demo into which
// bench/wall.php has brought its garden: PORT=8000 node bench/frames.js
const { chromium } = require('@playwright/test');

const base = `http://127.0.0.1:${process.env.PORT ?? 8000}`;
const percentile = (values, share) => [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))];

/** Milliseconds between the frames drawn while something is done. */
async function framesOf(page, work) {
  const client = await page.context().newCDPSession(page);
  const events = [];
  client.on('Tracing.dataCollected', ({ value }) => events.push(...value));
  await client.send('Tracing.start', { transferMode: 'ReportEvents', traceConfig: { includedCategories: ['disabled-by-default-devtools.timeline.frame', 'devtools.timeline.frame'] } });
  await work();
  const done = new Promise((resolve) => { client.once('Tracing.tracingComplete', resolve); });
  await client.send('Tracing.end');
  await done;
  const times = events.filter((e) => e.name === 'DrawFrame').map((e) => e.ts / 1000).sort((a, b) => a - b);
  // A pause in which nothing moves is no frame.
  return times.slice(1).map((time, i) => time - times[i]).filter((gap) => gap < 500);
}

const told = (name, gaps) => console.log(`${name.padEnd(22)} ${String(gaps.length).padStart(4)} frames  median ${percentile(gaps, 0.5).toFixed(1)} ms  95th percentile ${percentile(gaps, 0.95).toFixed(1)} ms  worst ${Math.max(...gaps).toFixed(1)} ms`);

(async () => {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-background-networking'] });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/sign-in`);
  await page.getByRole('button', { name: 'Open the demo garden' }).click();
  await page.goto(`${base}/gardens`);
  await page.getByRole('link', { name: /^Bench wall/ }).first().click();
  const garden = page.url().match(/\/g\/[^/]+/)[0];
  await page.goto(`${base}${garden}/wall`);
  const wall = await page.locator('.wall').boundingBox();
  await page.mouse.move(wall.x + 600, wall.y + 300);
  // At the speed of a hand on a wheel (Chromium's own gesture, 800 pixels a second), and at four times that.
  for (const speed of [800, 3200]) {
    await page.locator('.wall').evaluate((w) => { w.scrollTop = 0; });
    await page.waitForTimeout(300);
    told(`scrolling, ${speed} px/s`, await framesOf(page, async () => {
      const client = await page.context().newCDPSession(page);
      await client.send('Input.synthesizeScrollGesture', { x: wall.x + 600, y: wall.y + 300, yDistance: -2400, speed, gestureSourceType: 'mouse' });
    }));
  }
  await page.locator('.wall').evaluate((w) => { w.scrollTop = 400; });
  const frame = await page.evaluate(() => {
    const box = document.querySelector('.wall').getBoundingClientRect();
    const one = [...document.querySelectorAll('a.planting .frame')].map((f) => f.getBoundingClientRect()).find((f) => f.top > box.top + 120 && f.bottom < box.bottom - 200 && f.left > box.left + 120 && f.height > 6);
    return { x: one.left + 10, y: one.top + one.height / 2 };
  });
  await page.mouse.move(frame.x, frame.y);
  await page.mouse.down();
  await page.mouse.move(frame.x + 8, frame.y + 4);
  await page.waitForTimeout(1500);
  told('dragging', await framesOf(page, async () => {
    // Sent without waiting, more often than frames are drawn: a slow answer of the test's own connection is no slow frame.
    const client = await page.context().newCDPSession(page);
    const sent = [];
    for (let i = 0; i < 300; i += 1) {
      sent.push(client.send('Input.dispatchMouseEvent', { type: 'mouseMoved', button: 'left', buttons: 1, x: frame.x + 120 * Math.sin(i / 30), y: frame.y + 90 * Math.sin(i / 19) }));
      await new Promise((resolve) => { setTimeout(resolve, 7); });
    }
    await Promise.all(sent);
  }));
  await page.keyboard.press('Escape');
  await browser.close();
})();
