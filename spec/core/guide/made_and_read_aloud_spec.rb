# frozen_string_literal: true

require "open3"

# Guides that are made of documents, changed in place, and read aloud.
RSpec.describe Norvel::Guide do
  head = "norvel_guide: 1\nname: Test\n"

  describe Norvel::Guide::Derived do
    def derived(document)
      Norvel::Guide.new(described_class.new(document).text)
    end

    def found(guide, document)
      Norvel::Guide::Check.new(guide, document.tap { |one| Norvel::Layout.of(one) }).findings
    end

    it "asks of each shipped template what it says, and finds nothing in it" do
      Norvel::Formats::Template.shipped.each_value do |path|
        template = Norvel::Formats.read_file(path)
        guide = derived(template)
        style = template.styles.called("Heading 1")
        expect(guide.role("heading_1").values_at("style", "size"))
          .to eq [style.name, "#{Norvel::Length.plain(template.cascade.of_style(style, :run)[:size])}pt"]
        expect([path, found(guide, template).map(&:rule)]).to eq [path, []]
      end
    end

    # Sources: python3-docx and python3-odf of Debian 12 make the templates; the values are those that the scripts set.
    {"docx" => "python_docx", "odt" => "odfpy"}.each do |format, library|
      it "asks what a template of #{library} was made with, and finds nothing in a document made of it" do
        Dir.mktmpdir do |folder|
          paths = %w[t made].map { |name| File.join(folder, "#{name}.#{format}") }
          script = File.expand_path("../../reference/template_by_#{library}.py", __dir__)
          _, err, status = Open3.capture3("/usr/bin/python3", script, *paths)
          raise err unless status.success?
          guide = derived(Norvel::Formats.read_file(paths.first))
          expect(guide.page.slice("size").merge(guide.page["margins"].slice("top", "left")))
            .to eq("size" => "A4", "top" => "30mm", "left" => "35mm")
          expect(guide.role("body").slice("font", "size", "first_line"))
            .to eq("font" => "Garamond", "size" => "11.5pt", "first_line" => "18pt")
          expect(guide.role("body")["line_spacing"]).to eq("multiple" => 1.5)
          expect(guide.role("heading_1").slice("size", "page_break_before"))
            .to eq("size" => "18pt", "page_break_before" => true)
          expect(found(guide, Norvel::Formats.read_file(paths.last)).map { |one| [one.rule, one.found] }).to eq []
        end
      end
    end

    it "finds matters, heads, parts, captions and notes of a model document" do
      model = Norvel::Guide::Plan.new(thesis_guide, thesis.with.tap { |one| Norvel::Layout.of(one) }, also: ["*"]).after
      guide = derived(model)
      expect(guide.matters.map { |one| one.values_at("matter", "label") })
        .to eq [%w[front lower_roman], %w[body decimal]]
      expect(guide.parts.map { |part| part["part"] }).to include("title_page", "contents", "chapters", "references")
      expect(guide.captions.slice("figure", "table")).to eq("figure" => "below", "table" => "above")
      expect(guide.data["notes"]["size"]).to match(/pt\z/)
    end

    it "is a command that writes a guide which can be read" do
      Dir.mktmpdir do |folder|
        File.binwrite("#{folder}/a.docx", Demo::Handbook.new.bytes)
        status = Norvel::CLI.run(["guide", "#{folder}/a.docx", "--output", "#{folder}/g.yml"], out: out = StringIO.new,
          err: StringIO.new)
        expect([status, out.string]).to match [0, /\d+ rules from a.docx/]
        expect(Norvel::Guide.find("#{folder}/g.yml").name).to start_with "Format of"
      end
    end
  end

  describe Norvel::Guide::Rewritten do
    it "puts values in, changes and takes them out, line by line" do
      text = "# c\nroles:\n  body: {size: 12pt} # kept\n  quote:\n    size: 11pt   # two\n\nclean: {}\n"
      expect(described_class.new(text).put(%w[roles quote font], "Arial"))
        .to eq text.sub("# two\n", "# two\n    font: Arial\n")
      expect(described_class.new(text).put(%w[roles body size], {"min" => "10pt", "max" => "12pt"}))
        .to eq text.sub("12pt}", "{min: 10pt, max: 12pt}}")
      expect(described_class.new(text).put(%w[roles quote size], nil)).to eq text.sub(/  quote:\n.*\n/, "")
      expect(described_class.new(text).put(%w[parts], [{"part" => "abstract"}]))
        .to eq "#{text}parts:\n  - {part: abstract}\n"
      expect(described_class.new(text).put(%w[clean line_breaks], "forbid"))
        .to eq text.sub("{}", "{line_breaks: forbid}")
      expect(described_class.new(text).put(%w[headings case heading_1], "upper"))
        .to eq "#{text}headings:\n  case:\n    heading_1: upper\n"
    end

    it "leaves all else as it was, whatever is changed (property)" do
      values = ["11pt", {"min" => "1pt"}, ["a", "b: c"], true, "x: y", "yes", "", 3, "#1f3864"]
      SomeOf.seeds(1..60).each do |seed|
        random = Random.new(seed)
        text = came = Norvel::Guide.shipped.values.sample(random:).source
        6.times do
          data = YAML.safe_load(text)
          place = places(data).reject { |one| %w[norvel_guide name].include?(one.first) }.sample(random:)
          value = random.rand(3).zero? ? nil : values.sample(random:)
          place = [*place, "new"] if value && random.rand(3).zero? && data.dig(*place).is_a?(Hash)
          text = described_class.new(text).put(place, value)
          expect([seed, YAML.safe_load(text)]).to eq [seed, changed(data, place, value)]
        end
        expect(text.scan(/# .*/) - came.scan(/# .*/)).to eq []
      end
    end

    def places(data, place = [])
      data.is_a?(Hash) ? data.flat_map { |key, value| [[*place, key], *places(value, [*place, key])] } : []
    end

    def changed(data, place, value)
      holder = (place.size == 1) ? data : data.dig(*place[0...-1])
      return data.tap { holder[place.last] = value } unless value.nil?
      return changed(data, place[0...-1], nil) if holder.size == 1 && place.size > 1
      data.tap { holder.delete(place.last) }
    end
  end

  describe Norvel::Guide::Sentences do
    it "says every rule of the shipped guides in a sentence, with its place in the text and rules that there are" do
      Norvel::Guide.shipped.each_value do |guide|
        all = described_class.new(guide).all
        expect(all.map { |one| one.words[/\A[[:upper:]0-9“].*\.\z/] }).to eq all.map(&:words)
        expect(all.reject { |one| one.value == guide.data.dig(*one.place) }).to eq []
        expect(all.flat_map(&:rules).reject { |rule| Norvel::Guide::Rules.fits?(rule) }).to eq []
        asked = Norvel::Guide::Check.new(guide, thesis).rules_asked
        said = all.flat_map(&:rules)
        left = asked.reject { |rule| said.any? { |one| File.fnmatch(one, rule) } }
        expect(left.grep_v(/\A(?:contents\.|captions\.number)/)).to eq [] # these follow from parts and captions
      end
    end

    it "has a sentence for every switch of the schema" do
      schema = JSON.parse(File.read(Norvel::Guide::Schema::PATH))["properties"]
      groups = %w[headings pagination captions lists tables clean accessible fonts]
      left = groups.flat_map do |group|
        keys = schema[group]["properties"].keys - %w[cite matters text]
        keys.reject { |key| described_class::SWITCHES.dig(group, key) }.map { |key| "#{group}.#{key}" }
      end
      expect(left).to eq []
    end

    it "reads values, ranges and choices as people say them" do
      guide = Norvel::Guide.new("#{head}page: {margins: {top: {min: 1in, max: 30mm}}}\n" \
        "roles: {quote: {from_words: 40, italic: false, size: {any_of: [11pt, 12pt]}, emphasis: {allow: [italic]}}}\n" \
        "clean: {line_breaks: allow, double_spaces: forbid}\ncount: {words: {max: 80000, without: [references]}}\n")
      expect(described_class.new(guide).all.map(&:words)).to eq ["The top margin is 1 in to 30 mm.",
        "A block quotation has 40 words or more.", "Italic is off for block quotation.",
        "Size of block quotation is 11 pt or 12 pt.", "Words of block quotation may be italic.",
        "The document has at most 80000 words without references.", "Line breaks: allowed.",
        "One space stands between words."]
    end
  end
end
