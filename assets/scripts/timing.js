// Reads a sowing off the timing chart, by pointer or arrow keys. Without scripts the form beside it and the table do the same.
const chart = document.querySelector('.timing-chart');
const readout = document.querySelector('[data-readout]');
const cursor = chart?.querySelector('[data-cursor]');
const WIDTH = 730;
const NAMES = { field: 'open field', tunnel: 'unheated tunnel', heated: 'heated' };
let day = 0;

const say = (number) => new Date(number * 86_400_000).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });

function show(n) {
  const points = JSON.parse(chart.dataset.points);
  const count = Object.values(points)[0].length;
  day = Math.max(0, Math.min(count - 1, n));
  const x = (WIDTH * day) / 365;
  cursor.setAttribute('x1', x);
  cursor.setAttribute('x2', x);
  cursor.removeAttribute('hidden');
  const parts = Object.entries(points).map(([place, all]) => {
    const [, ready, last, why] = all[day];
    return `${NAMES[place]}: ${ready === null ? 'never ready' : `ready ${say(ready)}${last > ready ? `, holds until ${say(last)}` : ''}`}${why ? ` (${why})` : ''}`;
  });
  readout.textContent = `Sown ${say(Number(chart.dataset.first) + day)}. ${parts.join('; ')}.`;
}

chart?.addEventListener('pointermove', (event) => {
  const box = chart.getBoundingClientRect();
  const view = chart.viewBox.baseVal;
  show(Math.round((((event.clientX - box.left) / box.width) * view.width + view.x) / WIDTH * 365));
});
chart?.addEventListener('keydown', (event) => {
  const step = { ArrowLeft: -1, ArrowRight: 1, ArrowDown: -7, ArrowUp: 7, PageDown: -30, PageUp: 30 }[event.key];
  if (!step) return;
  event.preventDefault();
  show(day + step);
});
