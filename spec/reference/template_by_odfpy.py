"""Makes a template and a document of it by odfpy. Usage: template_by_odfpy.py TEMPLATE DOCUMENT"""
import sys
from odf.opendocument import OpenDocumentText
from odf.style import MasterPage, PageLayout, PageLayoutProperties, ParagraphProperties, Style, TextProperties
from odf.text import H, P


def make(path, texts):
    d = OpenDocumentText()
    layout = PageLayout(name="L")
    d.automaticstyles.addElement(layout)
    layout.addElement(PageLayoutProperties(pagewidth="21cm", pageheight="29.7cm", margintop="3cm", marginbottom="2cm",
                                           marginleft="3.5cm", marginright="2cm"))
    d.masterstyles.addElement(MasterPage(name="Standard", pagelayoutname=layout))
    body = Style(name="Text_20_body", displayname="Text body", family="paragraph")
    body.addElement(TextProperties(fontsize="11.5pt", fontfamily="Garamond"))
    body.addElement(ParagraphProperties(lineheight="150%", textindent="18pt"))
    head = Style(name="Heading_20_1", displayname="Heading 1", family="paragraph", defaultoutlinelevel="1")
    head.addElement(TextProperties(fontsize="18pt", fontfamily="Arial"))
    head.addElement(ParagraphProperties(breakbefore="page"))
    for style in (body, head):
        d.styles.addElement(style)
    for level, text in texts:
        one = H(outlinelevel=1, stylename=head, text=text) if level else P(stylename=body, text=text)
        d.text.addElement(one)
    d.save(path)


line = "The keeper of the gate wrote the hour and the height of the tide in the book."
make(sys.argv[1], [(0, line)])
make(sys.argv[2], [(1, "One")] + [(0, line)] * 5 + [(1, "Two"), (0, line)])
