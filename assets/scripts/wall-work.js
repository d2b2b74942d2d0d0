// Work on the wall: drag with mouse or finger, or the keyboard; changes gather in a draft that is tried out by the server and
// saved as one. The draft is kept by the browser until it is saved or put back, so a lost network or a reload loses nothing.
const wall = document.querySelector('[data-wall]');
const token = wall && JSON.parse(document.body.getAttribute('hx-headers') ?? '{}')['X-Token'];
const key = wall && `draft ${wall.dataset.garden}`;
const DAY = 86_400_000;
const told = document.getElementById('wall-told');
const panel = document.getElementById('draft');
let draft = wall ? JSON.parse(sessionStorage.getItem(key) ?? '[]') : [];
let sending = wall ? sessionStorage.getItem(`${key} token`) : null;
const beds = new Set();
let asked = 0;
let isSaving = false;
let version = null;
let drag = null;
let swap = null;

const tell = (words) => { told.textContent = words; };
const iso = (day) => new Date(day * DAY).toISOString().slice(0, 10);
const rowOf = (bed) => wall.querySelector(`svg[data-row="${CSS.escape(bed)}"]`);
const sowingDays = () => wall.dataset.sowingDays.split(',').map(Number);
const weekday = (day) => ((day + 3) % 7) + 1;

/** Where a row lies in the grid; elements of a drawing have no offsets of their own. */
function placeOf(row) {
  const grid = wall.querySelector('.wall-grid').getBoundingClientRect();
  const box = row.getBoundingClientRect();
  return { left: box.left - grid.left, top: box.top - grid.top, gridLeft: grid.left };
}

/** The nearest sowing day; with the key held any day. */
function snapped(day, free) {
  if (free || !wall.dataset.sowingDays) return day;
  for (let away = 0; away < 7; away += 1) {
    if (sowingDays().includes(weekday(day + away))) return day + away;
    if (sowingDays().includes(weekday(day - away))) return day - away;
  }
  return day;
}

/** The next sowing day one way. */
function stepped(day, way, free) {
  let next = day + way;
  while (!free && wall.dataset.sowingDays && !sowingDays().includes(weekday(next))) next += way;
  return next;
}

function remember() {
  sessionStorage.setItem(key, JSON.stringify(draft));
  if (draft.length === 0) { sessionStorage.removeItem(key); sessionStorage.removeItem(`${key} token`); sending = null; }
}

const body = (more = {}) => new URLSearchParams({ _token: token, changes: JSON.stringify(draft), beds: JSON.stringify([...beds]), zoom: wall.dataset.zoom,
  from: wall.dataset.from, season: wall.dataset.season, ...more });

/** Shows what the server says of the draft: its effect, and the rows it touches drawn anew. */
function show(html) {
  const got = document.createElement('div');
  got.innerHTML = html;
  const focused = document.activeElement?.closest?.('a.planting')?.dataset.key;
  got.querySelectorAll('template').forEach((t) => t.content.querySelectorAll('svg[data-row]').forEach((row) => {
    beds.add(row.dataset.row);
    rowOf(row.dataset.row)?.replaceWith(row);
    window.htmx?.process(row);
  }));
  got.querySelectorAll('template').forEach((t) => t.remove());
  panel.replaceChildren(...(draft.length > 0 ? [...got.children] : []));
  wall.querySelectorAll('a.planting').forEach((a) => a.setAttribute('tabindex', '-1'));
  const back = (focused && wall.querySelector(`a.planting[data-key="${CSS.escape(focused)}"]`)) || wall.querySelector('a.planting');
  back?.setAttribute('tabindex', '0');
  if (focused && back?.dataset.key === focused) back.focus({ preventScroll: true });
  const effect = panel.querySelector('.draft-effect')?.textContent.replace(/\s+/g, ' ').trim();
  const fault = panel.querySelector('.trouble')?.textContent.replace(/\s+/g, ' ').trim();
  tell(draft.length > 0 ? `Not saved yet. ${fault ?? effect ?? ''}` : '');
}

async function tryOut() {
  remember();
  asked += 1;
  const mine = asked;
  panel.setAttribute('aria-busy', 'true');
  try {
    const answer = await fetch(wall.dataset.try, { method: 'POST', body: body() });
    if (mine !== asked) return;
    if (!answer.ok) throw new Error(String(answer.status));
    show(await answer.text());
  } catch {
    if (mine === asked) tell('No answer. The changes are kept here; they are tried out when the network is back.');
  } finally {
    if (mine === asked) panel.removeAttribute('aria-busy');
  }
}

