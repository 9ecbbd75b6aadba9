// What goes along with every request, and what is done with every answer.
import { $, all, galley, on } from "./page.js";
import { takeLooks } from "./looks.js";
import { show } from "./selection.js";
import { redraw, topRow } from "./galley.js";
import { bracket } from "./spine.js";
import { dimensions } from "./specimen.js";

const NO_ANSWER = `<div class="complaint" role="alert">
  <p>Norvel did not answer. What was answered before is kept; try again in a moment.</p>
</div>`;

// A short answer where answers stand.
export function say(words) {
  const said = document.createElement("p");
  said.className = "muted";
  said.textContent = words;
  $("#said")?.replaceChildren(said);
}

on("htmx:configRequest", (event) => {
  const { parameters, verb, headers } = event.detail;
  if ("version" in parameters || verb === "post") parameters.version = document.body.dataset.version;
  if (galley()) {
    parameters.loaded = all(".block:not(.waiting)", galley()).map((block) => block.dataset.block).join(",");
  }
  if (headers) headers["X-CSRF-Token"] = JSON.parse(document.body.getAttribute("hx-headers"))["X-CSRF-Token"];
});

on("htmx:beforeRequest", (event) => {
  if (event.detail.requestConfig.verb === "get") return;
  const open = event.target.closest?.("details.more");
  if (open) open.open = false;
});

on("document-changed", (event) => {
  document.body.dataset.version = event.detail.version;
});

on("galley-stale", () => galley() && redraw(topRow()));

on("htmx:oobAfterSwap", (event) => {
  takeLooks();
  if (event.detail.target?.classList?.contains("row")) show();
});

// What a person unfolded in the bench stays so when it is drawn anew.
const unfolded = new Set();
on("toggle", (event) => {
  if (!event.target.matches?.("#bench details[id]")) return;
  if (event.target.open) unfolded.add(event.target.id);
  else unfolded.delete(event.target.id);
}, true);

on("htmx:afterSettle", () => {
  for (const id of unfolded) $(`#bench details[id="${id}"]`)?.setAttribute("open", "");
  takeLooks();
  dimensions();
  bracket();
  if (galley()) show();
});

on("htmx:sendError", () => {
  $("#said").innerHTML = NO_ANSWER;
});
