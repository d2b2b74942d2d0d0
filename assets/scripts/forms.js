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
