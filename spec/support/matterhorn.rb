# frozen_string_literal: true

require "open3"

# A PDF held against conditions of the Matterhorn Protocol 1.1 that a machine can judge (PDF Association), by the parser
# of qpdf and not by what wrote it. Numbers are from memory where docs/pdf.md says so.
class Matterhorn
  HEADINGS = %w[/H1 /H2 /H3 /H4 /H5 /H6].freeze
  # Types of ISO 32000-1 14.8.4.
  STANDARD = %w[/Document /Part /Art /Sect /Div /BlockQuote /Caption /TOC /TOCI /Index /NonStruct /Private /P /H /H1 /H2
    /H3 /H4 /H5 /H6 /L /LI /Lbl /LBody /Table /TR /TH /TD /THead /TBody /TFoot /Span /Quote /Note /Reference /BibEntry
    /Code /Link /Annot /Ruby /Warichu /RB /RT /RP /WT /WP /Figure /Formula /Form].freeze
  ANNOTATIONS = %w[/Text /Link /FreeText /Line /Square /Circle /Polygon /PolyLine /Highlight /Underline /Squiggly
    /StrikeOut /Stamp /Caret /Ink /Popup /FileAttachment /Sound /Movie /Widget /Screen /PrinterMark /TrapNet /Watermark
    /3D /Redact].freeze
  INSIDE = {"/TR" => %w[/Table /THead /TBody /TFoot], "/TH" => %w[/TR], "/TD" => %w[/TR], "/LI" => %w[/L],
            "/Lbl" => %w[/LI /TOCI /Note], "/LBody" => %w[/LI], "/TOCI" => %w[/TOC],
            "/RB" => %w[/Ruby], "/RT" => %w[/Ruby], "/RP" => %w[/Ruby], "/WT" => %w[/Warichu],
            "/WP" => %w[/Warichu]}.freeze
  PAINTING = /(?:^|\s)(?:Tj|TJ|'|"|f|F|f\*|B|B\*|b|b\*|S|s|Do|sh|BI)(?=\s|$)/
  TOKENS = %r{\((?:\\.|[^\\()])*\)|<[0-9A-Fa-f\s]*>|/Artifact|BDC|BMC|EMC|/MCID|(?<=\s)(?:Tj|TJ|f|f\*|B|S|Do)(?=\s|\z)}m

  def initialize(path)
    out, = Open3.capture2e("qpdf", "--json=2", "--json-stream-data=inline", "--decode-level=generalized", path)
    @objects = JSON.parse(out).fetch("qpdf")[1].transform_values { |one| one["value"] || one["stream"] }
  end

  # {number => [what fails, …]} of all that a machine can judge; empty lists pass.
  def failures
    marks.merge(structure, languages, leavings, annotated, MatterhornFonts.new(self).failures)
  end

  # Checkpoints 01, 02, 06, 07.
  def marks
    {"01-003" => artifacts_in_content, "01-004" => content_in_artifacts, "01-005" => untagged, "01-007" => suspects,
     "02-001" => unmapped, "02-003" => mapped, "02-004" => role_map.keys & STANDARD,
     "06-001" => without(metadata, "xpacket"), "06-002" => claims? ? [] : unclaimed,
     "06-003" => without(metadata, "dc:title"), "07-001" => display, "07-002" => display}
  end

  # 09, 13 to 15, 17, 19.
  def structure
    {"09-004" => misplaced(%w[/TR /TH /TD]), "09-005" => misplaced(%w[/LI /Lbl /LBody]),
     "09-006" => misplaced(%w[/TOCI]), "09-007" => misplaced(%w[/RB /RT /RP]), "09-008" => misplaced(%w[/WT /WP]),
     "13-004" => speechless("/Figure"),
     "14-002" => first_heading, "14-003" => skipped, "14-006" => doubled_headings, "14-007" => mixed_headings,
     "15-003" => headless, "17-002" => speechless("/Formula"), "19-003" => notes.reject { |note| note["/ID"] },
     "19-004" => doubled_notes}
  end

  # 11: where the whole says its language, nothing is without one.
  def languages
    %w[11-001 11-002 11-003 11-004 11-005 11-006].to_h { |number| [number, language] }
  end

  # 20, 21, 25, 26, 30: what is not there can't be wrong.
  def leavings
    layers = catalogue["/OCProperties"] ? ["optional content"] : []
    files = at(catalogue["/Names"]).to_h["/EmbeddedFiles"] ? ["embedded files"] : []
    forms = at(catalogue["/AcroForm"]).to_h["/XFA"] ? ["XFA"] : []
    {"20-001" => layers, "20-002" => layers, "20-003" => layers, "21-001" => files, "25-001" => forms,
     "26-001" => encrypted, "26-002" => encrypted, "30-001" => xobjects.select { |one| one["/Ref"] },
     "30-002" => xobjects.select { |one| one["/StructParents"] }}
  end

  # 28.
  def annotated
    kinds = all_annotations.map { |one| one["/Subtype"] }
    others = kinds.reject { |kind| kind == "/Link" }
    {"28-002" => others, "28-004" => speechless_links, "28-005" => of_kind("/Widget"), "28-006" => others - ANNOTATIONS,
     "28-007" => of_kind("/TrapNet"), "28-008" => tab_orders { |order| order.nil? },
     "28-009" => tab_orders { |order| order != "/S" }, "28-010" => of_kind("/Widget"), "28-011" => loose_links,
     "28-012" => speechless_links, "28-014" => of_kind("/Screen"), "28-015" => of_kind("/Screen"),
     "28-016" => of_kind("/FileAttachment"), "28-017" => of_kind("/PrinterMark"), "28-018" => of_kind("/PrinterMark")}
  end

  # Does it claim to be PDF/UA-1?
  def claims?
    metadata.include?("<pdfuaid:part>1</pdfuaid:part>")
  end

  # --- what those that judge fonts ask ---

  def at(value)
    value = @objects["obj:#{value}"] while value.is_a?(String) && value.match?(/\A\d+ \d+ R\z/)
    (value.is_a?(Hash) && value.key?("dict")) ? value["dict"] : value
  end

  def catalogue = @catalogue ||= at(@objects["trailer"]["/Root"])

  def text(value) = value.to_s.delete_prefix("u:")

  def data(reference) = @objects["obj:#{reference}"]["data"].unpack1("m0")

  # [[bytes of what is painted, {name => font}], …] of pages
  def painted_pages
    pages.map do |page|
      contents = at(page["/Contents"]).is_a?(Array) ? at(page["/Contents"]) : [page["/Contents"]]
      fonts = at(at(page["/Resources"]).to_h["/Font"]).to_h.transform_values { |font| at(font) }
      [contents.map { |one| data(one) }.join("\n").b, fonts]
    end
  end

  def fonts
    @objects.values.map { |one| at(one) }.select { |one| one.is_a?(Hash) && one["/Type"] == "/Font" }
  end

  private

  def metadata
    @metadata ||= catalogue["/Metadata"] ? data(catalogue["/Metadata"]).force_encoding("UTF-8") : ""
  end

  def pages
    @pages ||= [].tap { |found| walk_pages(catalogue["/Pages"], found) }
  end

  def walk_pages(reference, found)
    node = at(reference)
    return found << node unless node["/Kids"]
    at(node["/Kids"]).each { |kid| walk_pages(kid, found) }
  end

  # Every structure element with those above it, in order.
  def elements
    @elements ||= [].tap { |found| walk(at(catalogue["/StructTreeRoot"]).to_h["/K"], [], found) }
  end

  def walk(kids, above, found)
    kids = at(kids)
    Array(kids.is_a?(Hash) ? [kids] : kids).each do |kid|
      node = at(kid)
      next unless node.is_a?(Hash) && node["/S"]
      found << [node, above]
      walk(node["/K"], above + [node], found) if node["/K"]
    end
  end

  def of_type(*types) = elements.map(&:first).select { |node| types.include?(node["/S"]) }

  def without(text, part) = text.include?(part) ? [] : ["no #{part}"]

  # Marked content of each page: [[kind of sequence around, operator], …].
  def painted
    @painted ||= painted_pages.map(&:first).flat_map do |page|
      stack = []
      pending = nil
      page.scan(TOKENS).filter_map do |token|
        case token
        when "/Artifact", "/MCID" then (pending = token) && nil
        when "BDC", "BMC" then stack.push([pending, stack.map(&:first)]) && (pending = nil)
        when "EMC" then stack.pop && nil
        when /\A[(<]/ then nil
        else [token, stack.map(&:first)]
        end
      end.map { |operator, around| [operator, Array(around)] }
    end
  end

  def untagged
    painted.reject { |_, around| around.any? { |kind| %w[/Artifact /MCID].include?(kind) } }
  end

  def artifacts_in_content
    painted.select { |_, around| around.index("/MCID")&.<(around.rindex("/Artifact") || -1) }
  end

  def content_in_artifacts
    painted.select { |_, around| around.index("/Artifact")&.<(around.rindex("/MCID") || -1) }
  end

  def suspects
    mark = at(catalogue["/MarkInfo"]) || {}
    (mark["/Marked"] == true && mark["/Suspects"] != true) ? [] : [mark]
  end

  def role_map = at(at(catalogue["/StructTreeRoot"]).to_h["/RoleMap"]).to_h

  def mapped = role_map.select { |from, to| from == to }.keys

  # Types that are neither standard nor mapped.
  def unmapped = elements.map { |node, _| node["/S"] }.uniq - STANDARD - role_map.keys

  # A file that claims nothing is asked nothing: it says that it is no PDF/UA.
  def unclaimed = metadata.include?("<pdfuaid:part>") ? ["another part"] : []

  def display = at(catalogue["/ViewerPreferences"]).to_h["/DisplayDocTitle"] ? [] : ["the title is not shown"]

  def misplaced(types)
    elements.filter_map do |node, above|
      allowed = INSIDE[node["/S"]] if types.include?(node["/S"])
      [node["/S"], above.last&.fetch("/S")] if allowed && !allowed.include?(above.last&.fetch("/S"))
    end
  end

  def language = text(catalogue["/Lang"]).match?(/\A[a-z]{2,3}\b/) ? [] : [catalogue["/Lang"]]

  def speechless(type)
    of_type(type).reject { |node| [node["/Alt"], node["/ActualText"]].any? { |said| !text(said).empty? } }
  end

  def levels = of_type(*HEADINGS).map { |node| node["/S"][2].to_i }

  def first_heading = (levels.empty? || levels.first == 1) ? [] : [levels.first]

  def skipped = levels.each_cons(2).select { |one, other| other > one + 1 }

  # More than one H below an element.
  def doubled_headings
    elements.select { |node, _| node["/S"] == "/H" }.map { |_, above| above.last.object_id }.tally
      .select { |_, count| count > 1 }.keys
  end

  def mixed_headings = (of_type("/H").any? && levels.any?) ? ["H and Hn"] : []

  def headless
    of_type("/TH").reject do |node|
      sets = at(node["/A"])
      (sets.is_a?(Array) ? sets : [sets]).any? { |set| at(set).to_h["/Scope"] }
    end
  end

  def notes = of_type("/Note")

  def doubled_notes = notes.map { |note| note["/ID"] }.tally.select { |_, count| count > 1 }.keys

  def encrypted = @objects["trailer"]["/Encrypt"] ? ["encrypted"] : []

  def annotations(page) = Array(at(page["/Annots"])).map { |one| at(one) }

  def all_annotations = pages.flat_map { |page| annotations(page) }

  def of_kind(kind) = all_annotations.select { |one| one["/Subtype"] == kind }

  def tab_orders = pages.select { |page| annotations(page).any? && yield(page["/Tabs"]) }

  def xobjects
    @objects.values.map { |one| at(one) }.select { |one| one.is_a?(Hash) && one["/Subtype"] == "/Form" }
  end

  def loose_links
    held = of_type("/Link").flat_map { |node| Array(at(node["/K"])).map { |kid| at(kid) } }
      .select { |kid| kid.is_a?(Hash) && kid["/Type"] == "/OBJR" }.map { |kid| at(kid["/Obj"]) }
    of_kind("/Link") - held
  end

  def speechless_links
    all_annotations.select { |one| text(one["/Contents"]).empty? }
  end
end
