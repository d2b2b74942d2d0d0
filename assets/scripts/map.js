// The map through the season: the slider shows any day without asking the server; Play walks through it week by week.
const slider = document.querySelector('[data-map-slider]');
const range = slider?.querySelector('input');
const play = slider?.querySelector('[data-map-play]');
const STEP = 7;
const calm = window.matchMedia('(prefers-reduced-motion: reduce)');
let timer = null;

const doing = (day, [start, ground, ready, clear]) => {
  if (day < start || day > clear) return null;
  if (day < ground) return 'prep';
  return day < ready ? 'grow' : 'ready';
};

function show(day) {
  const taken = new Set();
  document.querySelectorAll('.ground-piece').forEach((piece) => {
    const at = doing(day, piece.dataset.days.split(' ').map(Number));
    piece.toggleAttribute('hidden', at === null);
    if (at === null) return;
    piece.dataset.at = at;
    taken.add(piece.closest('.ground-bed'));
  });
  const date = new Date(day * 86_400_000);
  const words = date.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });
  document.querySelector('[data-map-day]').textContent = words;
  document.querySelector('[data-map-count]').textContent = String(taken.size);
  range.setAttribute('aria-valuetext', words);
  const field = document.getElementById('map-day');
  if (field) field.value = date.toISOString().slice(0, 10);
}

function stop() {
  clearInterval(timer);
  timer = null;
  play.textContent = 'Play';
  play.setAttribute('aria-pressed', 'false');
  const url = new URL(window.location.href);
  url.searchParams.set('day', new Date(Number(range.value) * 86_400_000).toISOString().slice(0, 10));
  window.history.replaceState(null, '', url);
}

function start() {
  if (Number(range.value) >= Number(range.max)) range.value = range.min;
  play.textContent = 'Stop';
  play.setAttribute('aria-pressed', 'true');
  timer = setInterval(() => {
    range.value = String(Math.min(Number(range.max), Number(range.value) + (calm.matches ? 4 * STEP : STEP)));
    show(Number(range.value));
    if (Number(range.value) >= Number(range.max)) stop();
  }, calm.matches ? 1500 : 350);
}

if (slider) {
  slider.hidden = false;
  range.addEventListener('input', () => show(Number(range.value)));
  range.addEventListener('change', () => { if (timer === null) stop(); });
  play.addEventListener('click', () => (timer === null ? start() : stop()));
}
