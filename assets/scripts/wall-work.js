// Work on the wall: drag with mouse or finger, or the keyboard; changes gather in a draft that is tried out by the server and
// saved as one. The draft is kept by the browser until it is saved or put back, so a lost network or a reload loses nothing.
const wall = document.querySelector('[data-wall]');
const token = wall && JSON.parse(document.body.getAttribute('hx-headers') ?? '{}')['X-Token'];
const key = wall && `draft ${wall.dataset.garden}`;
const DAY = 86_400_000;
const written = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });
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
  from: wall.dataset.from, season: wall.dataset.season, colour: wall.dataset.colour, product: wall.dataset.product, ...more });

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
async function paint(what, day) {
  painting += 1;
  const mine = painting;
  const ask = new URLSearchParams({ ...what, ...(day === null ? {} : { when: iso(day) }) });
  try {
    const answer = await fetch(`${wall.dataset.places}?${ask}`);
    if (!answer.ok || mine !== painting || !drag) return;
    const got = await answer.json();
    if (mine !== painting || !drag) return;
    // Drawn on a layer of its own over the rows: these are not drawn anew for it.
    drag.places = got.beds;
    drag.veil ??= wall.querySelector('.wall-grid').appendChild(Object.assign(document.createElement('div'), { className: 'wall-veil' }));
    drag.veil.replaceChildren(...drag.ground.rows.filter((row) => got.beds[row.bed]).map((row) => {
      const mark = document.createElement('div');
      mark.className = got.beds[row.bed][0];
      mark.dataset.bed = row.bed;
      Object.assign(mark.style, { top: `${row.top}px`, left: `${row.left}px`, width: `${row.svg.getAttribute('width')}px` });
      return mark;
    }));
    drag.refused = got.why;
    say();
  } catch { /* without an answer nothing is painted; the release asks anyway */ }
}

const repaint = () => drag && paint(drag.what, drag.day);

function unpaint() {
  painting += 1;
  wall.querySelectorAll('.wall-veil').forEach((veil) => veil.remove());
}

function say() {
  if (!drag?.tip) return;
  const [state, why] = drag.places?.[drag.bed] ?? ['', ''];
  const may = drag.refused ? `not possible: ${drag.refused}` : { may: 'may stand there', bends: `! ${why}`, not: `✕ ${why}` }[state] ?? '';
  const day = drag.day === null ? '' : `${written.format(drag.day * DAY)}, `;
  drag.tip.textContent = drag.bed === null ? 'onto a bed' : `${day}bed ${drag.bed}${may ? `: ${may}` : ''}`;
}

const drawn = (name, values) => {
  const element = document.createElementNS('http://www.w3.org/2000/svg', name);
  Object.entries(values).forEach(([key, value]) => element.setAttribute(key, String(value)));
  return element;
};

/** What is held, above everything, and the words at the pointer. */
function held(width, ...marks) {
  const layer = drawn('svg', { class: 'wall-ghost', width, height: 39 });
  layer.append(...marks);
  const tip = document.createElement('div');
  tip.className = 'wall-tip';
  wall.querySelector('.wall-grid').append(layer, tip);
  document.body.classList.add('dragging');
  return { layer, tip, ground: surveyed() };
}

function begin(link, x, y) {
  const row = link.closest('[data-row]');
  const state = stateOf(link);
  drag = { ...held(row.getAttribute('width'), link.cloneNode(true)), what: { planting: link.dataset.key }, link, row, x, y, from: state.day,
    day: state.day, bed: row.dataset.row, left: wall.scrollLeft, top: wall.scrollTop, refused: '' };
  const { layer } = drag;
  const place = placeOf(row);
  layer.style.left = `${place.left}px`;
  layer.style.top = `${place.top}px`;
  drag.at = place.top;
  link.classList.add('lifted');
  repaint();
}

