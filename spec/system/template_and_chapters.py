"""A report's template with front matter and two chapters in other looks, by python-docx (Debian python3-docx).
Usage: template_and_chapters.py TEMPLATE CHAPTER CHAPTER"""
import sys

import docx
from docx.enum.section import WD_SECTION
from docx.enum.text import WD_ALIGN_PARAGRAPH
from docx.oxml import OxmlElement
from docx.oxml.ns import qn
from docx.shared import Pt


def sign(run, kind):
    element = OxmlElement("w:fldChar")
    element.set(qn("w:fldCharType"), kind)
    run._r.append(element)


def field(paragraph, instruction, shown):
    sign(paragraph.add_run(), "begin")
    element = OxmlElement("w:instrText")
    element.text = instruction
    paragraph.add_run()._r.append(element)
    sign(paragraph.add_run(), "separate")
    paragraph.add_run(shown)
    sign(paragraph.add_run(), "end")


def numbered(section, kind, start=None):
    element = OxmlElement("w:pgNumType")
    element.set(qn("w:fmt"), kind)
    if start:
        element.set(qn("w:start"), str(start))
    section._sectPr.append(element)


def template(path):
    made = docx.Document()
    made.styles["Normal"].font.name = "Liberation Serif"
    made.styles["Normal"].font.size = Pt(12)
    made.styles["Normal"].paragraph_format.line_spacing = 1.5
    made.styles["Heading 1"].paragraph_format.page_break_before = True
    for words, style in (("[Title of your report]", "Title"), ("Harbour Authority of Ravelmouth", "Normal"),
                         ("by [your name]", "Normal")):
        made.add_paragraph(words, style=style).alignment = WD_ALIGN_PARAGRAPH.CENTER
    made.add_heading("Declaration", 1)
    made.add_paragraph("I declare that this report rests on the registers named in it.")
    made.add_heading("Contents", 1)
    field(made.add_paragraph(), ' TOC \\o "1-2" \\h ', "Contents are made when the text is in.")
    numbered(made.add_section(WD_SECTION.NEW_PAGE), "decimal", start=1)
    numbered(made.sections[0], "lowerRoman")
    field(made.sections[0].footer.paragraphs[0], " PAGE ", "1")
    made.add_heading("Your first chapter", 1)
    made.add_paragraph("Write here.")
    made.add_heading("References", 1)
    made.add_paragraph("[List of your sources]")
    made.save(path)


def chapter(path, head, words):
    made = docx.Document()
    made.styles["Normal"].font.name = "Calibri"
    made.add_heading(head, 1)
    made.add_paragraph(words * 4)
    made.add_heading("What was paid", 2)
    for item in ("In spring", "In autumn"):
        made.add_paragraph(item, style="List Number")
    made.add_table(2, 2).cell(0, 0).text = "Year"
    made.save(path)


template(sys.argv[1])
chapter(sys.argv[2], "Dues of the outer harbour", "The dues were set in spring and paid in autumn. ")
chapter(sys.argv[3], "Dues of the inner harbour", "Of the inner harbour there is less to say. ")
