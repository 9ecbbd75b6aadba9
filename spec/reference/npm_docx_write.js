// Writes a .docx with known values by the npm library docx, and the values as JSON. Usage: node npm_docx_write.js OUT
const fs = require("fs");
const { Document, Packer, Paragraph, TextRun, Table, TableRow, TableCell, AlignmentType, LineRuleType } = require("docx");
const kinds = [["left", AlignmentType.LEFT], ["center", AlignmentType.CENTER], ["right", AlignmentType.RIGHT], ["justify", AlignmentType.JUSTIFIED]];
const expected = [];
const paragraphs = Array.from({ length: 40 }, (_, n) => {
  const [align, alignment] = kinds[n % 4];
  const exact = n % 2 === 0;
  expected.push({
    style: n % 3 ? "Normal" : "Inset", text: `run ${n}`,
    effective: { align, indent_left_pt: (n * 40) / 20, first_line_pt: n % 2 ? (n * 10) / 20 : -(n * 10) / 20, space_before_pt: n, space_after_pt: n % 3 ? n / 2 : 9, line_spacing: exact ? { rule: "exact", value: 12 + n } : { rule: "multiple", value: 1.5 }, keep_with_next: n % 5 === 0 },
    run: { size_pt: 8 + n / 2, bold: n % 2 === 0, italic: n % 3 === 0 ? n % 2 !== 0 : n % 2 === 0, underline: n % 4 === 0, color: `#${(0x100000 + n * 4097).toString(16)}`, small_caps: n % 5 === 1, caps: n % 5 === 2, strike: n % 5 === 3, letter_spacing_pt: n / 20 },
  });
  return new Paragraph({
    alignment, style: n % 3 ? undefined : "Inset", keepNext: n % 5 === 0, indent: { left: n * 40, ...(n % 2 ? { firstLine: n * 10 } : { hanging: n * 10 }) },
    spacing: { before: n * 20, ...(n % 3 ? { after: n * 10 } : {}), line: exact ? (12 + n) * 20 : 360, lineRule: exact ? LineRuleType.EXACT : LineRuleType.AUTO },
    children: [new TextRun({ text: `run ${n}`, size: 16 + n, bold: n % 2 === 0, ...(n % 3 ? { italics: n % 2 === 0 } : { style: n % 2 ? undefined : "Lean" }), ...(n % 4 ? {} : { underline: {} }), color: (0x100000 + n * 4097).toString(16), ...(n % 5 === 1 ? { smallCaps: true } : {}), ...(n % 5 === 2 ? { allCaps: true } : {}), strike: n % 5 === 3, characterSpacing: n })],
  });
});
const table = new Table({ rows: [new TableRow({ children: [new TableCell({ children: [new Paragraph("in a cell")] })] })] });
const doc = new Document({
  title: "Made by docx",
  styles: { paragraphStyles: [{ id: "Inset", name: "Inset", basedOn: "Normal", run: { italics: true }, paragraph: { spacing: { after: 180 } } }], characterStyles: [{ id: "Lean", name: "Lean", run: { italics: true } }] },
  sections: [{ properties: { page: { size: { width: 11906, height: 16838 }, margin: { top: 1417, right: 1417, bottom: 1417, left: 2155 } } }, children: [...paragraphs, table] }],
});
Packer.toBuffer(doc).then((buffer) => { fs.writeFileSync(process.argv[2], buffer); console.log(JSON.stringify(expected)); });
