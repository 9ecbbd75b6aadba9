# Writes an .odt with known values through odfpy (Debian python3-odf) and prints them as JSON: what is read must be this.
import json
import sys

from odf.opendocument import OpenDocumentText
from odf.style import ParagraphProperties, Style, TextProperties
from odf.text import H, List, ListItem, ListLevelStyleNumber, ListStyle, LineBreak, P, S, Span, Tab

ALIGN = ["left", "center", "end", "justify"]
READ = {"left": "left", "center": "center", "end": "right", "justify": "justify"}

document = OpenDocumentText()
standard = Style(name="Standard", family="paragraph")
document.styles.addElement(standard)
heading = Style(name="Heading 1", family="paragraph", parentstylename="Standard", defaultoutlinelevel=1)
heading.addElement(TextProperties(fontsize="18pt", fontweight="bold"))
document.styles.addElement(heading)
expected = []

for number in range(40):
    align = ALIGN[number % 4]
    left, first = round(3.5 * (number % 7), 2), round(6.25 * (number % 5) - 12.5, 2)
    before, after = number % 9, round(1.5 * (number % 6), 2)
    multiple = 1 + (number % 5) * 0.25
    style = Style(name="Body %d" % number, family="paragraph", parentstylename="Standard")
    style.addElement(ParagraphProperties(textalign=align, marginleft="%gpt" % left, textindent="%gpt" % first, margintop="%gpt" % before,
                                         marginbottom="%gpt" % after, lineheight="%g%%" % (multiple * 100), keepwithnext="always" if number % 3 == 0 else "auto"))
    size, bold, italic, colour = 8 + number % 10 * 0.5, number % 2 == 0, number % 3 == 1, "#%02x%02x%02x" % (number * 5, 255 - number * 5, 40)
    style.addElement(TextProperties(fontsize="%gpt" % size, fontweight="bold" if bold else "normal", fontstyle="italic" if italic else "normal", color=colour,
                                    fontfamily="'Liberation Sans'", letterspacing="%gpt" % (number % 4 * 0.25), fontvariant="small-caps" if number % 8 == 5 else "normal"))
    document.styles.addElement(style)
    paragraph = P(stylename=style)
    paragraph.addText("Paragraph %d with" % number)
    paragraph.addElement(S(c=2))
    paragraph.addText("spaces,")
    paragraph.addElement(Tab())
    paragraph.addText("a tab")
    paragraph.addElement(LineBreak())
    paragraph.addText("and a line.")
    document.text.addElement(paragraph)
    expected.append({"style": "Body %d" % number, "text": "Paragraph %d with  spaces,\ta tab\nand a line." % number,
                     "effective": {"align": READ[align], "indent_left_pt": left, "first_line_pt": first, "space_before_pt": before, "space_after_pt": after,
                                   "line_spacing": {"rule": "multiple", "value": multiple}, "keep_with_next": number % 3 == 0, "outline_level": None},
                     "run": {"font": "Liberation Sans", "size_pt": size, "bold": bold, "italic": italic, "color": colour, "letter_spacing_pt": number % 4 * 0.25,
                             "small_caps": number % 8 == 5}})

document.text.addElement(H(outlinelevel=1, stylename=heading, text="A heading"))
expected.append({"style": "Heading 1", "text": "A heading", "effective": {"outline_level": 1}, "run": {"size_pt": 18, "bold": True}})

numbers = ListStyle(name="Numbers")
numbers.addElement(ListLevelStyleNumber(level=1, numformat="1", numsuffix="."))
document.automaticstyles.addElement(numbers)
items = List(stylename=numbers)
for number in range(3):
    item = ListItem()
    item.addElement(P(stylename=standard, text="entry %d" % number))
    items.addElement(item)
    expected.append({"style": "Standard", "text": "entry %d" % number, "effective": {"list": {"level": 1, "marker": "%d." % (number + 1)}}, "run": {}})
document.text.addElement(items)
document.save(sys.argv[1])
print(json.dumps(expected))
