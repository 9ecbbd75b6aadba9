// Many ticks by one act of a person.
import { all, on } from "./page.js";

// A tick for all of a name.
on("change", ({ target }) => {
  if (!target.matches("[data-ticks]")) return;
  for (const box of all(`input[name="${target.dataset.ticks}"]`, target.form)) box.checked = target.checked;
});

// All that stand together, or all of the form.
on("click", ({ target }) => {
  if (!target.matches("[data-tick-all]")) return;
  const among = target.closest("[data-together]") ?? target.form;
  for (const box of all("input[type=checkbox]", among)) box.checked = true;
  target.form.dispatchEvent(new Event("change", { bubbles: true }));
});
