// The outline as a place to work: keys.
import { $, on } from "./page.js";

// A key does what its button does, to what is ticked; with nothing ticked, to the line that the keys are at.
on("keydown", (event) => {
  const form = $("#outline");
  if (!form || event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.target.closest("input:not([type=checkbox]), select, textarea")) return;
  const button = form.querySelector(`[data-key="${CSS.escape(event.key)}"]`);
  if (!button) return;
  event.preventDefault();
  if (event.target.matches("input[type=checkbox]")) event.target.checked = true;
  button.click();
});
