// The wall by keyboard: one tab stop, then arrow keys along a bed and from bed to bed. Enter follows the link.
// Without scripts every planting is a tab stop.
document.querySelectorAll('a.planting').forEach((link, i) => link.setAttribute('tabindex', i === 0 ? '0' : '-1'));

const plantings = (row) => [...row.querySelectorAll('a.planting')];

function focus(link) {
  document.querySelectorAll('a.planting[tabindex="0"]').forEach((old) => old.setAttribute('tabindex', '-1'));
  link.setAttribute('tabindex', '0');
  link.focus();
  link.scrollIntoView({ block: 'nearest', inline: 'nearest' });
}

function neighbour(link, key) {
  const row = link.closest('[data-row]');
  const here = plantings(row);
  if (key === 'ArrowRight' || key === 'ArrowLeft') {
    return here[here.indexOf(link) + (key === 'ArrowRight' ? 1 : -1)];
  }
  const rows = [...document.querySelectorAll('[data-row]')].filter((other) => plantings(other).length > 0);
  const next = rows[rows.indexOf(row) + (key === 'ArrowDown' ? 1 : -1)];
  if (!next) return undefined;
  const day = Number(link.dataset.first);
  return plantings(next).reduce((best, other) => (Math.abs(Number(other.dataset.first) - day) < Math.abs(Number(best.dataset.first) - day) ? other : best));
}

document.addEventListener('keydown', (event) => {
  const link = event.target.closest?.('a.planting');
  if (!link || !event.key.startsWith('Arrow')) return;
  event.preventDefault();
  const next = neighbour(link, event.key);
  if (next) focus(next);
});

document.addEventListener('htmx:afterSwap', (event) => {
  if (event.target.id !== 'panel') return;
  document.querySelector('.split')?.classList.add('open');
  const heading = event.target.querySelector('h1, h2');
  heading?.setAttribute('tabindex', '-1');
  heading?.focus({ preventScroll: true });
  if (window.innerWidth < 1000) event.target.scrollIntoView({ block: 'start' });
});

// The panel closes by its cross or by Escape, and one is back at the planting it was opened from.
function closePanel() {
  document.querySelector('.split')?.classList.remove('open');
  document.getElementById('panel')?.replaceChildren();
  document.querySelector('a.planting[tabindex="0"]')?.focus({ preventScroll: true });
}

document.addEventListener('click', (event) => {
  const planting = event.target.closest('a.planting');
  if (planting) {
    document.querySelectorAll('a.planting[tabindex="0"]').forEach((old) => old.setAttribute('tabindex', '-1'));
    planting.setAttribute('tabindex', '0');
  }
  if (!event.target.closest('[data-close-panel]')) return;
  event.preventDefault();
  closePanel();
});

document.addEventListener('keydown', (event) => {
  if (event.key === 'Escape' && document.querySelector('.split.open') && !document.querySelector('[data-menu][open]')) closePanel();
});

// The wall opens with today in view.
const wall = document.querySelector('.wall');
const today = wall?.querySelector('.today');
if (wall && today && wall.scrollWidth > wall.clientWidth) {
  wall.scrollLeft = Math.max(0, Number(today.getAttribute('x1')) - wall.clientWidth * 0.6);
}

// A planting opens beside the wall; its address is its link.
document.addEventListener('click', (event) => {
  const link = event.target.closest('a.planting');
  if (!link || event.ctrlKey || event.metaKey || event.shiftKey || event.button > 0 || link.getAttribute('href').startsWith('#') || !window.htmx) return;
  event.preventDefault();
  window.htmx.ajax('GET', link.getAttribute('href'), { target: '#panel', source: link });
});

// Find: by crop, family, bed, product, outlet, or "!" for what has a problem; the rest fades.
const find = document.querySelector('[data-wall-find]');
const sold = find ? JSON.parse(find.dataset.words || '{}') : {};
const itemOf = (link) => link.dataset.key.split('@')[0];
find?.addEventListener('input', () => {
  const words = find.value.trim().toLowerCase();
  const grid = document.querySelector('.wall-grid');
  grid?.classList.toggle('finding', words !== '');
  let found = 0;
  grid?.querySelectorAll('a.planting').forEach((link) => {
    const said = `${link.querySelector('title').textContent} ${link.getAttribute('class')} ${sold[itemOf(link)] ?? ''}`.toLowerCase();
    const isIt = words !== '' && said.includes(words);
    link.classList.toggle('found', isIt);
    found += isIt ? 1 : 0;
  });
  const told = document.getElementById('wall-found');
  if (told) told.textContent = words === '' ? '' : `${found} found`;
});

