// What every script needs of a page.

export const $ = (selector, root = document) => root.querySelector(selector);
export const all = (selector, root = document) => [...root.querySelectorAll(selector)];

// An address of the document that the page is about.
export const path = (step) => `/manuscripts/${document.body.dataset.manuscript}/${step}`;

export const galley = () => $("#galley");
export const on = (name, does, options) => document.addEventListener(name, does, options);
export const post = (step, values) => htmx.ajax("POST", path(step), { swap: "none", values });

// Numbers told shortly: 1, 2, 3, 7 is "1-3,7".
export function spans(ids) {
  const parts = [];
  for (const id of [...ids].sort((a, b) => a - b)) {
    const last = parts[parts.length - 1];
    if (last && id === last[1] + 1) last[1] = id;
    else parts.push([id, id]);
  }
  return parts.map(([a, b]) => (a === b ? `${a}` : `${a}-${b}`)).join(",");
}

// And back.
export function ids(text) {
  return (text || "").split(",").filter(Boolean).flatMap((span) => {
    const [a, b] = span.split("-").map(Number);
    return b ? Array.from({ length: b - a + 1 }, (_, i) => a + i) : [a];
  });
}
