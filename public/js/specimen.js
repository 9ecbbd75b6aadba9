// The specimen's dimension lines, drawn over the text as it is set; each is dragged, or moved by arrow keys.
import { $, on } from "./page.js";
import { inPoints, spoken } from "./lengths.js";

// name: what CSS shows it, and which way it grows
const DIMENSIONS = {
  first_line: { css: "textIndent", way: [1, 0] }, indent_left: { css: "paddingLeft", way: [1, 0] },
  indent_right: { css: "paddingRight", way: [-1, 0] }, space_before: { css: "paddingTop", way: [0, 1] },
  space_after: { css: "paddingBottom", way: [0, 1] }, line_spacing: { css: "lineHeight", way: [0, 1] },
};
const NAMED = { 1: "single", 2: "double" };

const fieldOf = (name) => document.getElementById(`v-${name}`);
const specimenText = () => $("#specimen:not(.of-words) .itself");
const pointSize = () => parseFloat(getComputedStyle($("#specimen")).getPropertyValue("--pt")) || 1.1;
const pointsOf = (name) => parseFloat(getComputedStyle(specimenText())[DIMENSIONS[name].css]) / pointSize();
const plain = (text) => text.replace(/["<&]/g, "");

// How many points one line set single takes there.
function singleLine(it) {
  const css = getComputedStyle(it);
  return parseFloat(css.lineHeight) / (parseFloat(css.getPropertyValue("--lines")) || 1) / pointSize();
}

// What the field says, or what is drawn where another change moved it.
function said(name) {
  const field = fieldOf(name);
  if (!field || name === "line_spacing") return field?.value || "";
  return Math.abs(inPoints(field.value) - pointsOf(name)) < 0.6 ? field.value : spoken(pointsOf(name), field.value);
}

function word(name, x, y, anchor = "start") {
  return `<text class="dimword" x="${x}" y="${y}" text-anchor="${anchor}">${plain(said(name))}</text>`;
}

function handle(name, x, y) {
  if (!fieldOf(name)) return "";
  const label = fieldOf(name).labels[0]?.textContent || name;
  return `<rect class="handle" data-drag="${name}" tabindex="0" role="slider" aria-label="${label}"
    aria-valuenow="${parseFloat(said(name)) || 0}" aria-valuetext="${plain(said(name))}"
    x="${x - 5}" y="${y - 5}" width="10" height="10"/>`;
}

const line = (d, kind = "dim") => `<path class="${kind}" d="${d}"/>`;
const band = (x, y, width, height) => `<rect class="band" x="${x}" y="${y}" width="${width}" height="${height}"/>`;

// Where the text stands in its frame, in pixels.
function measured(specimen, it) {
  const frame = specimen.getBoundingClientRect();
  const box = it.getBoundingClientRect();
  const css = getComputedStyle(it);
  const of = (name) => parseFloat(css[name]);
  const place = {
    left: box.left - frame.left, right: box.right - frame.left, top: box.top - frame.top,
    bottom: box.bottom - frame.top,
    indent: of("paddingLeft") + Math.min(of("marginLeft"), 0), first: of("textIndent"), before: of("paddingTop"),
    after: of("paddingBottom"), height: of("lineHeight"), width: frame.width, tall: frame.height,
  };
  place.end = place.right - of("paddingRight");
  place.middle = place.top + place.before + place.height / 2;
  place.below = place.bottom - place.after;
  place.lines = Math.round((place.below - place.top - place.before) / place.height);
  return place;
}

function drawn(p) {
  const parts = [
    line(`M${p.left} 22V${p.tall}M${p.right} 22V${p.tall}`, "ext"),
    line(`M${p.left} 27H${p.right}M${p.left} 22v10M${p.right} 22v10`),
  ];
  const low = p.middle + p.height * 0.9;
  if (p.indent) {
    parts.push(line(`M${p.left} ${low}H${p.left + p.indent}`));
    parts.push(word("indent_left", p.left + p.indent - 8, low - 5, "end"));
  }
  if (p.end < p.right) {
    parts.push(line(`M${p.end} ${p.middle}H${p.right}`), word("indent_right", p.right - 4, p.middle - 6, "end"));
  }
  if (p.first) {
    const x = p.left + p.indent + Math.max(p.first, 0) / 2;
    parts.push(line(`M${p.left + p.indent} ${p.middle}H${p.left + p.indent + p.first}`));
    parts.push(word("first_line", x, p.middle - p.height * 0.42, "middle"));
  }
  if (p.before) parts.push(...space("space_before", p, p.top, p.before));
  if (p.after) parts.push(...space("space_after", p, p.below, p.after));
  return [...parts, ...spacing(p), ...handles(p, low)].join("");
}

// A space above or below the text, with its measure.
function space(name, p, top, height) {
  return [band(p.left, top, p.right - p.left, height), word(name, p.right - 4, top + height / 2 + 4, "end")];
}

// The distance of two lines, beside the text.
function spacing(p) {
  if (p.lines < 2) return [];
  const from = p.top + p.before + p.height * 0.78;
  const to = from + p.height;
  const x = p.right + 14;
  return [
    line(`M${x - 5} ${from}h10M${x - 5} ${to}h10M${x} ${from}V${to}`), word("line_spacing", x + 9, (from + to) / 2 + 4),
    handle("line_spacing", x, to),
  ];
}

function handles(p, low) {
  return [
    handle("indent_right", p.end, p.middle), handle("space_before", p.right - 60, p.top + p.before),
    handle("space_after", p.right - 60, p.bottom), handle("indent_left", p.left + p.indent, low),
    handle("first_line", p.left + p.indent + p.first, p.middle),
  ];
}

// The letters to the scale of the measure, so that lines break about where they break on the page.
function scale(specimen) {
  const css = getComputedStyle(specimen);
  const width = specimen.clientWidth - parseFloat(css.paddingLeft) - parseFloat(css.paddingRight);
  specimen.style.setProperty("--pt", `${Math.max(width / parseFloat(specimen.dataset.measure), 0.8)}px`);
}

export function dimensions() {
  const specimen = $("#specimen");
  if (specimen) scale(specimen);
  const svg = $("#dims");
  const it = specimenText();
  if (!it) return;
  const focused = document.activeElement?.dataset?.drag;
  const place = measured(specimen, it);
  svg.setAttribute("width", place.width);
  svg.setAttribute("height", place.tall);
  svg.innerHTML = drawn(place);
  if (focused) $(`[data-drag="${focused}"]`, svg)?.focus();
}

function setLineSpacing(field, it, points) {
  if (/pt/.test(field.value)) {
    field.value = `${field.value.match(/^[a-z ]*/)[0]}${Math.max(Math.round(points * 2) / 2, 4)} pt`;
    return it.style.setProperty("--line", `${points * pointSize()}px`);
  }
  const times = Math.max(Math.round((points / singleLine(it)) * 20) / 20, 0.5);
  field.value = NAMED[times] || String(times);
  it.style.setProperty("--lines", times);
}

// A dimension at so many points: said in the unit its field speaks, and shown at once.
function setDimension(name, points) {
  const field = fieldOf(name);
  const it = specimenText();
  if (name === "line_spacing") setLineSpacing(field, it, points);
  else {
    const rounded = Math.round((name.startsWith("space") ? Math.max(points, 0) : points) * 2) / 2;
    field.value = spoken(rounded, field.value);
    it.style[DIMENSIONS[name].css] = `${(name === "first_line" ? rounded : Math.max(rounded, 0)) * pointSize()}px`;
  }
  dimensions();
}

const showRipple = (name) => htmx.trigger(fieldOf(name), "change");

let dragging = null;
on("pointerdown", (event) => {
  const name = event.target.closest?.("[data-drag]")?.dataset.drag;
  if (!name) return;
  dragging = { name, from: pointsOf(name), x: event.clientX, y: event.clientY };
  event.target.focus();
  event.preventDefault();
});

on("pointermove", (event) => {
  if (!dragging) return;
  const [right, down] = DIMENSIONS[dragging.name].way;
  const moved = (event.clientX - dragging.x) * right + (event.clientY - dragging.y) * down;
  setDimension(dragging.name, dragging.from + moved / pointSize());
});

on("pointerup", () => {
  if (dragging) showRipple(dragging.name);
  dragging = null;
});

let nudged;
on("keydown", (event) => {
  const name = event.target.closest?.("[data-drag]")?.dataset.drag;
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
  if (!name || !by) return;
  const [right, down] = DIMENSIONS[name].way;
  const step = name === "line_spacing" ? 0.75 : event.shiftKey ? 6 : 0.5;
  setDimension(name, pointsOf(name) + by * step * (right || down));
  clearTimeout(nudged);
  nudged = setTimeout(() => showRipple(name), 400);
  event.preventDefault();
  event.stopImmediatePropagation();
});

document.fonts?.ready.then(dimensions);
addEventListener("resize", dimensions);