/** A crop taken from the shelf: it gets its day and bed where it is held. */
function beginShelf(crop, x, y) {
  const width = (Number(crop.dataset.days) * Number(wall.dataset.week)) / 7;
  const name = drawn('text', { class: 'name', x: 3, y: 33 });
  name.textContent = crop.dataset.name;
  drag = { ...held(width, drawn('path', { class: 'shelf-ghost', d: `M0 35L${width} 12V35Z` }), name), what: { item: crop.dataset.shelf }, shelf: crop, x, y,
    from: null, day: null, bed: null, left: wall.scrollLeft, top: wall.scrollTop, refused: '' };
  crop.classList.add('lifted');
}

function drop() {
  if (!drag) return;
  drag.layer.remove();
  drag.tip.remove();
  (drag.link ?? drag.shelf).classList.remove('lifted');
  document.body.classList.remove('dragging');
  drag = null;
  unpaint();
}

/** The bed under a place on the screen, by the rows as they lay when it was taken up; nothing is looked for in the drawing. */
function bedAt(x, y) {
  const { box, grid, rows, head, foot } = drag.ground;
  if (x < box.left || x > box.right || y < box.top + head || y > box.bottom - foot) return null;
  const at = y - grid.top + wall.scrollTop - drag.ground.top;
  return rows.find((row) => at >= row.top && at < row.bottom) ?? null;
}

/** Where everything lies, read once. */
function surveyed() {
  const grid = wall.querySelector('.wall-grid').getBoundingClientRect();
  const rows = [...wall.querySelectorAll('svg[data-row]')].map((svg) => {
    const row = svg.getBoundingClientRect();
    return { bed: svg.dataset.row, svg, top: row.top - grid.top, bottom: row.bottom - grid.top, left: row.left - grid.left };
  });
  return { box: wall.getBoundingClientRect(), grid, rows, top: wall.scrollTop, left: wall.scrollLeft, head: wall.querySelector('.wall-head').offsetHeight,
    foot: wall.querySelector('.wall-foot')?.offsetHeight ?? 0 };
}

let frame = 0;
function to(x, y, free) {
  if (!drag) return;
  Object.assign(drag, { atX: x, atY: y, free });
  if (frame === 0) frame = requestAnimationFrame(() => { frame = 0; if (drag) follow(); });
}

/** Once a frame: where it is held now, what is drawn there, and the words for it. */
function follow() {
  const { atX: x, atY: y, ground } = drag;
  const width = Number(wall.dataset.week);
  const scrolled = [wall.scrollLeft - ground.left, wall.scrollTop - ground.top];
  const under = bedAt(x, y);
  const was = `${drag.day} ${drag.bed}`;
  const dayWas = drag.day;
  if (drag.shelf) {
    drag.bed = under?.bed ?? null;
    drag.day = under ? snapped(Number(wall.dataset.first) + Math.round(((x - ground.grid.left - under.left + scrolled[0]) * 7) / width), drag.free) : null;
    drag.layer.style.visibility = under ? 'visible' : 'hidden';
    if (under) drag.layer.style.transform = `translate(${under.left + ((drag.day - Number(wall.dataset.first)) * width) / 7}px, ${under.top}px)`;
    drag.tip.style.transform = `translate(${x - ground.grid.left + scrolled[0] + 14}px, ${y - ground.grid.top + scrolled[1] - 34}px)`;
  } else {
    const days = drag.from === null ? 0 : Math.round(((x - drag.x + wall.scrollLeft - drag.left) * 7) / width);
    drag.day = drag.from === null ? null : snapped(drag.from + days, drag.free);
    drag.bed = under?.bed ?? drag.bed;
    const row = ground.rows.find((one) => one.bed === drag.bed);
    const shift = drag.from === null ? 0 : ((drag.day - drag.from) * width) / 7;
    drag.layer.style.transform = `translate(${shift}px, ${(row?.top ?? drag.at) - drag.at}px)`;
    drag.tip.style.transform = `translate(${x - ground.grid.left + scrolled[0] + 14}px, ${(row?.top ?? 0) - 26}px)`;
  }
  if (was !== `${drag.day} ${drag.bed}`) say();
  if (dayWas !== drag.day && drag.day !== null) { clearTimeout(drag.soon); drag.soon = setTimeout(repaint, 120); }
  const isOverWall = x >= ground.box.left && x <= ground.box.right;
  if (isOverWall && y > ground.box.bottom - 30 && y < ground.box.bottom + 40) wall.scrollTop += 12;
  if (isOverWall && y < ground.box.top + 80 && y > ground.box.top - 40) wall.scrollTop -= 12;
}

