// A choice in a filter takes effect at once; without scripts its button does the same.
document.addEventListener('change', (event) => {
  if (event.target.matches('[data-submit-on-change]')) event.target.form.requestSubmit();
});

// Typing that was not kept is not lost by accident.
let typed = false;
document.addEventListener('input', (event) => {
  if (event.target.closest('form[data-guard]')) typed = true;
});
document.addEventListener('submit', () => { typed = false; });
window.addEventListener('beforeunload', (event) => {
  if (typed) event.preventDefault();
});

// A garden begins in the time zone it is begun in.
for (const field of document.querySelectorAll('[data-time-zone]')) field.value = Intl.DateTimeFormat().resolvedOptions().timeZone ?? '';

// A menu closes when one looks elsewhere, or with Escape; a slash goes to the find box.
document.addEventListener('click', (event) => {
  for (const menu of document.querySelectorAll('[data-menu][open]')) if (!menu.contains(event.target)) menu.open = false;
});
document.addEventListener('keydown', (event) => {
  if (event.key === 'Escape') for (const menu of document.querySelectorAll('[data-menu][open]')) { menu.open = false; menu.querySelector('summary').focus(); }
  if (event.key === '/' && !event.target.closest('input, textarea, select, [contenteditable]')) {
    const find = document.querySelector('[data-find]');
    if (find) { event.preventDefault(); find.focus(); find.select(); }
  }
});
