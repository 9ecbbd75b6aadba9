// What the mouse does in the galley: rows are selected by clicks and by dragging, words by selecting them.
import { $, galley, on } from "./page.js";
import { BESIDE, select, selectRange, state, toggle } from "./selection.js";
import { like, putInRole } from "./keys.js";

let dragFrom = null;
let dragged = false;

function marks(button) {
  const hidden = galley().classList.toggle("unmarked");
  button.setAttribute("aria-pressed", String(!hidden));
}

// A thin band of a colour for each style, so that a wrong one is seen at a glance.
function bands(button) {
  const shown = galley().classList.toggle("banded");
  button.setAttribute("aria-pressed", String(shown));
}

const BUTTONS = {
  "[data-like]": (button) => like(button.dataset.like, button.dataset.paragraph),
  "[data-role]": (button) => putInRole(button.dataset.role),
  "#everything": () => select(state.order.filter((id) => id < BESIDE)),
  "#keys-button": () => $("#keys").showModal(),
  "#select-group": (button) => select(button.dataset.ids.split(",").map(Number)),
  "#marks": marks,
  "[data-fills]": (button) => {
    const field = document.getElementById(button.dataset.fills);
    field.value = button.dataset.colour;
    field.dispatchEvent(new Event("input", { bubbles: true }));
    field.dispatchEvent(new Event("change", { bubbles: true }));
  },
  "#bands": bands,
};

function chooseRow(event, id) {
  state.at = id;
  if (event.shiftKey && state.anchor !== null) {
    getSelection()?.removeAllRanges();
    return selectRange(state.anchor, id);
  }
  state.anchor = id;
  if (event.target.matches("input") || event.ctrlKey || event.metaKey) toggle(id);
  else select([id]);
}

on("click", (event) => {
  for (const [selector, does] of Object.entries(BUTTONS)) {
    const button = event.target.closest(selector);
    if (button) return does(button);
  }
  const clicked = event.target.closest("#galley .row");
  if (clicked && !event.target.closest("a, button")) chooseRow(event, Number(clicked.dataset.id));
});

// A range by dragging over rows.
on("mousedown", (event) => {
  const from = event.target.closest("#galley .row");
  const free = event.button === 0 && !event.shiftKey && event.target.closest(".gcell, .scell");
  dragFrom = from && free ? Number(from.dataset.id) : null;
  if (dragFrom !== null && !event.target.matches("input")) event.preventDefault();
});

on("mouseover", (event) => {
  const over = dragFrom !== null && event.buttons === 1 && event.target.closest("#galley .row");
  if (!over || Number(over.dataset.id) === dragFrom) return;
  state.anchor = dragFrom;
  dragged = true;
  selectRange(dragFrom, Number(over.dataset.id));
});

on("mouseup", () => {
  dragFrom = null;
  setTimeout(() => (dragged = false));
});

on("click", (event) => {
  if (!dragged) return;
  dragged = false;
  event.stopPropagation();
}, true);

// Words selected in a paragraph go into the field for character styles, with which time they stand there. The bench may
// come after they were selected.
let words = null;

function chosenWords() {
  const chosen = getSelection();
  const text = chosen.toString().trim();
  const cell = chosen.anchorNode?.parentElement?.closest("#galley .tcell p");
  if (!cell || !text || !cell.contains(chosen.focusNode)) return;
  const range = document.createRange();
  range.setStart(cell, 0);
  range.setEnd(chosen.getRangeAt(0).startContainer, chosen.getRangeAt(0).startOffset);
  const nth = range.toString().split(text).length - 1;
  words = { id: Number(cell.closest(".row").dataset.id), text, nth };
}

function fillWords() {
  const form = $("#words-form");
  if (!form || !words || words.id !== Number(form.elements.ids.value)) return;
  if (form.elements.words.value === words.text && form.elements.nth.value === String(words.nth)) return;
  form.elements.words.value = words.text;
  form.elements.nth.value = words.nth;
  $("#letters-fold").open = true;
}

on("selectionchange", () => {
  if (document.activeElement?.closest("#bench")) return; // a field of the bench, not the text
  chosenWords();
  fillWords();
});
on("htmx:afterSettle", fillWords);

// The button says which style the list puts paragraphs in.
on("change", (event) => {
  const list = event.target.closest("#style");
  if (list) $("#put-button").textContent = `Put in ${list.selectedOptions[0].textContent}`;
  if (event.target.id === "adopting") {
    const link = $("#see-adopt");
    link.href = link.href.replace(/style=[^&]*/, `style=${encodeURIComponent(event.target.value)}`);
  }
  const looks = event.target.closest("[data-sets]");
  if (!looks?.value) return;
  const name = looks.dataset.sets;
  for (const radio of document.querySelectorAll(`input[name^="${name}"]`)) radio.checked = radio.value === looks.value;
});

// Of two fields that name the style the one used last counts, and the button says which.
function namePut(event) {
  const form = event.target.closest("form.putlook");
  if (!form || !["style", "name"].includes(event.target.name)) return;
  const typed = event.target.name === "name" && event.target.value.trim();
  form.elements.by.value = typed ? "name" : "style";
  const name = typed || form.elements.style.selectedOptions[0].textContent.trim();
  form.querySelector(".btn.primary").textContent = `Put ${form.dataset.count} in ${name}`;
}
on("input", namePut);
on("change", namePut);
