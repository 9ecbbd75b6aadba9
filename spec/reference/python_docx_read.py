"""Reads a .docx by python-docx: of every paragraph and run the values, through its own walk of the style chain. Usage: python_docx_read.py FILE"""
import json, sys
from docx import Document

def chain(style):
    while style is not None:
        yield style
        style = style.base_style

def paragraph_value(p, name):
    value = getattr(p.paragraph_format, name)
    for style in chain(p.style):
        if value is not None: return value
        value = getattr(style.paragraph_format, name)
    return value

def run_value(p, r, name):
    value = getattr(r.font, name)
    for style in chain(p.style):
        if value is not None: return value
        value = getattr(style.font, name)
    return value

def own(style):
    """What a style sets itself, as python-docx names it; list styles set nothing there."""
    if not hasattr(style, "font"): return {}
    values = {"size_pt": pt(style.font.size), "bold": style.font.bold, "italic": style.font.italic, "font": style.font.name, "small_caps": style.font.small_caps, "priority": style.priority, "hidden": style.hidden}
    if hasattr(style, "paragraph_format"):
        f = style.paragraph_format
        values.update({"next": style.next_paragraph_style.name, "align": None if f.alignment is None else str(f.alignment).split(" ")[0].lower(), "indent_left_pt": pt(f.left_indent), "first_line_pt": pt(f.first_line_indent),
                       "space_before_pt": pt(f.space_before), "space_after_pt": pt(f.space_after), "keep_with_next": f.keep_with_next, "page_break_before": f.page_break_before, "widow_control": f.widow_control,
                       "line_spacing": round(f.line_spacing, 4) if isinstance(f.line_spacing, float) else pt(f.line_spacing), "tabs_pt": [[pt(t.position), str(t.alignment).split(" ")[0].lower(), str(t.leader).split(" ")[0].lower()] for t in f.tab_stops]})
    return values

pt = lambda length: None if length is None else round(length.pt, 2)
doc = Document(sys.argv[1])
print(json.dumps({
    "styles": [{"name": s.name, "type": str(s.type).split(".")[-1].split(" ")[0].lower(), "based_on": s.base_style.name if getattr(s, "base_style", None) is not None else None, "own": own(s)} for s in doc.styles],
    "paragraphs": [{
        "text": p.text, "style": p.style.name, "align": None if paragraph_value(p, "alignment") is None else str(paragraph_value(p, "alignment")).split(" ")[0].lower(),
        "indent_left_pt": pt(paragraph_value(p, "left_indent")), "first_line_pt": pt(paragraph_value(p, "first_line_indent")), "space_before_pt": pt(paragraph_value(p, "space_before")), "space_after_pt": pt(paragraph_value(p, "space_after")),
        "keep_with_next": paragraph_value(p, "keep_with_next"),
        "runs": [{"text": r.text, "bold": run_value(p, r, "bold"), "italic": run_value(p, r, "italic"), "size_pt": pt(run_value(p, r, "size")), "font": run_value(p, r, "name")} for r in p.runs],
    } for p in doc.paragraphs],
}))
