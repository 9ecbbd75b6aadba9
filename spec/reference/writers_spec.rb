# frozen_string_literal: true

require "open3"

# Files by writers that we did not make, with known values: what we read must be what they wrote.
RSpec.describe "reading files by other writers" do
  def made_by(*command)
    path = File.join(Dir.mktmpdir, "made.docx")
    out, err, status = Open3.capture3({"NODE_PATH" => File.expand_path("../node_modules", __dir__)}, *command, path)
    raise err unless status.success?
    [Norvel::Formats.read_file(path), JSON.parse(out), path]
  end

  # Counts values that agree, and says those that don't.
  def compare(document, expected)
    seen = JSON.parse(Norvel::Report::Inspection.new(document, file: "x").to_json)["paragraphs"]
    agree = 0
    expected.zip(seen).each_with_index do |(want, got), index|
      pairs = [["style", want["style"], got["style"]], ["text", want["text"], got["text"]]]
      pairs += want["effective"].map { |key, value| [key, value, got["effective"][key]] } +
        want["run"].map { |key, value| [key, value, got["runs"][0]["effective"][key]] }
      pairs.each do |key, value, found|
        same = if value.is_a?(Numeric)
          (value - found).abs < 0.051
        else
          (value.is_a?(Hash) ? value["rule"] == found["rule"] && (value["value"] - found["value"])
            .abs < 0.01 : value == found)
        end
        expect(same).to be(true), "paragraph #{index + 1}, #{key}: wrote #{value}, read #{found}"
        agree += 1
      end
    end
    agree
  end

  # Source: python3-docx of Debian 12 (0.8.11).
  it "agrees with python-docx on every value it wrote" do
    document, expected, = made_by("/usr/bin/python3", File.join(__dir__, "python_docx_write.py"))
    agree = compare(document, expected)
    expect([document.info[:title], document.sections[0].margin_left.round(1), document.sections[0].width])
      .to eq ["Made by python-docx", 107.7, 612.0]
    puts "\n  python-docx as writer: #{agree} of #{agree} values agree"
    expect(agree).to eq 60 * 23
  end

  # Source: the npm library docx 9.
  it "agrees with the npm library docx on every value it wrote" do
    document, expected, = made_by("node", File.join(__dir__, "npm_docx_write.js"))
    agree = compare(document, expected)
    expect(document.paragraphs.last(1).map { |paragraph| [paragraph.part, paragraph.text] })
      .to eq [[:table, "in a cell"]]
    puts "\n  npm docx as writer: #{agree} of #{agree} values agree"
    expect(agree).to be > 640
  end

  Dir[File.join(__dir__, "files", "*.docx")].sort.each do |path|
    it "reads #{File.basename(path)}, writes it unchanged, and changed so that it reads back" do
      document = Norvel::Formats.read_file(path)
      written = written(document)
      one, other = [File.binread(path), written].map { |bytes| Norvel::Formats::Container.new(bytes) }
      expect(other.names.to_h { |name| [name, other.read(name)] }).to eq one.names.to_h { |name|
        [name, one.read(name)]
      }
      changed = document.replace(document.paragraphs.map { |p|
        p.with(direct: set(align: "center"),
          runs: p.runs.map { |r| r.with(direct: r.direct.merge(bold: true)) })
      })
      again = reread(changed)
      expect([again.paragraphs == changed.paragraphs, Norvel::Seal.of(again).words])
        .to eq [true, Norvel::Seal.of(document).words]
    end
  end
end

