"""What a file holds by python-docx or odfpy (Debian python3-docx, python3-odf), as JSON: of every paragraph its text, its
style, what is set by hand on it and on its words, and its character styles. Usage: outside.py FILE"""
import json, sys

def docx(path):
    from docx import Document
    document = Document(path)
    local = lambda node: node.tag.split("}")[1]
    styles = {s.name: {"line_spacing": s.paragraph_format.line_spacing, "size": s.font.size.pt if s.font.size else None,
                       "color": str(s.font.color.rgb) if s.font.color is not None and s.font.color.rgb else None,
                       "align": str(s.paragraph_format.alignment)}
              for s in document.styles if s.type == 1}
    paragraphs = []
    for p in document.paragraphs:
        set_on = [local(n) for n in p._p.pPr if local(n) not in ("pStyle", "sectPr", "rPr")] if p._p.pPr is not None else []
        words = [[local(n) for n in r._r.rPr if local(n) not in ("rStyle", "lang")] if r._r.rPr is not None else [] for r in p.runs]
        paragraphs.append({"text": p.text, "style": p.style.name, "set": set_on, "words": sorted(set(sum(words, []))),
                           "character": [[r.text, r.style.name] for r in p.runs if r.style is not None and r.style.name != "Default Paragraph Font"]})
    return {"paragraphs": paragraphs, "styles": styles}

def odt(path):
    from odf import teletype
    from odf.namespaces import STYLENS, TEXTNS
    from odf.opendocument import load
    from odf.style import Style
    from odf.text import H, P, Span
    document = load(path)
    named = {s.getAttribute("name"): s for s in document.getElementsByType(Style)}
    automatic = {s.getAttribute("name") for s in document.automaticstyles.getElementsByType(Style)}
    paragraphs = []
    for node in document.text.getElementsByType(P) + document.text.getElementsByType(H):
        name = node.getAttribute("stylename")
        style = named.get(name)
        by_hand = []
        if name in automatic:
            by_hand = [str(key[1]) for child in style.childNodes for key in (child.attributes or {})]
            style = named.get(style.getAttribute("parentstylename"))
        shown = (style.getAttribute("displayname") or style.getAttribute("name")) if style else None
        words = [str(key[1]) for span in node.getElementsByType(Span) if span.getAttribute("stylename") in automatic
                 for child in named[span.getAttribute("stylename")].childNodes for key in (child.attributes or {})]
        paragraphs.append({"text": teletype.extractText(node), "style": shown, "set": by_hand, "words": sorted(set(words))})
    return {"paragraphs": paragraphs}

print(json.dumps((odt if sys.argv[1].endswith(".odt") else docx)(sys.argv[1])))
