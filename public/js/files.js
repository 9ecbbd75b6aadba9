// Files that are chosen or dropped.
import { $, on } from "./page.js";

// The chooser says what was chosen.
on("change", (event) => {
  const chooser = event.target.closest?.(".chooser");
  if (!chooser) return;
  const { files } = event.target;
  $(".chosen", chooser).textContent = files.length > 1 ? `${files.length} files` : files[0]?.name || "none chosen yet";
});

const drop = $("#drop");
for (const kind of drop ? ["dragover", "dragleave", "drop"] : []) {
  drop.addEventListener(kind, (event) => {
    event.preventDefault();
    drop.classList.toggle("over", kind === "dragover");
  });
}

drop?.addEventListener("drop", (event) => {
  if (!event.dataTransfer.files.length) return;
  $("#file").files = event.dataTransfer.files;
  drop.requestSubmit();
});
