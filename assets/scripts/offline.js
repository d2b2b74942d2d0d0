// The field without reception: ticks wait on the device and are sent once there is reception, each exactly once.

// What waits, kept on the device until it is sent: one entry a doing, each with a token of its own.
const NAME = 'jolly-furrow';
const open = () => new Promise((resolve, reject) => {
  const asked = indexedDB.open(NAME, 1);
  asked.onupgradeneeded = () => asked.result.createObjectStore('waiting', { keyPath: 'token' });
  asked.onsuccess = () => resolve(asked.result);
  asked.onerror = () => reject(asked.error);
});
const run = async (mode, work) => {
  const database = await open();
  try {
    return await new Promise((resolve, reject) => {
      const transaction = database.transaction('waiting', mode);
      const asked = work(transaction.objectStore('waiting'));
      transaction.oncomplete = () => resolve(asked.result);
      transaction.onerror = () => reject(transaction.error);
      transaction.onabort = () => reject(transaction.error);
    });
  } finally { database.close(); }
};
const put = (entry) => run('readwrite', (store) => store.put(entry));
const drop = (token) => run('readwrite', (store) => store.delete(token));
const all = async () => (await run('readonly', (store) => store.getAll())).sort((a, b) => a.at - b.at);
const clear = () => new Promise((resolve) => {
  const asked = indexedDB.deleteDatabase(NAME);
  asked.onsuccess = asked.onerror = asked.onblocked = () => resolve();
});

const garden = location.pathname.match(/^\/g\/[^/]+/)?.[0];
const bar = document.querySelector('[data-waiting]');
const made = Number(document.documentElement.dataset.made || 0);
let sending = false;

const text = (tag, words, name) => { const node = document.createElement(tag); node.textContent = words; if (name) node.className = name; return node; };
const button = (words, work) => { const node = text('button', words, 'btn quiet chip'); node.type = 'button'; node.addEventListener('click', work); return node; };
const clock = (seconds) => new Date(seconds * 1000).toLocaleString([], { weekday: 'short', hour: '2-digit', minute: '2-digit' });

async function show() {
  if (!bar) return;
  const entries = await all().catch(() => []);
  const asked = entries.filter((entry) => entry.problem);
  const waiting = entries.length - asked.length;
  const words = [];
  if (made && Date.now() / 1000 - made > 300) words.push(`This page is as it was ${clock(made)}.`);
  if (waiting) words.push(`${navigator.onLine ? '' : 'No reception: '}${waiting} ${waiting === 1 ? 'note waits and is' : 'notes wait and are'} sent by ${waiting === 1 ? 'itself' : 'themselves'}.`);
  else if (!navigator.onLine) words.push('No reception. What you tick waits here.');
  bar.replaceChildren(text('span', words.join(' ')));
  for (const entry of asked) {
    const line = text('span', `${entry.label}: ${entry.problem} `, 'asked');
    line.append(button('Drop mine', async () => { await drop(entry.token); show(); }));
    if (entry.status === 409) line.append(button('Note mine too', async () => { await put({ ...entry, problem: '', again: true }); send(); }));
    else if (entry.status === 401) line.append(button('Try again', async () => { await put({ ...entry, problem: '' }); send(); }));
    bar.append(line);
  }
  bar.hidden = words.length === 0 && asked.length === 0;
  for (const form of document.querySelectorAll('form.job-form')) {
    const tasks = tasksOf(new FormData(form)).join();
    form.closest('.job, .card')?.classList.toggle('is-waiting', tasks !== '' && entries.some((entry) => tasksOf(entry.fields).join() === tasks));
  }
}
const tasksOf = (fields) => (fields instanceof FormData ? fields.getAll('t[]') : fields.filter(([name]) => name === 't[]').map(([, value]) => value));

/** Sends one entry. True: it need not wait any longer, or is asked about. */
async function sendOne(entry) {
  const place = entry.url.match(/^\/g\/[^/]+/)[0];
  const asked = await fetch(`${place}/offline?token`, { headers: { Accept: 'application/json' }, redirect: 'manual' });
  if (asked.type === 'opaqueredirect' || asked.status === 401 || asked.status === 403) { await put({ ...entry, problem: 'sign in to send it.', status: 401 }); return; }
  if (!asked.ok) throw new Error('no answer');
  const body = new URLSearchParams(entry.fields);
  body.set('token', entry.token);
  if (entry.again) body.set('again', '1');
  const answer = await fetch(entry.url, { method: 'POST', body, headers: { Accept: 'application/json', 'X-Token': (await asked.json()).token }, redirect: 'manual' });
  if (answer.ok) { await drop(entry.token); return; }
  if (answer.status >= 500) throw new Error('no answer');
  const said = await answer.json().catch(() => ({}));
  await put({ ...entry, problem: said.problem || 'it could not be kept.', status: answer.status });
}

