// What the pages do beyond forms and links; everything also works as a plain page without it.
import { $, galley } from "./js/page.js";
import { takeLooks } from "./js/looks.js";
import { readOrder, row, select, show, state } from "./js/selection.js";
import { scrollTo, watch } from "./js/galley.js";
import { bracket } from "./js/spine.js";
import "./js/keys.js";
import "./js/pointing.js";
import "./js/specimen.js";
import "./js/lineage.js";
import "./js/answers.js";
import "./js/files.js";
import "./js/sheets.js";
import "./js/find.js";
import "./js/outline.js";
import "./js/heads.js";
import "./js/setup.js";
import "./js/guides.js";
import "./js/ticks.js";

// Stands at the paragraph that was asked for, again once its fonts have given rows their heights.
function stand() {
  if (row(state.at) && state.at !== state.order[0]) scrollTo(row(state.at), "start");
}

takeLooks();
if (galley()) {
  readOrder();
  watch();
  galley().addEventListener("scroll", () => requestAnimationFrame(bracket), { passive: true });
  state.at = Number(galley().dataset.at) || null;
  stand();
  document.fonts?.ready.then(() => requestAnimationFrame(stand));
  if (new URLSearchParams(location.search).has("at")) select([state.at]);
  else show();
  bracket();
}

// A page that takes long to work out is asked for when this one stands, which says how far it is until then.
const long = $("[data-goto]");
if (long) addEventListener("load", () => setTimeout(() => location.replace(long.dataset.goto)));
