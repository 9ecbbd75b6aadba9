// Guides: what is open stands in sight, in the rules and in the text; a line that is at fault is chosen in the editor;
// what is filled in says what a guide is made from.
import { all, on } from "./page.js";

on("input", ({ target }) => {
  const under = target.closest(".makeguide .under");
  const choice = under?.previousElementSibling?.querySelector("input[type=radio]");
  if (choice) choice.checked = true;
});

for (const one of all("[data-stand]")) one.scrollIntoView({ block: "center" });

for (const box of all("textarea[data-line]")) {
  const line = Number(box.dataset.line);
  if (line < 1) continue;
  const lines = box.value.split("\n");
  const from = lines.slice(0, line - 1).join("\n").length + (line > 1 ? 1 : 0);
  box.focus();
  box.setSelectionRange(from, from + (lines[line - 1] ?? "").length);
  box.scrollTop = Math.max(0, (line - 4) * parseFloat(getComputedStyle(box).lineHeight));
}
