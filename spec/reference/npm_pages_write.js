// A document with pages of every kind as the npm library docx writes it: sections, heads and feet, contents fields with nothing in
// them yet, captions that count, references to pages, a sheet on its long side, columns. Argument: the file to write.
const fs = require("fs");
const d = require("docx");

const P = (t, o={}) => new d.Paragraph({ children: [new d.TextRun(t)], ...o });
const cap = (w, t) => new d.Paragraph({ style: "Caption", children: [new d.TextRun(w + " "), new d.SequentialIdentifier(w), new d.TextRun(". " + t)] });
const H = (t, l=1) => new d.Paragraph({ heading: d.HeadingLevel["HEADING_" + l], children: [new d.Bookmark({ id: "b" + t.replace(/\W/g, ""), children: [new d.TextRun(t)] })] });
const foot = (c) => new d.Footer({ children: [new d.Paragraph({ alignment: d.AlignmentType.CENTER, children: [new d.TextRun({ children: c })] })] });
const table = new d.Table({ rows: [1,2,3].map(i => new d.TableRow({ children: [1,2,3,4].map(j => new d.TableCell({ children: [P(`${i}.${j}`)] })) })) });
const long = "The harbour office keeps a book of tides and every keeper writes down what was seen at low water. ".repeat(12);
const doc = new d.Document({ features: { updateFields: true }, evenAndOddHeaderAndFooters: true, sections: [
 { properties: { titlePage: true, page: { pageNumbers: { start: 1, formatType: d.NumberFormat.LOWER_ROMAN } } }, footers: { default: foot(["– ", d.PageNumber.CURRENT, " –"]), first: foot([""]), even: foot([d.PageNumber.CURRENT]) }, headers: { default: new d.Header({ children: [P("Draft\tHarbour"), P("two lines")] }) },
   children: [P("A thesis on tides", { style: "Title" }), new d.Paragraph({ children: [new d.PageBreak()] }), P("Contents", { style: "TOCHeading" }), new d.TableOfContents("Contents", { hyperlink: true, headingStyleRange: "1-3" }), new d.TableOfContents("Figures", { captionLabel: "Figure" })] },
 { properties: { type: d.SectionType.ODD_PAGE, page: { margin: { gutter: 400 }, pageNumbers: { start: 1, formatType: d.NumberFormat.DECIMAL } } }, footers: { default: foot([d.PageNumber.CURRENT, " of ", d.PageNumber.TOTAL_PAGES]) },
   children: [H("Of mills"), P(long), cap("Figure", "A mill"), P("See Figure 1 and Figure 4, and Table 1."), H("Wheels", 2), P(long), cap("Table", "Dues"), table, P(long), H("Of dues"), P(long), cap("Figure", "A toll"), new d.Paragraph({ children: [new d.TextRun("As on page "), new d.PageReference("bOfmills"), new d.TextRun(".")] })] },
 { properties: { page: { size: { orientation: d.PageOrientation.LANDSCAPE }, } }, children: [table, P("")] },
 { properties: { column: { count: 2, space: 500 }, type: d.SectionType.CONTINUOUS }, children: [H("References"), P("Writer, A., Salt, 1901."), P("Other, B., Timber, 1902.")] } ] });
d.Packer.toBuffer(doc).then(b => fs.writeFileSync(process.argv[2], b));
