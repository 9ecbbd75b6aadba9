// Lengths as fields say them.
const UNITS = { pt: 1, cm: 28.3465, mm: 2.83465, in: 72, pc: 12 };

export const inPoints = (text) => parseFloat(text.replace(",", ".")) * (UNITS[text.match(/[a-z]+/)?.[0]] || 1);

// Points in the unit that another length is said in.
export function spoken(points, like) {
  const unit = like.match(/cm|mm|in|pc/)?.[0] || "pt";
  return `${Number((points / UNITS[unit]).toFixed(unit === "mm" ? 1 : 2))} ${unit}`;
}
