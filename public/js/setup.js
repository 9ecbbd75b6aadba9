// One sheet at size: its edges are dragged, or moved by arrow keys; the field beside says how far.
import { $, on } from "./page.js";
import { inPoints, spoken } from "./lengths.js";

const STEP = 72 / 25.4 / 2; // half a millimetre
const LEAST = 0;
const fieldOf = (edge) => document.getElementById(`s-${edge.dataset.edge}`);
const upright = (edge) => edge.dataset.upright === "true";

// Puts an edge where its value says, in points.
function put(edge, points) {
  const field = fieldOf(edge);
  const rounded = Math.max(Math.round(points / STEP) * STEP, LEAST);
  const moved = (rounded - edge.start) * Number(edge.dataset.way);
  field.value = spoken(rounded, field.value);
  edge.setAttribute("transform", upright(edge) ? `translate(${moved} 0)` : `translate(0 ${moved})`);
  edge.setAttribute("aria-valuetext", field.value);
  edge.setAttribute("aria-valuenow", parseFloat(field.value));
}

// What its value was when the page was drawn.
function begin(edge) {
  edge.start ??= inPoints(fieldOf(edge).defaultValue);
  return inPoints(fieldOf(edge).value);
}

const told = () => htmx.trigger($("#f-setup"), "dragged");

let dragging = null;
on("pointerdown", (event) => {
  const edge = event.target.closest?.("[data-edge]");
  if (!edge) return;
  const scale = edge.ownerSVGElement.getScreenCTM().a;
  dragging = { edge, from: begin(edge), x: event.clientX, y: event.clientY, scale };
  edge.focus();
  event.preventDefault();
});

on("pointermove", (event) => {
  if (!dragging) return;
  const { edge, from, x, y, scale } = dragging;
  const moved = upright(edge) ? event.clientX - x : event.clientY - y;
  put(edge, from + (moved / scale) * Number(edge.dataset.way));
});

on("pointerup", () => {
  if (dragging) told();
  dragging = null;
});

let nudged;
on("keydown", (event) => {
  const edge = event.target.closest?.("[data-edge]");
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
  if (!edge || !by) return;
  put(edge, begin(edge) + by * Number(edge.dataset.way) * STEP * (event.shiftKey ? 10 : 2));
  clearTimeout(nudged);
  nudged = setTimeout(told, 400);
  event.preventDefault();
  event.stopImmediatePropagation();
});
