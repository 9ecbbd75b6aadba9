"""Writes a .docx with known values by python-docx, and the values as JSON. Usage: python_docx_write.py OUT"""
import json, sys
from docx import Document
from docx.enum.style import WD_STYLE_TYPE
from docx.enum.text import WD_ALIGN_PARAGRAPH, WD_LINE_SPACING
from docx.shared import Pt, Cm, Inches, RGBColor

ALIGN = ["left", "center", "right", "justify"]
KINDS = [WD_ALIGN_PARAGRAPH.LEFT, WD_ALIGN_PARAGRAPH.CENTER, WD_ALIGN_PARAGRAPH.RIGHT, WD_ALIGN_PARAGRAPH.JUSTIFY]
doc = Document()
expected = []
for n in range(60):
    style = doc.styles.add_style(f"Made {n}", WD_STYLE_TYPE.PARAGRAPH)
    style.base_style = doc.styles["Normal"] if n % 3 == 0 else (doc.styles[f"Made {n - 1}"] if n % 3 == 1 else None)
    style.font.size = Pt(8 + n % 20)
    if n % 4 == 0: style.font.italic = True
    style.paragraph_format.space_after = Pt(n % 13)
    p = doc.add_paragraph(style=style)
    f = p.paragraph_format
    f.alignment = KINDS[n % 4]
    f.left_indent = Cm(0.1 * n)
    f.right_indent = Inches(0.05 * (n % 5))
    f.first_line_indent = Pt(n - 30)
    f.space_before = Pt(n * 0.5)
    f.keep_with_next, f.keep_together, f.page_break_before, f.widow_control = n % 2 == 0, n % 3 == 0, n % 5 == 0, n % 7 != 0
    if n % 3 == 0: f.line_spacing = 1.0 + (n % 9) / 8
    elif n % 3 == 1: f.line_spacing = Pt(10 + n)
    else:
        f.line_spacing_rule = WD_LINE_SPACING.AT_LEAST
        f.line_spacing = Pt(12 + n)
    r = p.add_run(f"run {n}")
    r.bold, r.italic, r.underline = n % 2 == 1, [True, False, None][n % 3], n % 4 == 1
    r.font.name, r.font.color.rgb = ["Arial", "Calibri", "Georgia"][n % 3], RGBColor(n, 2 * n, 3 * n)
    r.font.small_caps, r.font.all_caps, r.font.strike = n % 6 == 1, n % 6 == 2, n % 6 == 3
    r.font.superscript = True if n % 10 == 4 else None
    expected.append({
        "style": f"Made {n}", "text": f"run {n}",
        "effective": {"align": ALIGN[n % 4], "indent_left_pt": f.left_indent.twips / 20, "indent_right_pt": round(Inches(0.05 * (n % 5)).pt * 20) / 20, "first_line_pt": n - 30, "space_before_pt": n * 0.5, "space_after_pt": n % 13,
                      "keep_with_next": n % 2 == 0, "keep_together": n % 3 == 0, "page_break_before": n % 5 == 0, "widow_control": n % 7 != 0,
                      "line_spacing": {"rule": "multiple", "value": 1.0 + (n % 9) / 8} if n % 3 == 0 else {"rule": "exact" if n % 3 == 1 else "at_least", "value": (10 if n % 3 == 1 else 12) + n}},
        "run": {"font": ["Arial", "Calibri", "Georgia"][n % 3], "size_pt": 8 + n % 20, "bold": n % 2 == 1, "underline": n % 4 == 1, "color": "#%02x%02x%02x" % (n, 2 * n, 3 * n), "small_caps": n % 6 == 1, "caps": n % 6 == 2, "strike": n % 6 == 3,
                "position": "super" if n % 10 == 4 else "normal",
                "italic": [True, False, n % 4 == 0 or (n % 3 == 1 and (n - 1) % 4 == 0)][n % 3]},
    })
section = doc.sections[0]
section.left_margin, section.right_margin, section.top_margin, section.page_width = Cm(3.8), Cm(2.5), Inches(1), Inches(8.5)
doc.core_properties.title = "Made by python-docx"
doc.save(sys.argv[1])
print(json.dumps(expected))
