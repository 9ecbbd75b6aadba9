// Every key that does something outside of fields.
import { $, galley, on, path, post, spans } from "./page.js";
import { BESIDE, here, select, state, toggle } from "./selection.js";
import { go } from "./galley.js";
import { say } from "./answers.js";

const STATIONS = { s: "survey", y: "styles", a: "galley", f: "findings", h: "handover", l: "ledger" };

function step(by) {
  const from = state.order.indexOf(here());
  const next = state.order[Math.min(Math.max(from + by, 0), state.order.length - 1)];
  if (next === undefined) return;
  state.anchor = next;
  go(next);
  select([next]);
}

export function putInRole(role) {
  if (state.selected.size) post("edits/style", { ids: spans(state.selected), role });
  else say("Nothing is selected: click a paragraph first.");
}

export async function like(by, id) {
  const answer = await fetch(path(`galley/like?by=${by}&paragraph=${id}`));
  select(await answer.json());
}

const alike = (by) => here() && like(by, here());

function selectHere() {
  state.at = state.at ?? state.order[0];
  toggle(state.at);
}

const KEYS = {
  j: () => step(1), k: () => step(-1), ArrowDown: () => step(1), ArrowUp: () => step(-1), x: selectHere,
  0: () => putInRole("body"),
  ...Object.fromEntries([1, 2, 3, 4, 5, 6].map((level) => [level, () => putInRole(`heading_${level}`)])),
  A: () => alike("look"), S: () => alike("style"), R: () => alike("role"), N: () => alike("section"),
  E: () => select(state.order.filter((id) => id < BESIDE)),
  Delete: () => $("#delete-form button")?.click(), "/": () => $("#q")?.focus(), "?": () => $("#keys")?.showModal(),
};

// A letter puts what is selected in a style.
function letterAction(key) {
  const action = JSON.parse(galley().dataset.letters || "{}")[key];
  if (action && state.selected.size) post("edits/style", { ids: spans(state.selected), ...action });
}

let going = false; // after g, the next letter names a station

function goOn(key) {
  going = false;
  if (STATIONS[key]) location.href = path(STATIONS[key]);
}

on("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || !document.body.dataset.manuscript) return;
  if (event.target.closest("input:not([type=checkbox]), select, textarea")) return;
  if (going) return goOn(event.key);
  if (event.key === "g") return (going = true), setTimeout(() => (going = false), 1500);
  if (event.key === "u") return $("#take-back-button")?.click();
  const named = $(`a[data-key="${CSS.escape(event.key)}"]`);
  if (named) return named.click();
  if (!galley() || (event.key.startsWith("Arrow") && !event.target.closest("#galley"))) return;
  if (!KEYS[event.key]) return letterAction(event.key);
  KEYS[event.key]();
  event.preventDefault();
});
