// The strip that shows the whole document: a click goes there, a bracket shows what the galley shows.
import { $, all, galley, on, path } from "./page.js";
import { state } from "./selection.js";
import { topRow } from "./galley.js";

const HEIGHT = 1000;

// [[id of a block's first paragraph, where it begins], …]
function tops() {
  const told = ($("#spine")?.dataset.tops || "").split(",").filter(Boolean);
  return told.map((pair) => pair.split(":").map(Number));
}

function spineGo(fraction) {
  const y = fraction * HEIGHT;
  const list = tops();
  const after = list.findIndex(([, top]) => top > y);
  const index = Math.max((after < 0 ? list.length : after) - 1, 0);
  if (!galley()) return void (location.href = path(`galley?at=${list[index][0]}`));
  const next = list[index + 1]?.[1] ?? HEIGHT;
  const within = (y - list[index][1]) / Math.max(next - list[index][1], 1);
  const block = $(`#block-${index}`);
  galley().scrollTop = block.offsetTop - galley().offsetTop + block.offsetHeight * within;
}

// Where on the strip a height of the galley is.
function place(y, list) {
  for (const block of all(".block", galley())) {
    const top = block.offsetTop - galley().offsetTop;
    if (y >= top + block.offsetHeight) continue;
    const number = Number(block.dataset.block);
    const from = list[number]?.[1] ?? HEIGHT;
    const to = list[number + 1]?.[1] ?? HEIGHT;
    return from + (to - from) * Math.max((y - top) / block.offsetHeight, 0);
  }
  return HEIGHT;
}

export function bracket() {
  const spine = $("#spine");
  if (!spine || !galley()) return;
  const list = tops();
  const from = place(galley().scrollTop, list);
  const to = Math.max(place(galley().scrollTop + galley().clientHeight, list), from + 6);
  $(".sp-here", spine)?.setAttribute("d", `M6 ${from}H2V${to}H6`);
  const index = Math.max(state.order.indexOf(topRow()), 0) + 1;
  spine.setAttribute("aria-valuenow", index);
  spine.setAttribute("aria-valuetext", `paragraph ${index} of ${state.order.length}`);
}

on("click", (event) => {
  const spine = event.target.closest("#spine");
  if (!spine) return;
  const box = $("svg", spine).getBoundingClientRect();
  spineGo((event.clientY - box.top - 8) / (box.height - 16));
});

on("keydown", (event) => {
  if (!event.target.closest?.("#spine")) return;
  const now = Number($("#spine").getAttribute("aria-valuenow")) / Math.max(state.order.length, 1);
  const to = { ArrowDown: now + 0.02, ArrowUp: now - 0.02, Home: 0, End: 0.999 }[event.key];
  if (to === undefined) return;
  spineGo(to);
  event.preventDefault();
  event.stopImmediatePropagation();
});