let waiting = null;
function soon() {
  clearTimeout(waiting);
  waiting = setTimeout(tryOut, 180);
}

/** A change more; moves of one planting run into one. */
function add(change) {
  const last = draft[draft.length - 1];
  if (change.do === 'move' && last?.do === 'move' && last.planting === change.planting) Object.assign(last, change);
  else draft.push(change);
  sending = null;
  remember();
  soon();
}

function back(all) {
  if (all) draft = [];
  else draft.pop();
  sending = null;
  clearTimeout(waiting);
  tryOut();
}

/** Saved once, however often it has to be sent. */
async function save(button) {
  button.disabled = true;
  isSaving = true;
  sending ??= crypto.randomUUID();
  sessionStorage.setItem(`${key} token`, sending);
  tell('Saving …');
  try {
    const seen = panel.querySelector('.draft')?.dataset.seen ?? '{}';
    const answer = await fetch(wall.dataset.save, { method: 'POST', body: body({ seen, token: sending }) });
    if (answer.status === 409) { isSaving = false; show(await answer.text()); return; }
    if (!answer.ok) throw new Error(String(answer.status));
    draft = [];
    remember();
    window.location.reload();
  } catch {
    button.disabled = false;
    isSaving = false;
    tell('Not saved: no answer. The changes are kept here. Save again; it is done once.');
  }
}

// What the last change of a planting in the draft made of its day and bed.
function stateOf(link) {
  const mine = draft.filter((c) => c.planting === link.dataset.key && c.do === 'move').pop();
  return { day: mine?.when ? Date.parse(mine.when) / DAY : (link.dataset.day ? Number(link.dataset.day) : null), bed: link.closest('[data-row]').dataset.row };
}

function moved(link, day, bed) {
  const change = { do: 'move', planting: link.dataset.key };
  if (day !== null) change.when = iso(day);
  if (bed !== link.closest('[data-row]').dataset.row || draft.some((c) => c.planting === link.dataset.key && c.bed)) change.bed = bed;
  return change;
}

// Where it may go.
let painting = 0;
async function paint(link, day) {
  painting += 1;
  const mine = painting;
  const ask = new URLSearchParams({ planting: link.dataset.key, ...(day === null ? {} : { when: iso(day) }) });
  try {
    const answer = await fetch(`${wall.dataset.places}?${ask}`);
    if (!answer.ok || mine !== painting || !drag) return;
    const got = await answer.json();
    if (mine !== painting || !drag) return;
    Object.entries(got.beds).forEach(([bed, [state, why]]) => {
      const row = rowOf(bed);
      if (!row) return;
      row.classList.remove('may', 'bends', 'not');
      row.classList.add(state);
      row.dataset.why = why;
    });
    drag.refused = got.why;
    say();
  } catch { /* without an answer nothing is painted; the release asks anyway */ }
}

function unpaint() {
  painting += 1;
  wall.querySelectorAll('svg[data-row].may, svg[data-row].bends, svg[data-row].not').forEach((row) => { row.classList.remove('may', 'bends', 'not'); delete row.dataset.why; });
}

function say() {
  if (!drag?.tip) return;
  const row = rowOf(drag.bed);
  const may = drag.refused ? `not possible: ${drag.refused}` : { may: 'may stand there', bends: `! ${row?.dataset.why ?? ''}`, not: `✕ ${row?.dataset.why ?? ''}` }[['may', 'bends', 'not'].find((c) => row?.classList.contains(c))] ?? '';
  const day = drag.day === null ? '' : `${new Date(drag.day * DAY).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })}, `;
  drag.tip.textContent = `${day}bed ${drag.bed}${may ? `: ${may}` : ''}`;
}

function begin(link, x, y) {
  const row = link.closest('[data-row]');
  const state = stateOf(link);
  const ghost = link.cloneNode(true);
  const layer = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
  layer.classList.add('wall-ghost');
  layer.setAttribute('width', row.getAttribute('width'));
  layer.setAttribute('height', '39');
  layer.append(ghost);
  const tip = document.createElement('div');
  tip.className = 'wall-tip';
  wall.querySelector('.wall-grid').append(layer, tip);
  drag = { link, row, layer, tip, x, y, from: state.day, day: state.day, bed: row.dataset.row, left: wall.scrollLeft, top: wall.scrollTop, refused: '' };
  const place = placeOf(row);
  layer.style.left = `${place.left}px`;
  layer.style.top = `${place.top}px`;
  drag.at = place.top;
  link.classList.add('lifted');
  document.body.classList.add('dragging');
  paint(link, drag.day);
}

