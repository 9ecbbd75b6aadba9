"""Makes a template and a document of it by python-docx. Usage: template_by_python_docx.py TEMPLATE DOCUMENT"""
import sys
from docx import Document
from docx.shared import Mm, Pt

d = Document()
s = d.sections[0]
s.page_width, s.page_height, s.left_margin, s.top_margin = Mm(210), Mm(297), Mm(35), Mm(30)
n = d.styles["Normal"]
n.font.name, n.font.size, n.paragraph_format.line_spacing = "Garamond", Pt(11.5), 1.5
d.styles["Body Text"].paragraph_format.first_line_indent = Pt(18)
h = d.styles["Heading 1"]
h.font.size, h.paragraph_format.page_break_before = Pt(18), True
d.save(sys.argv[1])
d.add_heading("One", 1)
for i in range(5):
    d.add_paragraph("The keeper of the gate wrote the hour and the height in the book.", style="Body Text")
d.add_heading("Two", 1)
d.add_paragraph("a can of oil for the lamp", style="List Bullet")
d.save(sys.argv[2])
