"use strict";
// What the pages do beyond forms and links: selection and keys in the galley, blocks that load as they come near, the
// spine, files dropped on the shelf. Everything also works as a plain page without it.
(() => {
  const $ = (selector, root = document) => root.querySelector(selector);
  const all = (selector, root = document) => [...root.querySelectorAll(selector)];
  const path = (step) => `/manuscripts/${document.body.dataset.manuscript}/${step}`;

  // --- looks that arrive with fragments go into a sheet of their own: the page's policy allows no styles in markup ---
  const looks = new CSSStyleSheet();
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, looks];
  const known = new Set();
  function takeLooks(root) {
    const fresh = $("#fresh-looks", root) || (root.id === "fresh-looks" ? root : null);
    if (!fresh || !fresh.textContent) return;
    for (const rule of fresh.textContent.split("\n")) {
      if (known.has(rule) || !rule.startsWith(".")) continue;
      known.add(rule);
      looks.insertRule(rule, looks.cssRules.length);
    }
    fresh.textContent = "";
  }

  // --- numbers told shortly: 1,2,3,7 is 1-3,7 ---
  function spans(ids) {
    const parts = [];
    for (const id of [...ids].sort((a, b) => a - b)) {
      const last = parts[parts.length - 1];
      if (last && id === last[1] + 1) last[1] = id; else parts.push([id, id]);
    }
    return parts.map(([a, b]) => (a === b ? `${a}` : `${a}-${b}`)).join(",");
  }

  const galley = () => $("#galley");
  const selection = new Set();
  let anchor = null; // where a range begins
  let at = null; // where the keys are
  let order = [];

  function readOrder() {
    order = (galley()?.dataset.order || "").split(",").filter(Boolean).flatMap((span) => {
      const [a, b] = span.split("-").map(Number);
      return b ? Array.from({ length: b - a + 1 }, (_, i) => a + i) : [a];
    });
  }

  function show() {
    for (const box of all("input[type=checkbox]", galley())) box.checked = selection.has(Number(box.value));
    for (const row of all(".row.at", galley())) row.classList.remove("at");
    row(at)?.classList.add("at");
    const words = $("#selected");
    if (words) words.textContent = `· ${selection.size || "none"} selected`;
  }

  let waiting;
  function showBench() {
    clearTimeout(waiting);
    waiting = setTimeout(() => htmx.ajax("POST", path("galley/bench"), { target: "#bench", swap: "innerHTML", values: { ids: spans(selection) } }), 70);
  }

  function select(ids, { add = false } = {}) {
    if (!add) selection.clear();
    ids.forEach((id) => selection.add(id));
    show();
    showBench();
  }

  const row = (id) => id && document.getElementById(`row-${id}`);

  function go(id, block = "nearest") {
    at = id;
    const there = row(id);
    there ? scrollTo(there, block) : text(id);
  }

  // Only the galley scrolls, never the page around it.
  function scrollTo(there, block) {
    const box = galley().getBoundingClientRect(), its = there.getBoundingClientRect();
    if (block === "nearest" && its.top >= box.top + 60 && its.bottom <= box.bottom - 60) return;
    galley().scrollTop += its.top - box.top - (block === "start" ? 8 : Math.min(140, box.height / 3));
  }

  // The galley drawn anew around a paragraph; it stays where it was on the screen.
  async function text(id) {
    const was = row(id)?.getBoundingClientRect().top;
    await htmx.ajax("GET", path(`galley/text?at=${id || 0}`), { target: "#galley", swap: "outerHTML" });
    readOrder();
    watch();
    for (const gone of [...selection].filter((other) => !order.includes(other))) selection.delete(gone);
    show();
    const there = row(id);
    if (there && was !== undefined) galley().scrollTop += there.getBoundingClientRect().top - was;
    else if (there) scrollTo(there, "center");
  }

  function topRow() {
    const edge = galley().getBoundingClientRect();
    const here = document.elementFromPoint(edge.left + 200, edge.top + 40)?.closest(".row");
    return here ? Number(here.dataset.id) : order[0];
  }

  // --- blocks load as they come near ---
  let watcher;
  function watch() {
    watcher?.disconnect();
    if (!galley()) return;
    watcher = new IntersectionObserver((seen) => {
      for (const entry of seen) if (entry.isIntersecting) htmx.trigger(entry.target, "near");
    }, { root: galley(), rootMargin: "1200px 0px" });
    all(".block.waiting", galley()).forEach((block) => watcher.observe(block));
  }

  // --- the spine ---
  function tops() {
    return ($("#spine")?.dataset.tops || "").split(",").filter(Boolean).map((pair) => pair.split(":").map(Number));
  }
  function spineGo(fraction) {
    const y = fraction * 1000;
    const list = tops();
    let index = list.findIndex(([, top]) => top > y) - 1;
    if (index < -1 || index === -2) index = list.length - 1;
    index = Math.max(index, 0);
    if (!galley()) return (location.href = path(`galley?at=${list[index][0]}`));
    const next = list[index + 1]?.[1] ?? 1000;
    const within = (y - list[index][1]) / Math.max(next - list[index][1], 1);
    const block = $(`#block-${index}`);
    galley().scrollTop = block.offsetTop - galley().offsetTop + block.offsetHeight * within;
  }
  function bracket() {
    const spine = $("#spine");
    if (!spine || !galley()) return;
    const list = tops();
    const place = (y) => {
      for (const block of all(".block", galley())) {
        const top = block.offsetTop - galley().offsetTop;
        if (y < top + block.offsetHeight) {
          const n = Number(block.dataset.block);
          const from = list[n]?.[1] ?? 0;
          return from + ((list[n + 1]?.[1] ?? 1000) - from) * Math.max((y - top) / block.offsetHeight, 0);
        }
      }
      return 1000;
    };
    const from = place(galley().scrollTop), to = Math.max(place(galley().scrollTop + galley().clientHeight), from + 6);
    $(".sp-here", spine)?.setAttribute("d", `M6 ${from}H2V${to}H6`);
    const index = Math.max(order.indexOf(topRow()), 0) + 1;
    spine.setAttribute("aria-valuenow", index);
    spine.setAttribute("aria-valuetext", `paragraph ${index} of ${order.length}`);
  }

  // --- keys ---
  function step(by) {
    const from = order.indexOf(at ?? [...selection][0]);
    const next = order[Math.min(Math.max(from + by, 0), order.length - 1)];
    if (next === undefined) return;
    anchor = next;
    go(next);
    select([next]);
  }
  const post = (step, values) => htmx.ajax("POST", path(step), { swap: "none", values });
  const putInRole = (role) => selection.size && post("edits/style", { ids: spans(selection), role });
  const keys = {
    j: () => step(1), k: () => step(-1), ArrowDown: () => step(1), ArrowUp: () => step(-1),
    x: () => { const next = at ?? order[0]; selection.has(next) ? selection.delete(next) : selection.add(next); at = next; show(); showBench(); },
    0: () => putInRole("body"),
    ...Object.fromEntries([1, 2, 3, 4, 5, 6].map((n) => [n, () => putInRole(`heading_${n}`)])),
  };
  const like = async (by, id) => select(await fetch(path(`galley/like?by=${by}&paragraph=${id}`)).then((r) => r.json()));
  const here = () => at ?? [...selection][0];
  Object.assign(keys, {
    A: () => here() && like("look", here()), S: () => here() && like("style", here()), R: () => here() && like("role", here()), N: () => here() && like("section", here()), E: () => select(order),
    "/": () => $("#q")?.focus(), "?": () => $("#keys")?.showModal(),
  });
  function letterAction(key) {
    const action = JSON.parse(galley().dataset.letters || "{}")[key];
    if (action && selection.size) post("edits/style", { ids: spans(selection), ...action });
    return action;
  }
  const stations = { s: "survey", y: "styles", a: "galley", f: "findings", h: "handover", l: "ledger" };
  let going = false;

  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.target.closest("input:not([type=checkbox]), select, textarea")) return;
    if (!document.body.dataset.manuscript) return;
    if (event.target.closest("#spine") && ["ArrowDown", "ArrowUp", "Home", "End"].includes(event.key)) {
      const now = Number($("#spine").getAttribute("aria-valuenow")) / Math.max(order.length, 1);
      spineGo({ ArrowDown: now + 0.02, ArrowUp: now - 0.02, Home: 0, End: 0.999 }[event.key]);
      return event.preventDefault();
    }
    if (going) {
      going = false;
      if (stations[event.key]) location.href = path(stations[event.key]);
      return;
    }
    if (event.key === "g") return (going = true), setTimeout(() => (going = false), 1500);
    if (event.key === "u") return $("#take-back-button")?.click();
    if (!galley()) return;
    if (event.key.startsWith("Arrow") && !event.target.closest("#galley")) return;
    if (keys[event.key]) {
      keys[event.key]();
      event.preventDefault();
    } else letterAction(event.key);
  });

  document.addEventListener("click", async (event) => {
    const alike = event.target.closest("[data-like]");
    if (alike) return like(alike.dataset.like, alike.dataset.paragraph);
    const reads = event.target.closest("[data-role]");
    if (reads) return putInRole(reads.dataset.role);
    if (event.target.closest("#everything")) return select(order);
    if (event.target.closest("#keys-button")) return $("#keys").showModal();
    if (event.target.closest("#select-group")) return select(event.target.dataset.ids.split(",").map(Number));
    if (event.target.closest("#marks")) {
      const hidden = galley().classList.toggle("unmarked");
      return event.target.setAttribute("aria-pressed", String(!hidden));
    }
    const spine = event.target.closest("#spine");
    if (spine) {
      const box = $("svg", spine).getBoundingClientRect();
      return spineGo((event.clientY - box.top - 8) / (box.height - 16));
    }
    const clicked = event.target.closest("#galley .row");
    if (!clicked || event.target.closest("a, button")) return;
    const id = Number(clicked.dataset.id);
    at = id;
    if (event.shiftKey && anchor !== null) {
      const [a, b] = [order.indexOf(anchor), order.indexOf(id)].sort((x, y) => x - y);
      getSelection()?.removeAllRanges();
      select(order.slice(a, b + 1));
    } else if (event.target.matches("input") || event.ctrlKey || event.metaKey) {
      anchor = id;
      selection.has(id) ? selection.delete(id) : selection.add(id);
      show();
      showBench();
    } else {
      anchor = id;
      select([id]);
    }
  });

  // --- words selected in the text of a paragraph go into the field for character styles, with which time they stand there ---
  document.addEventListener("selectionchange", () => {
    const chosen = getSelection();
    const text = chosen.toString().trim(), cell = chosen.anchorNode?.parentElement?.closest("#galley .tcell p");
    const form = $("#words-form");
    if (!form || !cell || !text || !cell.contains(chosen.focusNode) || Number(cell.closest(".row").dataset.id) !== Number(form.elements.ids.value)) return;
    const range = document.createRange();
    range.setStart(cell, 0);
    range.setEnd(chosen.getRangeAt(0).startContainer, chosen.getRangeAt(0).startOffset);
    form.elements.words.value = text;
    form.elements.nth.value = range.toString().split(text).length - 1;
  });

  // --- a double click opens the words of a paragraph for typing ---
  document.addEventListener("dblclick", (event) => {
    if (!event.target.closest("#galley .tcell")) return;
    const open = () => {
      const words = $("#change-words");
      if (!words) return;
      words.open = true;
      $("#words-text")?.focus();
    };
    setTimeout(open, 350);
  });

  // --- a range by dragging over rows ---
  let dragFrom = null;
  document.addEventListener("mousedown", (event) => {
    const from = event.target.closest("#galley .row");
    dragFrom = from && event.button === 0 && event.target.closest(".gcell, .scell") && !event.shiftKey ? Number(from.dataset.id) : null;
    if (dragFrom !== null && !event.target.matches("input")) event.preventDefault();
  });
  document.addEventListener("mouseover", (event) => {
    const over = dragFrom !== null && event.buttons === 1 && event.target.closest("#galley .row");
    if (!over || Number(over.dataset.id) === dragFrom) return;
    const [a, b] = [order.indexOf(dragFrom), order.indexOf(Number(over.dataset.id))].sort((x, y) => x - y);
    anchor = dragFrom;
    dragged = true;
    select(order.slice(a, b + 1));
  });
  let dragged = false;
  document.addEventListener("click", (event) => {
    if (!dragged) return;
    dragged = false;
    event.stopPropagation();
  }, true);
  document.addEventListener("mouseup", () => { dragFrom = null; setTimeout(() => (dragged = false)); });

  // --- find: selects what it finds and goes to the first ---
  $("#find")?.addEventListener("submit", async (event) => {
    event.preventDefault();
    const answer = await fetch(path(`galley/find?q=${encodeURIComponent($("#q").value)}`), { headers: { "HX-Request": "true" } });
    if (!answer.ok) return ($("#said").innerHTML = await answer.text());
    const found = await answer.json();
    $("#said").innerHTML = "";
    select(found);
    if (found.length) go(found[0], "center");
    if (!found.length) $("#selected").textContent = "· nothing found";
    $("#q").blur();
  });

  // --- pasted HTML keeps its structure ---
  $("#paste-text")?.addEventListener("paste", (event) => {
    const html = event.clipboardData.getData("text/html");
    if (html) $("#paste-html").value = html;
  });

  // --- the specimen's dimension lines, drawn over the text as it is set; each is dragged, or moved by arrow keys ---
  const NATURAL = 1.15; // the line height of the fonts that ship, of their size
  const DIMENSIONS = { // name: what CSS shows it, which way it grows, a step of the keys in points
    first_line: { css: "textIndent", way: [1, 0] }, indent_left: { css: "paddingLeft", way: [1, 0] }, indent_right: { css: "paddingRight", way: [-1, 0] },
    space_before: { css: "paddingTop", way: [0, 1] }, space_after: { css: "paddingBottom", way: [0, 1] }, line_spacing: { css: "lineHeight", way: [0, 1] },
  };
  const fieldOf = (name) => document.getElementById(`v-${name}`);
  const specimenText = () => $("#specimen:not(.of-words) .itself");
  const pointSize = () => parseFloat(getComputedStyle($("#specimen")).getPropertyValue("--pt")) || 1.1;

  function dimensions() {
    const specimen = $("#specimen"), svg = $("#dims"), it = specimenText();
    if (!it) return;
    const frame = specimen.getBoundingClientRect(), box = it.getBoundingClientRect(), css = getComputedStyle(it);
    const [left, right, top, bottom] = [box.left - frame.left, box.right - frame.left, box.top - frame.top, box.bottom - frame.top];
    const indent = parseFloat(css.paddingLeft) + Math.min(parseFloat(css.marginLeft), 0), first = parseFloat(css.textIndent), before = parseFloat(css.paddingTop), after = parseFloat(css.paddingBottom);
    const height = parseFloat(css.lineHeight), end = right - parseFloat(css.paddingRight), line = top + before + height / 2, below = bottom - after;
    const lines = Math.round((below - top - before) / height);
    const focused = document.activeElement?.dataset?.drag;
    svg.setAttribute("width", frame.width);
    svg.setAttribute("height", frame.height);
    // What the field says, or what is drawn where another change moved it.
    const said = (name) => {
      const field = fieldOf(name);
      if (!field || name === "line_spacing") return field?.value || "";
      return Math.abs(inPoints(field.value) - pointsOf(name)) < 0.6 ? field.value : spoken(pointsOf(name), field.value);
    };
    const word = (name, x, y, anchor = "start") => `<text class="dimword" x="${x}" y="${y}" text-anchor="${anchor}">${said(name).replace(/[<&]/g, "")}</text>`;
    const handle = (name, x, y) => fieldOf(name) ? `<rect class="handle" data-drag="${name}" tabindex="0" role="slider" aria-label="${fieldOf(name).labels[0]?.textContent || name}" aria-valuenow="${parseFloat(said(name)) || 0}" aria-valuetext="${said(name).replace(/["<&]/g, "")}" x="${x - 5}" y="${y - 5}" width="10" height="10"/>` : "";
    const parts = [`<path class="ext" d="M${left} 22V${frame.height}M${right} 22V${frame.height}"/>`, `<path class="dim" d="M${left} 27H${right}M${left} 22v10M${right} 22v10"/>`];
    if (indent) parts.push(`<path class="dim" d="M${left} ${line + height * 0.9}H${left + indent}"/>`, word("indent_left", left + indent - 8, line + height * 0.9 - 5, "end"));
    if (end < right) parts.push(`<path class="dim" d="M${end} ${line}H${right}"/>`, word("indent_right", right - 4, line - 6, "end"));
    if (first) parts.push(`<path class="dim" d="M${left + indent} ${line}H${left + indent + first}"/>`, word("first_line", left + indent + Math.max(first, 0) / 2, line - height * 0.42, "middle"));
    if (before) parts.push(`<rect class="band" x="${left}" y="${top}" width="${right - left}" height="${before}"/>`, word("space_before", right - 4, top + before / 2 + 4, "end"));
    if (after) parts.push(`<rect class="band" x="${left}" y="${below}" width="${right - left}" height="${after}"/>`, word("space_after", right - 4, below + after / 2 + 4, "end"));
    const from = top + before + height * 0.78, to = from + height, x = right + 14;
    if (lines > 1) parts.push(`<path class="dim" d="M${x - 5} ${from}h10M${x - 5} ${to}h10M${x} ${from}V${to}"/>`, word("line_spacing", x + 9, (from + to) / 2 + 4));
    parts.push(handle("indent_right", end, line), handle("space_before", right - 60, top + before), handle("space_after", right - 60, bottom), lines > 1 ? handle("line_spacing", x, to) : "", handle("indent_left", left + indent, line + height * 0.9), handle("first_line", left + indent + first, line));
    svg.innerHTML = parts.join("");
    if (focused) $(`[data-drag="${focused}"]`, svg)?.focus();
  }

  const UNITS = { pt: 1, cm: 28.3465, mm: 2.83465, in: 72, pc: 12 };
  const inPoints = (text) => parseFloat(text.replace(",", ".")) * (UNITS[text.match(/[a-z]+/)?.[0]] || 1);
  // Points in the unit that another length is said in.
  function spoken(points, like) {
    const unit = /cm/.test(like) ? "cm" : /mm/.test(like) ? "mm" : "pt";
    return `${Number((points / UNITS[unit]).toFixed(unit === "mm" ? 1 : 2))} ${unit}`;
  }

  // A dimension at so many points: said in the unit its field speaks, and shown at once.
  function setDimension(name, points) {
    const field = fieldOf(name), it = specimenText(), pt = pointSize();
    if (name === "line_spacing") {
      const size = parseFloat($("span", it) ? getComputedStyle($("span:not(.marker)", it)).fontSize : getComputedStyle(it).fontSize) / pt;
      const times = Math.max(Math.round((points / (size * NATURAL)) * 20) / 20, 0.5);
      field.value = /pt/.test(field.value) ? `${field.value.match(/^[a-z ]*/)[0]}${Math.max(Math.round(points * 2) / 2, 4)} pt` : ({ 1: "single", 2: "double" }[times] || String(times));
      it.style.lineHeight = /pt/.test(field.value) ? `${points * pt}px` : String(times * NATURAL);
    } else {
      const rounded = Math.round((name.startsWith("space") ? Math.max(points, 0) : points) * 2) / 2;
      field.value = spoken(rounded, field.value);
      it.style[DIMENSIONS[name].css] = `${(name === "first_line" ? rounded : Math.max(rounded, 0)) * pt}px`;
    }
    dimensions();
  }

  // How many points a dimension has as it is drawn.
  function pointsOf(name) {
    return parseFloat(getComputedStyle(specimenText())[DIMENSIONS[name].css]) / pointSize();
  }
  let dragging = null;
  document.addEventListener("pointerdown", (event) => {
    const name = event.target.closest?.("[data-drag]")?.dataset.drag;
    if (!name) return;
    dragging = { name, from: pointsOf(name), x: event.clientX, y: event.clientY };
    event.target.focus();
    event.preventDefault();
  });
  document.addEventListener("pointermove", (event) => {
    if (!dragging) return;
    const [right, down] = DIMENSIONS[dragging.name].way;
    setDimension(dragging.name, dragging.from + ((event.clientX - dragging.x) * right + (event.clientY - dragging.y) * down) / pointSize());
  });
  const showRipple = (name) => htmx.trigger(fieldOf(name), "change");
  document.addEventListener("pointerup", () => {
    if (dragging) showRipple(dragging.name);
    dragging = null;
  });
  let nudged;
  document.addEventListener("keydown", (event) => {
    const name = event.target.closest?.("[data-drag]")?.dataset.drag;
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (!name || !by) return;
    const [right, down] = DIMENSIONS[name].way;
    setDimension(name, pointsOf(name) + by * (name === "line_spacing" ? 0.75 : event.shiftKey ? 6 : 0.5) * (right || down));
    clearTimeout(nudged);
    nudged = setTimeout(() => showRipple(name), 400);
    event.preventDefault();
    event.stopImmediatePropagation();
  });
  // A style is based on another by dragging it there, which shows what that would move; by keyboard the field does it.
  let lifted = null;
  document.addEventListener("pointerdown", (event) => {
    const leaf = event.target.closest?.(".leaf");
    lifted = leaf && event.button === 0 ? { leaf, x: event.clientX, y: event.clientY, moved: false } : null;
    if (leaf) event.preventDefault();
  });
  document.addEventListener("pointermove", (event) => {
    if (!lifted) return;
    lifted.moved ||= Math.hypot(event.clientX - lifted.x, event.clientY - lifted.y) > 8;
    document.body.classList.toggle("lifting", lifted.moved);
    all(".leaf.over").forEach((leaf) => leaf.classList.remove("over"));
    const over = document.elementFromPoint(event.clientX, event.clientY)?.closest(".leaf");
    if (lifted.moved && over && over !== lifted.leaf) over.classList.add("over");
  });
  document.addEventListener("pointerup", (event) => {
    const was = lifted;
    lifted = null;
    document.body.classList.remove("lifting");
    if (!was?.moved) return;
    document.addEventListener("click", (click) => { click.preventDefault(); click.stopPropagation(); }, { capture: true, once: true });
    const onto = document.elementFromPoint(event.clientX, event.clientY)?.closest(".leaf");
    if (!onto || onto === was.leaf) return;
    const query = new URLSearchParams({ style: was.leaf.dataset.style, try: "base", base: onto.dataset.style });
    location.href = `${path("styles")}?${query}`;
  });
  // The lineage is walked by arrows.
  document.addEventListener("keydown", (event) => {
    const leaf = event.target.closest?.(".leaf");
    if (!leaf || !["ArrowDown", "ArrowUp"].includes(event.key)) return;
    const leaves = all(".leaf");
    leaves[leaves.indexOf(leaf) + (event.key === "ArrowDown" ? 1 : -1)]?.focus();
    event.preventDefault();
  });
  // Keep is a plain form again, whatever htmx does with changes of the same form.
  document.addEventListener("click", (event) => {
    const keep = event.target.closest("#keep");
    if (!keep) return;
    event.preventDefault();
    keep.form.action = keep.formAction;
    HTMLFormElement.prototype.submit.call(keep.form);
  });
  document.addEventListener("htmx:beforeRequest", (event) => { const open = event.target.closest?.("details.more"); if (open) open.open = false; });
  if (document.fonts) document.fonts.ready.then(dimensions);
  addEventListener("resize", dimensions);

  // --- htmx ---
  document.addEventListener("htmx:configRequest", (event) => {
    if ("version" in event.detail.parameters || event.detail.verb === "post") event.detail.parameters.version = document.body.dataset.version;
    if (galley()) event.detail.parameters.loaded = all(".block:not(.waiting)", galley()).map((block) => block.dataset.block).join(",");
    if (event.detail.headers) event.detail.headers["X-CSRF-Token"] = JSON.parse(document.body.getAttribute("hx-headers"))["X-CSRF-Token"];
  });
  document.addEventListener("document-changed", (event) => { document.body.dataset.version = event.detail.version; });
  document.addEventListener("galley-stale", () => galley() && text(topRow()));
  document.addEventListener("htmx:oobAfterSwap", (event) => {
    takeLooks(document);
    if (event.detail.target?.classList?.contains("row")) show();
  });
  document.addEventListener("htmx:afterSettle", () => { takeLooks(document); dimensions(); bracket(); if (galley()) show(); });
  document.addEventListener("htmx:sendError", () => { $("#said").innerHTML = '<div class="complaint" role="alert"><p>Norvel did not answer. What was answered before is kept; try again in a moment.</p></div>'; });

  // --- the shelf ---
  const drop = $("#drop");
  if (drop) {
    for (const kind of ["dragover", "dragleave", "drop"]) drop.addEventListener(kind, (event) => { event.preventDefault(); drop.classList.toggle("over", kind === "dragover"); });
    drop.addEventListener("drop", (event) => {
      if (!event.dataTransfer.files.length) return;
      $("#file").files = event.dataTransfer.files;
      drop.requestSubmit();
    });
  }

  function begin() {
    takeLooks(document);
    if (!galley()) return;
    readOrder();
    watch();
    galley().addEventListener("scroll", () => requestAnimationFrame(bracket), { passive: true });
    at = Number(galley().dataset.at) || null;
    const stand = () => row(at) && at !== order[0] && scrollTo(row(at), "start");
    stand();
    document.fonts?.ready.then(() => requestAnimationFrame(stand)); // rows have their heights once their fonts are there
    if (new URLSearchParams(location.search).has("at")) select([at]);
    else show();
    bracket();
  }
  begin();
})();
