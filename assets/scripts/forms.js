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

// What is wrong is gone to at once: its field has the focus, and with it its message is read out.
const goToFault = () => {
  const first = document.querySelector('main [aria-invalid="true"], main fieldset:has(> .fault) input');
  if (!first) return;
  for (let at = first.closest('details'); at; at = at.parentElement.closest('details')) at.open = true;
  first.focus();
};
goToFault();
document.addEventListener('htmx:afterSettle', (event) => { if (event.target.querySelector?.('[aria-invalid="true"]')) goToFault(); });
