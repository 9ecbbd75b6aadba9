// A style is based on another by dragging it there, which shows what that would move; by keyboard the field does it.
import { all, on, path } from "./page.js";

let lifted = null;

on("pointerdown", (event) => {
  const leaf = event.target.closest?.(".leaf[data-style]");
  lifted = leaf && event.button === 0 ? { leaf, x: event.clientX, y: event.clientY, moved: false } : null;
  if (leaf) event.preventDefault();
});

const under = (event) => document.elementFromPoint(event.clientX, event.clientY)?.closest(".leaf[data-style]");

on("pointermove", (event) => {
  if (!lifted) return;
  lifted.moved ||= Math.hypot(event.clientX - lifted.x, event.clientY - lifted.y) > 8;
  document.body.classList.toggle("lifting", lifted.moved);
  all(".leaf.over").forEach((leaf) => leaf.classList.remove("over"));
  const over = under(event);
  if (lifted.moved && over && over !== lifted.leaf) over.classList.add("over");
});

function swallowClick() {
  const swallow = (click) => {
    click.preventDefault();
    click.stopPropagation();
  };
  on("click", swallow, { capture: true, once: true });
}

on("pointerup", (event) => {
  const was = lifted;
  lifted = null;
  document.body.classList.remove("lifting");
  if (!was?.moved) return;
  swallowClick();
  const onto = under(event);
  if (!onto || onto === was.leaf) return;
  const query = new URLSearchParams({ style: was.leaf.dataset.style, try: "base", base: onto.dataset.style });
  location.href = `${path("styles")}?${query}`;
});

// It is walked by arrows.
on("keydown", (event) => {
  const leaf = event.target.closest?.(".leaf");
  if (!leaf || !["ArrowDown", "ArrowUp"].includes(event.key)) return;
  const leaves = all(".leaf");
  leaves[leaves.indexOf(leaf) + (event.key === "ArrowDown" ? 1 : -1)]?.focus();
  event.preventDefault();
});

// Keep is a plain form again, whatever htmx does with changes of the same form.
on("click", (event) => {
  const keep = event.target.closest("#keep");
  if (!keep) return;
  event.preventDefault();
  keep.form.action = keep.formAction;
  HTMLFormElement.prototype.submit.call(keep.form);
});