function release() {
  if (!drag) return;
  cancelAnimationFrame(frame);
  frame = 0;
  if (drag.atX !== undefined) follow();
  if (drag.shelf) {
    const { what, day, bed } = drag;
    drop();
    if (bed !== null && day !== null) add({ do: 'add', ...what, when: iso(day), bed });
    return;
  }
  const { link, day, bed, from, row } = drag;
  const isMoved = day !== from || bed !== row.dataset.row;
  const change = isMoved ? moved(link, day, bed) : null;
  drop();
  if (change) { link.focus({ preventScroll: true }); add(change); }
}

if (wall) {
  let press = null;
  // While something is held no other thing is looked for under the pointer.
  const takeUp = ({ crop, link, x, y, id, touch }) => {
    if (crop) beginShelf(crop, x, y);
    else begin(link, x, y);
    if (!touch) try { wall.setPointerCapture(id); } catch { /* the pointer is gone already */ }
  };
  window.addEventListener('scroll', (event) => { if (drag && event.target !== wall) drag.ground = surveyed(); }, true);
  let clickless = 0;
  wall.addEventListener('pointerdown', (event) => {
    const link = event.target.closest('a.planting');
    if (!link || event.button > 0) return;
    press = { link, x: event.clientX, y: event.clientY, touch: event.pointerType === 'touch', id: event.pointerId };
    if (press.touch) press.timer = setTimeout(() => { if (press) { takeUp(press); navigator.vibrate?.(20); } }, 380);
  });
  document.addEventListener('pointerdown', (event) => {
    const crop = event.target.closest?.('[data-shelf]');
    if (!crop || event.button > 0 || event.target.closest('form')) return;
    press = { crop, x: event.clientX, y: event.clientY, touch: event.pointerType === 'touch', id: event.pointerId };
    if (press.touch) press.timer = setTimeout(() => { if (press) { takeUp(press); navigator.vibrate?.(20); } }, 380);
  });
  window.addEventListener('pointermove', (event) => {
    if (!press || event.pointerId !== press.id) return;
    const far = Math.hypot(event.clientX - press.x, event.clientY - press.y);
    if (!drag && !press.touch && far > 5) takeUp(press);
    if (!drag && press.touch && far > 10) { clearTimeout(press.timer); press = null; return; }
    if (drag) to(event.clientX, event.clientY, event.altKey);
  });
  document.addEventListener('touchmove', (event) => { if (drag) event.preventDefault(); }, { passive: false });
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
    if (Date.now() - clickless < 300 && event.target.closest?.('.wall, [data-shelf]')) { event.preventDefault(); event.stopPropagation(); }
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

  // Beside the wall: ways out and forms go into the draft instead of being saved at once.
  const beside = document.getElementById('panel');
  beside.addEventListener('submit', (event) => {
    const form = event.target;
    const typed = Object.fromEntries([...new FormData(form)].filter(([name, value]) => typeof value === 'string' && value !== '' && !['_token', 'try', 'seen', 'crop', 'do'].includes(name)));
    const ways = event.submitter?.dataset.draftAdd;
    let changes = [];
    if (ways) changes = JSON.parse(ways);
    else if (form.matches('[data-shelf-form]')) changes = [{ do: 'add', item: form.elements.crop.value, ...typed }];
    else if (form.matches('[data-change-of]')) changes = [{ do: form.elements.do.value, planting: form.dataset.changeOf, ...typed }];
    if (changes.length === 0) return;
    event.preventDefault();
    changes.forEach(add);
    panel.scrollIntoView({ block: 'nearest' });
  });
  // Links of the panel that change a planting open in the panel.
  beside.addEventListener('click', (event) => {
    const link = event.target.closest('a[data-in-panel]');
    if (!link || event.ctrlKey || event.metaKey || !window.htmx) return;
    event.preventDefault();
    window.htmx.ajax('GET', link.getAttribute('href'), { target: '#panel', source: link });
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
