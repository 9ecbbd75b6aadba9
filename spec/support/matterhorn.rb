# frozen_string_literal: true

require "open3"

# A PDF held against conditions of the Matterhorn Protocol 1.1 that a machine can judge (PDF Association), by the parser
# of qpdf and not by what wrote it. Numbers are from memory where docs/pdf.md says so.
class Matterhorn
  HEADINGS = %w[/H1 /H2 /H3 /H4 /H5 /H6].freeze
  INSIDE = {"/TR" => %w[/Table /THead /TBody /TFoot], "/TH" => %w[/TR], "/TD" => %w[/TR], "/LI" => %w[/L],
            "/Lbl" => %w[/LI /TOCI /Note], "/LBody" => %w[/LI], "/TOCI" => %w[/TOC]}.freeze
  PAINTING = /(?:^|\s)(?:Tj|TJ|'|"|f|F|f\*|B|B\*|b|b\*|S|s|Do|sh|BI)(?=\s|$)/
  TOKENS = %r{\((?:\\.|[^\\()])*\)|<[0-9A-Fa-f\s]*>|/Artifact|BDC|BMC|EMC|/MCID|(?<=\s)(?:Tj|TJ|f|f\*|B|S|Do)(?=\s|\z)}m

  def initialize(path)
    out, = Open3.capture2e("qpdf", "--json=2", "--json-stream-data=inline", "--decode-level=generalized", path)
    @objects = JSON.parse(out).fetch("qpdf")[1].transform_values { |one| one["value"] || one["stream"] }
  end

  # {number => [what fails, …]} of all that are looked at; empty lists pass.
  def failures
    {"01-003" => artifacts_in_content, "01-004" => content_in_artifacts, "01-005" => untagged, "01-007" => suspects,
     "02-001" => mapped, "06-002" => without(metadata, "xpacket"), "06-003" => without(metadata, "dc:title"),
     "07-001" => display, "07-002" => display, "09-004" => misplaced, "11-006" => language, "13-004" => mute_figures,
     "14-002" => first_heading, "14-003" => skipped, "14-007" => mixed_headings, "15-003" => headless,
     "19-003" => notes.reject { |note| note["/ID"] }, "19-004" => doubled_notes, "26-001" => encrypted,
     "28-009" => tab_orders, "28-011" => loose_links, "28-012" => speechless_links,
     "31-009" => fonts_missing, "31-027" => fonts_without_unicode}
  end

  # Does it claim to be PDF/UA-1?
  def claims?
    metadata.include?("<pdfuaid:part>1</pdfuaid:part>")
  end

  private

  def at(value)
    value = @objects["obj:#{value}"] while value.is_a?(String) && value.match?(/\A\d+ \d+ R\z/)
    (value.is_a?(Hash) && value.key?("dict")) ? value["dict"] : value
  end

  def catalogue = @catalogue ||= at(@objects["trailer"]["/Root"])

  def text(value) = value.to_s.delete_prefix("u:")

  def data(reference) = @objects["obj:#{reference}"]["data"].unpack1("m0")

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
    @painted ||= pages.flat_map do |page|
      contents = at(page["/Contents"]).is_a?(Array) ? at(page["/Contents"]) : [page["/Contents"]]
      stack = []
      pending = nil
      contents.map { |one| data(one) }.join("\n").b.scan(TOKENS).filter_map do |token|
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

  def mapped = at(at(catalogue["/StructTreeRoot"]).to_h["/RoleMap"]).to_h.select { |from, to| from == to }.keys

  def display = at(catalogue["/ViewerPreferences"]).to_h["/DisplayDocTitle"] ? [] : ["the title is not shown"]

  def misplaced
    elements.filter_map do |node, above|
      allowed = INSIDE[node["/S"]]
      [node["/S"], above.last&.fetch("/S")] if allowed && !allowed.include?(above.last&.fetch("/S"))
    end
  end

  def language = text(catalogue["/Lang"]).match?(/\A[a-z]{2,3}\b/) ? [] : [catalogue["/Lang"]]

  def mute_figures
    of_type("/Figure").reject { |node| [node["/Alt"], node["/ActualText"]].any? { |said| !text(said).empty? } }
  end

  def levels = of_type(*HEADINGS).map { |node| node["/S"][2].to_i }

  def first_heading = (levels.empty? || levels.first == 1) ? [] : [levels.first]

  def skipped = levels.each_cons(2).select { |one, other| other > one + 1 }

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

  def tab_orders = pages.select { |page| annotations(page).any? && page["/Tabs"] != "/S" }

  def loose_links
    held = of_type("/Link").flat_map { |node| Array(at(node["/K"])).map { |kid| at(kid) } }
      .select { |kid| kid.is_a?(Hash) && kid["/Type"] == "/OBJR" }.map { |kid| at(kid["/Obj"]) }
    pages.flat_map { |page| annotations(page) }.select { |one| one["/Subtype"] == "/Link" } - held
  end

  def speechless_links
    pages.flat_map { |page| annotations(page) }.select { |one| text(one["/Contents"]).empty? }
  end

  def fonts
    @objects.values.map { |one| at(one) }.select { |one| one.is_a?(Hash) && one["/Type"] == "/Font" }
  end

  def fonts_missing
    fonts.reject { |font| font["/Subtype"] == "/Type0" }.reject do |font|
      descriptor = at(font["/FontDescriptor"]).to_h
      %w[/FontFile /FontFile2 /FontFile3].any? { |name| descriptor[name] }
    end.map { |font| font["/BaseFont"] }
  end

  def fonts_without_unicode
    fonts.reject { |font| font["/Subtype"].start_with?("/CIDFont") || font["/ToUnicode"] }
      .map { |font| font["/BaseFont"] }
  end
end
