// Looks that arrive with fragments go into a sheet of their own: the page's policy allows no styles in markup.
import { $ } from "./page.js";

const sheet = new CSSStyleSheet();
const known = new Set();
document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];

export function takeLooks() {
  const fresh = $("#fresh-looks");
  if (!fresh?.textContent) return;
  for (const rule of fresh.textContent.split("\n")) {
    if (known.has(rule) || !rule.startsWith(".")) continue;
    known.add(rule);
    sheet.insertRule(rule, sheet.cssRules.length);
  }
  fresh.textContent = "";
}
