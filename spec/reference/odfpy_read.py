# Reads an .odt through odfpy (Debian python3-odf): paragraphs with their styles, and what each style and span sets, resolved
# by the chain of parents as ISO/IEC 26300-1 16.2 says.
import json
import sys

from odf import teletype
from odf.namespaces import FONS, STYLENS, TEXTNS
from odf.opendocument import load
from odf.style import DefaultStyle, ParagraphProperties, Style, TextProperties

document = load(sys.argv[1])
styles = {}
for style in document.getElementsByType(Style):
    if style.getAttribute("family") == "paragraph":
        styles[style.getAttribute("name")] = style
defaults = [d for d in document.getElementsByType(DefaultStyle) if d.getAttribute("family") == "paragraph"]


def said(style, kind, space, name):
    for properties in style.getElementsByType(kind):
        value = properties.attributes.get((space, name))
        if value is not None:
            return value
    return None


def effective(name, kind, space, attribute):
    style, seen = styles.get(name), set()
    while style is not None and style not in seen:
        seen.add(style)
        value = said(style, kind, space, attribute)
        if value is not None:
            return value
        style = styles.get(style.getAttribute("parentstylename"))
    return said(defaults[0], kind, space, attribute) if defaults else None


found = []
stack = list(document.text.childNodes)
while stack:
    node = stack.pop(0)
    if getattr(node, "qname", None) in ((TEXTNS, "p"), (TEXTNS, "h")):
        name = node.getAttribute("stylename")
        found.append({"heading": node.qname[1] == "h", "text": teletype.extractText(node),
                      "align": effective(name, ParagraphProperties, FONS, "text-align"), "left": effective(name, ParagraphProperties, FONS, "margin-left"),
                      "after": effective(name, ParagraphProperties, FONS, "margin-bottom"), "line": effective(name, ParagraphProperties, FONS, "line-height"),
                      "size": effective(name, TextProperties, FONS, "font-size"), "weight": effective(name, TextProperties, FONS, "font-weight")})
    else:
        stack = list(getattr(node, "childNodes", [])) + stack
print(json.dumps(found))
