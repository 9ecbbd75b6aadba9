// Heads and feet: a token goes where the caret was last.
import { on, $ } from "./page.js";

let last = null;

on("focusin", (event) => {
  if (event.target.matches?.(".headsheet input")) last = event.target;
});

on("click", (event) => {
  const token = event.target.closest?.("button[data-token]");
  if (!token) return;
  const field = last || $(".headsheet input");
  const at = field.selectionStart ?? field.value.length;
  field.setRangeText(token.dataset.token, at, field.selectionEnd ?? at, "end");
  field.focus();
});
