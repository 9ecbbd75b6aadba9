// Which paragraphs are selected, and at which one the keys are.
import { $, all, galley, ids, path, spans } from "./page.js";

export const state = {
  selected: new Set(),
  anchor: null, // where a range begins
  at: null, // where the keys are
  order: [], // ids of all paragraphs, in reading order
};

// Paragraphs of notes, heads and feet have ids from here on: everything means the text.
export const BESIDE = 1_000_000;

export const row = (id) => id && document.getElementById(`row-${id}`);
export const here = () => state.at ?? [...state.selected][0];

export function readOrder() {
  state.order = ids(galley()?.dataset.order);
}

export function show() {
  for (const box of all("input[type=checkbox]", galley())) box.checked = state.selected.has(Number(box.value));
  for (const other of all(".row.at", galley())) other.classList.remove("at");
  row(state.at)?.classList.add("at");
  const words = $("#selected");
  if (words) words.textContent = `· ${state.selected.size || "none"} selected`;
}

let waiting;
export function showBench() {
  const ask = () => {
    const values = { ids: spans(state.selected) };
    htmx.ajax("POST", path("galley/bench"), { target: "#bench", swap: "innerHTML", values });
  };
  clearTimeout(waiting);
  waiting = setTimeout(ask, 70);
}

export function select(chosen) {
  state.selected.clear();
  chosen.forEach((id) => state.selected.add(id));
  show();
  showBench();
}

export function toggle(id) {
  if (state.selected.has(id)) state.selected.delete(id);
  else state.selected.add(id);
  show();
  showBench();
}

// Everything between two paragraphs, both included.
export function selectRange(one, other) {
  const [a, b] = [state.order.indexOf(one), state.order.indexOf(other)].sort((x, y) => x - y);
  select(state.order.slice(a, b + 1));
}
