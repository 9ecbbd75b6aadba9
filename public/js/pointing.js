// What the mouse does in the galley: rows are selected by clicks and by dragging, words by selecting them.
import { $, galley, on } from "./page.js";
import { select, selectRange, state, toggle } from "./selection.js";
import { like, putInRole } from "./keys.js";

let dragFrom = null;
let dragged = false;

function marks(button) {
  const hidden = galley().classList.toggle("unmarked");
  button.setAttribute("aria-pressed", String(!hidden));
}

const BUTTONS = {
  "[data-like]": (button) => like(button.dataset.like, button.dataset.paragraph),
  "[data-role]": (button) => putInRole(button.dataset.role),
  "#everything": () => select(state.order),
  "#keys-button": () => $("#keys").showModal(),
  "#select-group": (button) => select(button.dataset.ids.split(",").map(Number)),
  "#marks": marks,
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

// Words selected in a paragraph go into the field for character styles, with which time they stand there.
on("selectionchange", () => {
  const chosen = getSelection();
  const text = chosen.toString().trim();
  const cell = chosen.anchorNode?.parentElement?.closest("#galley .tcell p");
  const form = $("#words-form");
  if (!form || !cell || !text || !cell.contains(chosen.focusNode)) return;
  if (Number(cell.closest(".row").dataset.id) !== Number(form.elements.ids.value)) return;
  const range = document.createRange();
  range.setStart(cell, 0);
  range.setEnd(chosen.getRangeAt(0).startContainer, chosen.getRangeAt(0).startOffset);
  form.elements.words.value = text;
  form.elements.nth.value = range.toString().split(text).length - 1;
});

// A double click opens the words of a paragraph for typing.
on("dblclick", (event) => {
  if (!event.target.closest("#galley .tcell")) return;
  const open = () => {
    const words = $("#change-words");
    if (!words) return;
    words.open = true;
    $("#words-text")?.focus();
  };
  setTimeout(open, 350);
});
