// The text in its column: where it stands, and blocks that load as they come near.
import { $, all, galley, path } from "./page.js";
import { readOrder, row, show, state } from "./selection.js";

// Only the galley scrolls, never the page around it.
export function scrollTo(there, block) {
  there.closest("details.blanks")?.setAttribute("open", "");
  const box = galley().getBoundingClientRect();
  const its = there.getBoundingClientRect();
  if (block === "nearest" && its.top >= box.top + 60 && its.bottom <= box.bottom - 60) return;
  galley().scrollTop += its.top - box.top - (block === "start" ? 8 : Math.min(140, box.height / 3));
}

export function go(id, block = "nearest") {
  state.at = id;
  const there = row(id);
  if (there) scrollTo(there, block);
  else redraw(id);
}

// The galley drawn anew around a paragraph; it stays where it was on the screen.
export async function redraw(id) {
  const was = row(id)?.getBoundingClientRect().top;
  await htmx.ajax("GET", path(`galley/text?at=${id || 0}`), { target: "#galley", swap: "outerHTML" });
  readOrder();
  watch();
  for (const gone of [...state.selected].filter((other) => !state.order.includes(other))) state.selected.delete(gone);
  show();
  const there = row(id);
  if (there && was !== undefined) galley().scrollTop += there.getBoundingClientRect().top - was;
  else if (there) scrollTo(there, "center");
}

export function topRow() {
  const edge = galley().getBoundingClientRect();
  const at = (down) => document.elementFromPoint(edge.left + 200, edge.top + down)?.closest(".row");
  const top = [40, 70, 100, 140].map(at).find(Boolean);
  return top ? Number(top.dataset.id) : (state.at ?? state.order[0]);
}

let watcher;
export function watch() {
  watcher?.disconnect();
  if (!galley()) return;
  const near = (seen) => {
    for (const entry of seen) if (entry.isIntersecting) htmx.trigger(entry.target, "near");
  };
  watcher = new IntersectionObserver(near, { root: galley(), rootMargin: "1200px 0px" });
  all(".block.waiting", galley()).forEach((block) => watcher.observe(block));
}

// Pasted HTML keeps its structure.
$("#paste-text")?.addEventListener("paste", (event) => {
  const html = event.clipboardData.getData("text/html");
  if (html) $("#paste-html").value = html;
});