RSpec.describe "files by others under edits of styles, lists and pages" do
  def edits
    name = ->(document, text) { document.styles.named(text).id }
    [
      ->(_) {
        Norvel::Edits::ApplyTemplate.new(Norvel::Formats::Template.find("ravelmouth-thesis"), page: true,
          numbering: true)
      }, ->(_) { Norvel::Edits::DefineListStyle.new("Steps", "numbers") },
      ->(d) { Norvel::Edits::PutInList.new(d.paragraphs.first(3).map(&:id), d.styles["Steps"].paragraph[:list_id]) },
      ->(d) { Norvel::Edits::StartList.new(d.paragraphs.first(2).last.id, again: true) },
      ->(_) { Norvel::Edits::NumberHeadings.new("chapter", hanging: true) },
      ->(_) { Norvel::Edits::ChangePageStyle.new("Text pages", {margin_left: 100.0, columns: 2}) },
      ->(d) {
        Norvel::Edits::ChangeStyle.new(name[d, "Heading 1"],
          {tabs: Norvel::Styles::Types::TabStops.new.typed("right 10 cm with dots"),
           borders: Norvel::Styles::Types::Borders.new.typed("box 1 pt"), font: "Carlito"})
      }
    ]
  end

  Dir[File.join(__dir__, "files", "*.docx")].sort.each do |path|
    it "keeps the words and the looks of #{File.basename(path)} through a file" do
      document = Norvel::Formats.read_file(path)
      made = document.paragraphs.any? ? edits : edits.reject.with_index { |_, index| [2, 3].include?(index) }
      changed = made.inject(document) { |now, edit| edit.call(now).apply(now).after }
      again = reread(changed)
      worn = ->(d) {
        d.paragraphs.map { |paragraph|
          [d.style_name(paragraph), d.look(paragraph),
            d.letter_look(paragraph), d.markers[paragraph.id]]
        }
      }
      expect([worn[again] == worn[changed], again.page_styles, Norvel::Seal.of(again).words])
        .to eq [true, changed.page_styles, Norvel::Seal.of(document).words]
    end
  end
end