function drop() {
  if (!drag) return;
  drag.layer.remove();
  drag.tip.remove();
  drag.link.classList.remove('lifted');
  document.body.classList.remove('dragging');
  drag = null;
  unpaint();
}

let frame = 0;
function to(x, y, free) {
  if (!drag) return;
  const dx = x - drag.x + wall.scrollLeft - drag.left;
  const days = drag.from === null ? 0 : Math.round((dx * 7) / Number(wall.dataset.week));
  const day = drag.from === null ? null : snapped(drag.from + days, free);
  const under = document.elementFromPoint(x, y)?.closest?.('svg[data-row]');
  const bed = under && wall.contains(under) ? under.dataset.row : drag.bed;
  const isNewDay = day !== drag.day;
  drag.day = day;
  drag.bed = bed;
  cancelAnimationFrame(frame);
  frame = requestAnimationFrame(() => {
    if (!drag) return;
    const row = rowOf(drag.bed) ?? drag.row;
    const shift = drag.from === null ? 0 : ((drag.day - drag.from) * Number(wall.dataset.week)) / 7;
    const place = placeOf(row);
    drag.layer.style.transform = `translate(${shift}px, ${place.top - drag.at}px)`;
    drag.tip.style.transform = `translate(${x - place.gridLeft + 14}px, ${place.top - 26}px)`;
    say();
  });
  if (isNewDay) { clearTimeout(drag.soon); drag.soon = setTimeout(() => drag && paint(drag.link, drag.day), 120); }
  const box = wall.getBoundingClientRect();
  if (y > box.bottom - 30) wall.scrollTop += 12;
  if (y < box.top + 80) wall.scrollTop -= 12;
}

function release() {
  if (!drag) return;
  const { link, day, bed, from, row } = drag;
  const isMoved = day !== from || bed !== row.dataset.row;
  const change = isMoved ? moved(link, day, bed) : null;
  drop();
  if (change) { link.focus({ preventScroll: true }); add(change); }
}

