// The promises by keyboard, as in a spreadsheet: arrows, Enter and Tab move, ">" fills the row to the right, a pasted
// block lands at the cell, Ctrl+Z takes typing back. Without scripts it is a plain form.
const rows = [...document.querySelectorAll('.grid-promises tbody tr')].map((row) => [...row.querySelectorAll('[data-cell]')]).filter((row) => row.length > 0);
const message = document.querySelector('[data-message]');
const undoButton = document.querySelector('[data-undo]');
const fillButton = document.querySelector('[data-fill]');
const done = []; // batches of { cell, from }
let last = rows[0]?.[0];
let begun = '';

const at = (cell) => {
  const y = rows.findIndex((row) => row.includes(cell));
  return { y, x: rows[y]?.indexOf(cell) ?? -1 };
};

function say(text) {
  if (!message) return;
  message.textContent = text;
  message.hidden = text === '';
}

function mark(cell) {
  cell.classList.toggle('changed', cell.value !== cell.defaultValue);
}

function remember(batch) {
  if (batch.length === 0) return;
  done.push(batch);
  if (undoButton) undoButton.disabled = false;
}

/** Writes values into cells as one step that can be undone. */
function write(changes) {
  remember(changes.filter(({ cell, to }) => cell.value !== to).map(({ cell, to }) => {
    const from = cell.value;
    cell.value = to;
    mark(cell);
    cell.dispatchEvent(new Event('input', { bubbles: true }));
    return { cell, from };
  }));
  begun = document.activeElement?.value ?? '';
}

function settle(cell) {
  if (cell.value !== begun) remember([{ cell, from: begun }]);
  begun = cell.value;
  mark(cell);
}

function undo() {
  const batch = done.pop();
  if (!batch) return;
  batch.forEach(({ cell, from }) => {
    cell.value = from;
    mark(cell);
  });
  if (undoButton) undoButton.disabled = done.length === 0;
  batch[0].cell.focus();
  begun = batch[0].cell.value;
  say('');
}

function fillRight(cell) {
  const { x, y } = at(cell);
  settle(cell);
  write(rows[y].slice(x + 1).map((other) => ({ cell: other, to: cell.value })));
}

function go(cell) {
  if (!cell) return;
  cell.focus();
  cell.select();
  cell.scrollIntoView({ block: 'nearest', inline: 'nearest' });
}

function paste(cell, text) {
  const block = text.replace(/\r/g, '').replace(/\n+$/, '').split('\n').map((line) => line.split('\t').map((one) => one.trim()));
  const { x, y } = at(cell);
  const wide = Math.max(...block.map((line) => line.length));
  if (wide > rows[y].length - x || block.length > rows.length - y) {
    say(`The block is ${block.length} row${block.length === 1 ? '' : 's'} by ${wide} column${wide === 1 ? '' : 's'}; from this cell on there is room for ${rows.length - y} by ${rows[y].length - x}. Nothing is pasted.`);
    return;
  }
  say('');
  settle(cell);
  write(block.flatMap((line, j) => line.map((to, i) => ({ cell: rows[y + j][x + i], to }))));
}

const steps = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] };
const whole = (cell) => cell.selectionStart === 0 && cell.selectionEnd === cell.value.length;
const moves = (cell, key) => key === 'ArrowUp' || key === 'ArrowDown' || whole(cell)
  || (key === 'ArrowLeft' && cell.selectionStart === 0 && cell.selectionEnd === 0)
  || (key === 'ArrowRight' && cell.selectionStart === cell.value.length);

document.addEventListener('keydown', (event) => {
  const cell = event.target.closest?.('[data-cell]');
  if (!cell) return;
  const { x, y } = at(cell);
  if (event.key === 'Enter') {
    event.preventDefault();
    settle(cell);
    go(rows[y + (event.shiftKey ? -1 : 1)]?.[x]);
  } else if (event.key === '>') {
    event.preventDefault();
    fillRight(cell);
  } else if (event.key.toLowerCase() === 'z' && (event.ctrlKey || event.metaKey) && cell.value === begun) {
    event.preventDefault();
    undo();
  } else if (event.key in steps && !event.shiftKey && !event.ctrlKey && !event.altKey && moves(cell, event.key)) {
    event.preventDefault();
    const [down, right] = steps[event.key];
    settle(cell);
    go(rows[y + down]?.[x + right]);
  }
});

document.addEventListener('focusin', (event) => {
  const cell = event.target.closest?.('[data-cell]');
  if (!cell) return;
  last = cell;
  begun = cell.value;
  cell.select();
});
document.addEventListener('focusout', (event) => {
  const cell = event.target.closest?.('[data-cell]');
  if (cell) settle(cell);
});
document.addEventListener('paste', (event) => {
  const cell = event.target.closest?.('[data-cell]');
  const text = event.clipboardData?.getData('text') ?? '';
  if (!cell || !/[\t\n]/.test(text.trim())) return;
  event.preventDefault();
  paste(cell, text);
});
undoButton?.addEventListener('click', undo);
fillButton?.addEventListener('click', () => last && fillRight(last));
[undoButton, fillButton].forEach((button) => button?.removeAttribute('hidden'));