RSpec.describe "python-docx reading what we write" do
  # Source: python3-docx of Debian 12, through its own walk of styles.
  it "finds the same styles, parents and values" do
    mended = Norvel::Guide::Plan.new(thesis_guide, thesis).after
    path = File.join(Dir.mktmpdir, "mended.docx")
    File.binwrite(path, written(mended))
    out, err, status = Open3.capture3("/usr/bin/python3", File.join(__dir__, "python_docx_read.py"), path)
    raise err unless status.success?
    theirs = JSON.parse(out)
    expect(theirs["styles"].map { |s| [s["name"], s["type"], s["based_on"]] })
      .to match_array(mended.styles.by_id.values.map { |s| [s.name, s.type, mended.styles[s.based_on]&.name] })
    agree = 0
    body = mended.paragraphs.select { |paragraph| paragraph.part == :body }
    theirs["paragraphs"].zip(body) do |their, ours|
      look = mended.look(ours)
      pairs = [[their["style"], mended.style_name(ours)], [their["indent_left_pt"] || 0, look[:indent_left]],
        [their["first_line_pt"] || 0, look[:first_line]], [their["space_after_pt"] || 0, look[:space_after]],
        [their["keep_with_next"] || false, look[:keep_with_next]]]
      their["runs"].zip(ours.runs) do |run, own|
        letters = mended.run_look(own, ours)
        pairs += [[run["bold"] || false, letters[:bold]], [run["italic"] || false, letters[:italic]]]
        pairs << [run["size_pt"], letters[:size]] if run["size_pt"]
        pairs << [run["font"], letters[:font]] if run["font"]
      end
      pairs.each do |theirs_value, our_value|
        expect(theirs_value.is_a?(Numeric) ? (theirs_value - our_value).abs < 0.051 : theirs_value == our_value)
          .to be(true), "#{ours.text[0, 40]}: #{theirs_value} and #{our_value}"
        agree += 1
      end
    end
    puts "\n  python-docx as reader: #{agree} of #{agree} values agree"
    expect(agree).to be > 4000
  end

  # Source: python3-docx of Debian 12, style by style: what each sets itself after styles were made, changed, renamed,
  # placed, linked, numbered and taken from a template.
  it "finds what each style sets after edits of styles" do
    document = edited.inject(Norvel::Formats.read(Demo::Handbook.new.bytes, name: "handbook.docx")) do |now, edit|
      edit.call(now).apply(now).after
    end
    path = File.join(Dir.mktmpdir, "styles.docx")
    File.binwrite(path, written(document))
    out, err, status = Open3.capture3("/usr/bin/python3", File.join(__dir__, "python_docx_read.py"), path)
    raise err unless status.success?
    agree = JSON.parse(out)["styles"].sum do |theirs|
      ours = document.styles.by_id.values.find { |style|
        style.name == theirs["name"] &&
          style.type == theirs["type"].sub("list", "numbering")
      } or
        raise "python-docx finds a style #{theirs["name"]} (#{theirs["type"]})"
      expect([theirs["name"], document.styles[ours.based_on]&.name]).to eq [theirs["name"], theirs["based_on"]]
      own = ours_of(ours, document)
      theirs["own"].each { |name, value|
        expect([theirs["name"], name, value])
          .to eq [theirs["name"], name, own.fetch(name)]
      }.size + 1
    end
    puts "\n  python-docx reading edited styles: #{agree} of #{agree} values agree"
    expect(agree).to be > 190
  end

  def edited
    id = ->(document, name) { document.styles.named(name).id }
    [
      ->(_) {
        Norvel::Edits::DefineStyle.new("Long Quotation",
          values: {indent_left: 36.0, indent_right: 36.0, line_spacing: {rule: "multiple", value: 1.0},
                   space_after: 12.0,
                   align: "justify"})
      },
      ->(d) {
        Norvel::Edits::ChangeStyle.new(id[d, "Heading 1"],
          {size: 20.0, small_caps: true, page_break_before: true,
           tabs: Norvel::Styles::Types::TabStops.new.typed("4 cm, right 15 cm with dots")})
      },
      ->(d) {
        Norvel::Edits::ChangeStyle.new(id[d, "Body Text"],
          {line_spacing: {rule: "exact", value: 15.0}, widow_control: false, first_line: -18.0, font: "Arial"})
      },
      ->(_) { Norvel::Edits::DefineStyle.new("Ship Name", type: "character", values: {italic: true, size: 10.5}) },
      ->(d) { Norvel::Edits::RenameStyle.new(id[d, "Long Quotation"], "Quotation at Length") },
      ->(d) { Norvel::Edits::RebaseStyle.new(id[d, "Quotation at Length"], id[d, "Body Text"]) },
      ->(d) { Norvel::Edits::StyleLinks.new(id[d, "Heading 1"], {next_id: id[d, "Quotation at Length"]}) },
      ->(d) { Norvel::Edits::PlaceStyle.new(id[d, "Quotation at Length"], before: id[d, "Body Text"]) },
      ->(d) { Norvel::Edits::StyleLinks.new(id[d, "Title"], {hidden: true}) },
      ->(_) { Norvel::Edits::NumberHeadings.new("decimal", hanging: true) },
      ->(_) { Norvel::Edits::DefineListStyle.new("Steps", "numbers") },
      ->(_) {
        Norvel::Edits::ApplyTemplate.new(Norvel::Formats::Template.find("ravelmouth-thesis"),
          only: ["Block Quote", "Bibliography"])
      }
    ]
  end

  def ours_of(style, document)
    line, letters = style.paragraph, style.run
    tabs = (line[:tabs] || {}).values.map do |stop|
      [stop.place, stop.align, stop.leader || "spaces"]
    end
    {"size_pt" => letters[:size], "bold" => letters[:bold], "italic" => letters[:italic], "font" => letters[:font],
     "small_caps" => letters[:small_caps], "priority" => style.priority, "hidden" => style.hidden || false,
     "next" => (document.styles[style.next_id] || style).name, "align" => line[:align],
     "indent_left_pt" => line[:indent_left], "first_line_pt" => line[:first_line],
     "space_before_pt" => line[:space_before], "space_after_pt" => line[:space_after],
     "keep_with_next" => line[:keep_with_next], "page_break_before" => line[:page_break_before],
     "widow_control" => line[:widow_control], "line_spacing" => line[:line_spacing]&.fetch(:value), "tabs_pt" => tabs}
  end
end