if (wall) {
  let press = null;
  let clickless = 0;
  wall.addEventListener('pointerdown', (event) => {
    const link = event.target.closest('a.planting');
    if (!link || event.button > 0) return;
    press = { link, x: event.clientX, y: event.clientY, touch: event.pointerType === 'touch', id: event.pointerId };
    if (press.touch) press.timer = setTimeout(() => { if (press) { begin(press.link, press.x, press.y); navigator.vibrate?.(20); } }, 380);
  });
  window.addEventListener('pointermove', (event) => {
    if (!press || event.pointerId !== press.id) return;
    const far = Math.hypot(event.clientX - press.x, event.clientY - press.y);
    if (!drag && !press.touch && far > 5) begin(press.link, press.x, press.y);
    if (!drag && press.touch && far > 10) { clearTimeout(press.timer); press = null; return; }
    if (drag) to(event.clientX, event.clientY, event.altKey);
  });
  wall.addEventListener('touchmove', (event) => { if (drag) event.preventDefault(); }, { passive: false });
  window.addEventListener('pointerup', (event) => {
    if (!press || event.pointerId !== press.id) return;
    clearTimeout(press.timer);
    press = null;
    if (drag) { clickless = Date.now(); release(); }
  });
  window.addEventListener('pointercancel', () => { if (press) clearTimeout(press.timer); press = null; drop(); });
  wall.addEventListener('dragstart', (event) => event.preventDefault());
  wall.addEventListener('contextmenu', (event) => { if (drag) event.preventDefault(); });
  // The click that ends a drag opens nothing.
  window.addEventListener('click', (event) => {
    if (Date.now() - clickless < 300 && event.target.closest?.('.wall')) { event.preventDefault(); event.stopPropagation(); }
  }, true);

  document.addEventListener('keydown', (event) => {
    if (event.key === 'Escape' && drag) { press = null; drop(); tell('Put back.'); event.stopImmediatePropagation(); return; }
    const link = event.target.closest?.('a.planting');
    if ((event.ctrlKey || event.metaKey) && event.key === 'z' && draft.length > 0 && !event.target.closest('input, textarea')) { event.preventDefault(); back(false); return; }
    if (!link || !wall.contains(link) || event.ctrlKey || event.metaKey) return;
    const { day, bed } = stateOf(link);
    const rows = [...wall.querySelectorAll('svg[data-row]')].map((r) => r.dataset.row);
    const changes = {
      ArrowRight: () => (day === null ? null : moved(link, stepped(day, 1, event.altKey), bed)),
      ArrowLeft: () => (day === null ? null : moved(link, stepped(day, -1, event.altKey), bed)),
      ArrowDown: () => rows[rows.indexOf(bed) + 1] && moved(link, day, rows[rows.indexOf(bed) + 1]),
      ArrowUp: () => rows[rows.indexOf(bed) - 1] && moved(link, day, rows[rows.indexOf(bed) - 1]),
    };
    const keys = {
      '+': () => ({ do: 'longer', planting: link.dataset.key }),
      '-': () => ({ do: 'shorter', planting: link.dataset.key }),
      Delete: () => ({ do: 'delete', planting: link.dataset.key }),
      d: () => (day === null ? null : { do: 'again', planting: link.dataset.key, when: iso(snapped(day + 7, false)), bed }),
    };
    const isArrow = event.key.startsWith('Arrow');
    if (isArrow && !event.shiftKey) return;
    if (event.key === 's' || event.key === 'S') {
      event.preventDefault();
      if (swap && swap !== link.dataset.key) { add({ do: 'swap', planting: swap, with: link.dataset.key }); swap = null; } else {
        swap = link.dataset.key;
        tell('Now press S on the crop it is to change places with.');
      }
      return;
    }
    const change = isArrow ? changes[event.key]() : keys[event.key === 'D' ? 'd' : event.key]?.();
    if (!isArrow && !keys[event.key === 'D' ? 'd' : event.key]) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    if (change) add(change);
    else tell('It stands already, or there is no bed that way; it stays where it is.');
  }, true);

  panel.addEventListener('click', (event) => {
    const button = event.target.closest('button');
    if (button?.matches('[data-draft-save]')) save(button);
    if (button?.matches('[data-draft-back]')) back(false);
    if (button?.matches('[data-draft-drop]')) back(true);
  });

  window.addEventListener('online', () => { if (draft.length > 0) tryOut(); });

  // What others change is seen within seconds: at once where nothing is open here, else it is said and tried out anew.
  const look = async () => {
    if (drag || isSaving || document.hidden) return;
    try {
      const now = await (await fetch(wall.dataset.version)).json();
      if (isSaving) return;
      if (version !== null && now.number !== version) {
        version = now.number;
        const page = new DOMParser().parseFromString(await (await fetch(window.location.href, { headers: { Accept: 'text/html', 'X-Quiet': '1' } })).text(), 'text/html');
        const at = [wall.scrollLeft, wall.scrollTop];
        const fresh = page.querySelector('.wall-grid');
        if (fresh && !drag) {
          wall.querySelector('.wall-grid').replaceWith(fresh);
          window.htmx?.process(fresh);
          [wall.scrollLeft, wall.scrollTop] = at;
          fresh.querySelectorAll('a.planting').forEach((a, i) => a.setAttribute('tabindex', i === 0 ? '0' : '-1'));
        }
        if (draft.length > 0) await tryOut();
        tell(`Changed meanwhile: ${now.words}`);
      }
      version = now.number;
    } catch { /* looked at again later */ }
  };
  look();
  setInterval(look, 4000);
  if (draft.length > 0) tryOut();
}

// Find: the rest fades.
document.querySelector('[data-wall-find]')?.addEventListener('input', (event) => {
  const words = event.target.value.trim().toLowerCase();
  const grid = document.querySelector('.wall-grid');
  grid?.classList.toggle('finding', words !== '');
  let found = 0;
  grid?.querySelectorAll('a.planting').forEach((link) => {
    const isIt = words !== '' && `${link.querySelector('title').textContent} ${link.getAttribute('class')}`.toLowerCase().includes(words);
    link.classList.toggle('found', isIt);
    found += isIt ? 1 : 0;
  });
  if (told) tell(words === '' ? '' : `${found} found`);
});
