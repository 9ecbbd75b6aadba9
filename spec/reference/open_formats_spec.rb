# frozen_string_literal: true

require "open3"

# OpenDocument and markup against the outside: other writers, other readers, strangers' files, published examples.
RSpec.describe "formats against the outside" do
  def run(*command)
    out, err, status = Open3.capture3({"NODE_PATH" => File.expand_path("../node_modules", __dir__)}, *command)
    raise err unless status.success?
    JSON.parse(out)
  end

  def at(name, bytes) = File.join(Dir.mktmpdir, name).tap { |path| File.binwrite(path, bytes) }

  def script(name) = File.join(__dir__, name)

  def convert(document, to) = Norvel::Formats.read(Norvel::Formats.write(document, as: to).bytes, name: "converted")

  files = Dir[File.join(__dir__, "files", "*.{docx,odt}")].sort

  # Source: python3-odf of Debian 12 (1.4.2).
  it "agrees with odfpy on every value it wrote" do
    path = File.join(Dir.mktmpdir, "made.odt")
    expected = run("/usr/bin/python3", script("odfpy_write.py"), path)
    seen = JSON.parse(Norvel::Report::Inspection.new(Norvel::Formats.read_file(path), file: "x").to_json)["paragraphs"]
    pairs = expected.zip(seen).flat_map do |want, got|
      [[want["style"], got["style"]], [want["text"], got["text"]]] + want["effective"]
        .map { |key, value| [value, got["effective"][key]] } +
        want["run"].map { |key, value| [value, got["runs"][0]["effective"][key]] }
    end
    alike = pairs.count do |want, got|
      want.is_a?(Numeric) ? (want - got).abs < 0.011 : want == got ||
        (want.is_a?(Hash) && want["value"] && (want["value"] - got["value"]).abs < 0.001)
    end
    puts "\n  odfpy as writer: #{alike} of #{pairs.size} values agree"
    expect(alike).to eq pairs.size
  end

  # Source: the same, reading what we wrote.
  it "is read by odfpy with the values that it has" do
    values = files.grep(/docx/).map { |file| Norvel::Formats.read_file(file) }.push(thesis).flat_map do |document|
      translated = Norvel::Formats::Translation.new(document, Norvel::Formats["odt"]).document
      seen = run("/usr/bin/python3", script("odfpy_read.py"),
        at("x.odt", Norvel::Formats.write(document, as: "odt").bytes))
      plain = translated.paragraphs.select do |one|
        one.part == :body && one.runs.none? { |run| run.text.match?(/[\f\v\uFFFA\uFFFC]/) } && !one.text.strip.empty?
      end
      by_text = seen.group_by { |one| one["text"] }.select do |text, list|
        list.size == plain.count { |one| one.text == text }
      end
      plain.filter_map { |one| (got = by_text[one.text]&.shift) && [translated, one, got] }
    end
    pairs = values.flat_map do |document, paragraph, got|
      look = document.look(paragraph)
      points = ->(text) { Norvel::Length.from_file(text.to_s, "pt") || 0.0 }
      [[look[:outline_level].positive?, got["heading"]], [look[:indent_left].round(1), points[got["left"]].round(1)],
        [look[:space_after].round(1), points[got["after"]].round(1)],
        [look[:align], {nil => "left", "start" => "left", "end" => "right"}.fetch(got["align"], got["align"])]]
        .reject { document.markers.key?(paragraph.id) }
    end
    alike = pairs.count { |want, got| want == got }
    puts "\n  odfpy as reader: #{alike} of #{pairs.size} values agree"
    expect(pairs.size).to be > 400
    expect(pairs.reject { |want, got| want == got }).to be_empty
  end

  describe "strangers' files" do
    files.grep(/odt/).each do |path|
      it "reads #{File.basename(path)}, writes it unchanged, changed and in every other format" do
        document = Norvel::Formats.read_file(path)
        one, other = [File.binread(path), Norvel::Formats.write(document).bytes].map do |bytes|
          Norvel::Formats::Container.new(bytes)
        end
        expect(other.names.to_h { |name| [name, other.read(name)] }).to eq one.names.to_h { |name|
          [name, one.read(name)]
        }
        cleared = Norvel::Edits::ClearDirect.new(document.paragraphs.map(&:id), keep_emphasis: true).apply(document)
          .after
        again = Norvel::Formats.read(Norvel::Formats.write(cleared).bytes, name: "x")
        expect(SameDocument.new(*[cleared, again].map { |state| Norvel::Formats::Odt::Canonical.of(state) })
          .differences).to be_empty
        %w[docx fodt markdown html text].each { |name|
          expect { Norvel::Formats.write(document, as: name) }
            .not_to raise_error
        }
      end
    end
  end

  it "goes there and back with text, structure, styles by name and what is seen" do
    alike = Hash.new { |all, kind| all[kind] = [0, 0] }
    count = lambda do |kind, one, other|
      alike[kind][1] += 1
      alike[kind][0] += 1 if one == other
    end
    files.each do |path|
      document = Norvel::Formats.read_file(path)
      back = convert(convert(document, (document.format == "docx") ? "odt" : "docx"), document.format)
      expect(back.word_count).to eq document.word_count
      next unless back.paragraphs.size == document.paragraphs.size
      document.paragraphs.zip(back.paragraphs) do |was, now|
        count["text", was.text, now.text]
        count["style", document.style_name(was), back.style_name(now)]
        count["marker", document.markers[was.id], back.markers[now.id]]
        %i[align indent_left indent_right first_line space_before space_after line_spacing outline_level keep_with_next
          widow_control].each do |name|
          count["paragraph values", true, Norvel::Styles::Properties[name]
            .same?(document.look(was)[name], back.look(now)[name])]
        end
        %i[font size bold italic underline color].each do |name|
          count["letter values", true, Norvel::Styles::Properties[name]
            .same?(document.letter_look(was)[name], back.letter_look(now)[name])]
        end
      end
      document.styles.by_id.each_value.select(&:paragraph?).each do |style|
        count["styles by name", true, [style.name, Norvel::Styles::Equivalents.other(style.name)]
          .compact.any? { |name| back.styles.named(name, "paragraph") }]
      end
    end
    puts "\n  there and back: #{alike.map { |kind, (same, all)| "#{kind} #{same} of #{all}" }.join(", ")}"
    expect(alike.except("letter values").values.map { |same, all| same.fdiv(all) }).to all be > 0.995
    expect(alike["letter values"].then { |same, all| same.fdiv(all) }).to be > 0.98
  end

  # Source: CommonMark 0.31.2, the examples of its specification (npm commonmark-spec), read with the same paragraphs,
  # roles and words. The parser is of 0.29 with tables, notes and struck words.
  it "reads the examples of CommonMark" do
    source = File.read(File.expand_path("../node_modules/commonmark-spec/spec.txt", __dir__), encoding: "UTF-8")
    examples = source.scan(/^`{32} example\n(.*?)^\.\n(.*?)^`{32}$/m).map do |pair|
      pair.map { |text| text.tr("→", "\t") }
    end
    told = ->(text) { text.blocks.map { |block| [block.role, block.text.gsub(/\s+/, " ").strip] } }
    alike = examples.count do |markdown, html|
      told[Norvel::Formats::Markdown::Reader.text(markdown)] == told[Norvel::Formats::Html::Reader.fragment(html)]
    end
    puts "\n  CommonMark: #{alike} of #{examples.size} examples with the same paragraphs"
    expect(examples.size).to be > 600
    expect(alike.fdiv(examples.size)).to be > 0.99
  end

  # Source: the npm library html-validate 8, its standard and accessibility rules.
  it "writes pages in which a validator finds no fault" do
    documents = files.first(6).map { |path| Norvel::Formats.read_file(path) } +
      [thesis, Norvel::Formats.read(Norvel::Formats.dress(Norvel::Formats::Markdown::Reader.text(Demo::Gauge.new.bytes
      .dup.force_encoding("UTF-8")), Norvel::Formats::Template.plain, name: "x").bytes, name: "gauge")]
    faults = documents.flat_map do |document|
      run("node", script("html_validate.js"), at("x.html", Norvel::Formats.write(document, as: "html").bytes))
    end
    expect(faults).to be_empty
  end
end
