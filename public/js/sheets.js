// One sheet at size: what is pointed at says its style, and leads there.
import { $, on, path } from "./page.js";

function tell(event) {
  const paragraph = event.target.closest?.("a.settext[data-style]");
  const place = $("#pointed");
  if (!paragraph || !place) return;
  const link = document.createElement("a");
  link.href = path(`styles?style=${encodeURIComponent(paragraph.dataset.id)}`);
  link.textContent = paragraph.dataset.style;
  place.replaceChildren("This paragraph is in ", link, ". A click on it leads to the galley.");
}

on("mouseover", tell);
on("focusin", tell);
