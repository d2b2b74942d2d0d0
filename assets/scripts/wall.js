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