// Pointing at a week lights the plantings it is fed from; pointing at a planting lights its weeks.
const runs = (text) => (text ?? '').split(' ').filter(Boolean).map((run) => { const [from, to = from] = run.split('-').map(Number); return [from, to]; });
let lit = '';

function light(week, items) {
  const key = `${week} ${items?.join(' ')}`;
  if (key === lit) return;
  lit = key;
  const grid = document.querySelector('.wall-grid');
  grid?.classList.toggle('lighting', week !== null);
  grid?.querySelectorAll('a.planting').forEach((link) => link.classList.toggle('lit', week !== null && items.includes(itemOf(link))
    && runs(link.dataset.feeds).some(([from, to]) => week >= from && week <= to)));
}

let litLink = null;
function lightWeeks(link) {
  if (link === litLink) return;
  litLink = link;
  document.querySelectorAll('.wall-lit-week').forEach((old) => old.remove());
  if (!link?.dataset.feeds) return;
  const width = Number(wall.dataset.week ?? 0);
  document.querySelectorAll('[data-feeding]').forEach((lane) => {
    if (!lane.dataset.feeding.split(' ').includes(itemOf(link))) return;
    const svg = lane.closest('svg') ?? lane.querySelector('svg');
    const box = lane.tagName === 'g' ? lane.getBBox() : { y: 0, height: Number(svg.getAttribute('height')) };
    runs(link.dataset.feeds).forEach(([from, to]) => {
      const mark = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
      mark.setAttribute('class', 'wall-lit-week');
      [['x', from * width], ['y', box.y], ['width', (to - from + 1) * width], ['height', box.height]].forEach(([name, value]) => mark.setAttribute(name, String(value)));
      svg.append(mark);
    });
  });
}

// Over a lane the week under the pointer is meant; by keyboard Left and Right go through the weeks of a lane.
document.addEventListener('pointermove', (event) => {
  if (!wall || document.body.classList.contains('dragging')) return;
  const lane = event.target.closest?.('[data-feeding]');
  if (lane) {
    const box = (lane.closest('svg') ?? lane.querySelector('svg')).getBoundingClientRect();
    light(Math.floor((event.clientX - box.left) / Number(wall.dataset.week)), lane.dataset.feeding.split(' '));
  } else if (lit !== '' && !document.activeElement?.closest?.('[data-feeding]')) {
    light(null, null);
    lit = '';
  }
});
// What only passes under the pointer lights nothing: it has to stay for a moment.
let resting = null;
document.addEventListener('pointerover', (event) => {
  if (!wall || document.body.classList.contains('dragging')) return;
  clearTimeout(resting);
  const link = event.target.closest?.('a.planting') ?? null;
  resting = setTimeout(() => lightWeeks(link ?? document.activeElement?.closest?.('a.planting') ?? null), 90);
});
document.addEventListener('focusin', (event) => { if (wall) lightWeeks(event.target.closest?.('a.planting') ?? null); });
let week = 0;
document.addEventListener('keydown', (event) => {
  const lane = event.target.closest?.('[data-feeding][tabindex]');
  if (!lane || !['ArrowLeft', 'ArrowRight', 'Escape'].includes(event.key)) return;
  event.preventDefault();
  if (event.key === 'Escape') { light(null, null); lit = ''; return; }
  week = Math.max(0, Math.min(51, week + (event.key === 'ArrowRight' ? 1 : -1)));
  const items = lane.dataset.feeding.split(' ');
  light(week, items);
  const count = document.querySelectorAll('a.planting.lit').length;
  const from = new Date((Number(wall.dataset.first) + 7 * week) * 86_400_000).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
  const told = document.getElementById('wall-found');
  if (told) told.textContent = `Week from ${from}: fed by ${count} plantings`;
});

// A problem shown on the wall: the rest fades, and one is at the first planting it is about.
document.getElementById('panel')?.addEventListener('click', (event) => {
  const named = event.target.closest('[data-show-on-wall]')?.dataset.showOnWall;
  if (named === undefined || !wall) return;
  const links = [...wall.querySelectorAll('a.planting')].filter((link) => (named.endsWith('@') ? link.dataset.key.startsWith(named) : link.dataset.key === named));
  wall.querySelector('.wall-grid').classList.toggle('finding', links.length > 0);
  wall.querySelectorAll('a.planting.found').forEach((link) => link.classList.remove('found'));
  links.forEach((link) => link.classList.add('found'));
  links[0]?.scrollIntoView({ block: 'center', inline: 'center' });
  links[0]?.focus({ preventScroll: true });
  const told = document.getElementById('wall-found');
  if (told) told.textContent = links.length > 0 ? `${links.length} on the wall` : 'Nothing of it stands on the wall as it is shown.';
});
