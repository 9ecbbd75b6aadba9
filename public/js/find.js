// Finding text in the galley: what is found is selected and marked in its words; from hit to hit by key.
import { $, all, galley, on, path } from "./page.js";
import { row, select, state } from "./selection.js";
import { go } from "./galley.js";

let sought = null; // a RegExp
let hits = []; // ids of the paragraphs, one for every hit
let at = -1;

const pattern = (text) => /^\/.+\/$/.test(text)
  ? new RegExp(text.slice(1, -1), "g")
  : new RegExp(text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&"), "gi");

// The letters of a row as one text, with the nodes that hold them.
function* ranges(line) {
  const walker = document.createTreeWalker(line, NodeFilter.SHOW_TEXT);
  const nodes = [];
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    if (!node.parentElement.closest(".marker")) nodes.push(node);
  }
  const text = nodes.map((node) => node.data).join("");
  for (const match of text.matchAll(sought)) {
    if (!match[0]) continue;
    const range = document.createRange();
    let from = 0;
    for (const node of nodes) {
      const [first, last] = [match.index - from, match.index + match[0].length - from];
      if (first >= 0 && first < node.length) range.setStart(node, first);
      if (last > 0 && last <= node.length) range.setEnd(node, last);
      from += node.length;
    }
    yield range;
  }
}

// Marks every hit among the rows that are there, the one that the keys are at apart.
export function markHits() {
  if (!CSS.highlights) return;
  CSS.highlights.delete("hit");
  CSS.highlights.delete("hit-here");
  if (!sought || !galley()) return;
  const found = all(".row .tcell p:last-child", galley()).flatMap((line) => [...ranges(line)]);
  CSS.highlights.set("hit", new Highlight(...found));
  const place = hits.slice(0, at).filter((id) => id === hits[at]).length;
  const here = row(hits[at])?.querySelector(".tcell p:last-child");
  const range = here && [...ranges(here)][place];
  if (range) CSS.highlights.set("hit-here", new Highlight(range));
}

function step(by) {
  if (!hits.length) return;
  at = (at + by + hits.length) % hits.length;
  $("#hit-place").textContent = `${at + 1} of ${hits.length}`;
  state.at = hits[at];
  go(hits[at], "center");
  markHits();
}

function forget() {
  sought = null;
  hits = [];
  $("#hit-place").textContent = "";
}

$("#find")?.addEventListener("submit", async (event) => {
  event.preventDefault();
  const text = $("#q").value;
  forget();
  const answer = await fetch(path(`galley/find?q=${encodeURIComponent(text)}`), { headers: { "HX-Request": "true" } });
  $("#said").innerHTML = answer.ok ? "" : await answer.text();
  if (!answer.ok) return;
  const found = await answer.json();
  try {
    sought = pattern(text);
  } catch {
    sought = null; // a pattern that only the server can read
  }
  hits = found.places;
  at = -1;
  for (const part of ["#hit-steps", "#hit-words"]) $(part).hidden = !hits.length;
  $("#hit-q").value = text;
  $("#replace-hits").search = new URLSearchParams({ q: text });
  $("#set-hits").textContent = `Set ${hits.length} in it`;
  select(found.ids);
  if (hits.length) step(1);
  else $("#selected").textContent = "· nothing found";
  markHits();
  $("#q").blur();
});

on("click", (event) => {
  const button = event.target.closest("[data-hit]");
  if (button) step(Number(button.dataset.hit));
});

on("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || !galley()) return;
  if (event.target.closest("input:not([type=checkbox]), select, textarea")) return;
  if (event.key === ".") step(1);
  if (event.key === ",") step(-1);
});

on("htmx:afterSettle", markHits);