async function send() {
  if (sending || !navigator.onLine) { show(); return; }
  sending = true;
  let sent = 0;
  try {
    // One page of one device sends at a time.
    await (navigator.locks ? navigator.locks.request('jolly-furrow-send', sendAll) : sendAll());
  } catch { /* no reception after all: it waits on */ } finally { sending = false; }
  await show();
  if (sent > 0 && garden && /\/week$/.test(location.pathname)) location.reload();

  async function sendAll() {
    for (const entry of await all()) if (!entry.problem) { await sendOne(entry); sent += 1; }
  }
}

async function keepForLater(form, fields) {
  const entry = { token: fields.get('token') || crypto.randomUUID(), url: new URL(form.action).pathname, at: Date.now(), label: form.dataset.job || 'A note',
    fields: [...fields].filter(([name]) => !['_token', 'token', 'back'].includes(name)) };
  try { await put(entry); } catch {
    window.alert('There is no room left on this device to keep it. Nothing was noted; send what waits first, or make room.');
    return false;
  }
  return true;
}

// A bar of reception is not an answer: the server is asked before anything is handed over to it.
const isReached = async () => {
  if (!navigator.onLine) return false;
  try { return (await fetch('/healthy', { cache: 'no-store', signal: AbortSignal.timeout(4000) })).ok; } catch { return false; }
};

document.addEventListener('submit', async (event) => {
  const form = event.target;
  // A scale is read where it stands: it does not wait.
  if (!form.matches('form.job-form') || event.defaultPrevented || event.submitter?.name === 'scale') return;
  if (form.dataset.reached) { delete form.dataset.reached; return; }
  event.preventDefault();
  // A second tap while the first is on its way is no second doing.
  if (form.dataset.asking) return;
  form.dataset.asking = 'yes';
  const fields = new FormData(form, event.submitter);
  if (await isReached()) {
    form.dataset.reached = 'yes';
    form.requestSubmit(event.submitter);
    return;
  }
  delete form.dataset.asking;
  if (await keepForLater(form, fields)) {
    await show();
    if (/\/(job\/|harvest$)/.test(location.pathname)) history.back();
  }
});

window.addEventListener('pageshow', () => { for (const form of document.querySelectorAll('form.job-form')) delete form.dataset.asking; });

// Signing out leaves nothing behind on the device; what still waits is asked about.
document.addEventListener('click', async (event) => {
  const link = event.target.closest('a[href*="/sign-out"]');
  if (!link) return;
  event.preventDefault();
  const entries = await all().catch(() => []);
  if (entries.length > 0 && !window.confirm(`${entries.length} ${entries.length === 1 ? 'note was' : 'notes were'} not sent yet. Sign out and drop ${entries.length === 1 ? 'it' : 'them'}?`)) return;
  await clear();
  if ('caches' in window) await caches.delete('pages');
  location.assign(link.href);
});
document.querySelector('[data-back]')?.addEventListener('click', () => history.back());

window.addEventListener('online', send);
window.addEventListener('offline', show);

// The pages of this week are fetched ahead, a little after this one.
async function keepPages() {
  if (!garden || !navigator.onLine || !('caches' in window) || !navigator.serviceWorker?.controller) return;
  const last = Number(sessionStorage.getItem('kept-at') || 0);
  if (Date.now() - last < 600_000) return;
  const asked = await fetch(`${garden}/offline`, { headers: { Accept: 'application/json' } });
  if (!asked.ok) return;
  sessionStorage.setItem('kept-at', String(Date.now()));
  for (const page of (await asked.json()).pages) await fetch(page, { headers: { 'X-Quiet': '1' } }).catch(() => {});
  document.documentElement.dataset.kept = 'yes';
}
if ('serviceWorker' in navigator && window.isSecureContext) {
  navigator.serviceWorker.register('/sw.js').then(() => navigator.serviceWorker.ready).then(() => setTimeout(() => keepPages().catch(() => {}), 1500)).catch(() => {});
  navigator.serviceWorker.addEventListener('controllerchange', () => keepPages().catch(() => {}));
}
if (!garden && 'caches' in window && location.pathname === '/sign-in') caches.delete('pages');
send();
