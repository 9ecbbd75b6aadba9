# frozen_string_literal: true

# Promises that were once broken, each held by the test that failed.
RSpec.describe "promises" do
  let(:guide) do
    Norvel::Guide.new(<<~YAML)
      norvel_guide: 1
      name: Test
      roles:
        heading_1: {style: Heading 1, indent_left: 0pt, first_line: 0pt}
        table_text: {style: Table Text, indent_left: 0pt}
        body: {style: Body Text, indent_left: 0pt}
      clean: {spaces_as_indents: forbid, double_spaces: forbid, tabs_as_indents: forbid, line_breaks: forbid}
    YAML
  end
  let(:styles) { style("Heading1", "heading 1") + style("BodyText", "Body Text") + style("TableText", "Table Text") }

  def check(document) = Norvel::Guide::Check.new(guide, document)

  describe "a list whose level sets what the guide asks about" do
    let(:document) do
      plain = docx(p(r("Head"), '<w:pStyle w:val="Heading1"/>') +
        table([%w[a b]]) + p(r("Some text of it."), '<w:pStyle w:val="BodyText"/>'), styles:)
      put = Norvel::Edits::PutInStyle.new(plain.paragraphs.select { |one| one.part == :table }.map(&:id), "TableText",
        hand: :stays).change(plain)
      listed = Norvel::Edits::DefineListStyle.new("Points", "bullets").change(put)
      Norvel::Edits::PutInList.new(listed.paragraphs.map(&:id), listed.styles.named("Points").paragraph[:list_id],
        level: nil).change(listed)
    end

    it "is checked, and its mend asks first and changes the level" do
      found = check(document).groups.select { |group| group.rule.end_with?("indent_left") }
      expect(found.map { |group| [group.rule, group.first.mend.name, group.first.mend.safe] }).to match_array(
        %w[heading_1 table_text].map { |role| ["role.#{role}.indent_left", "change_list_level", false] }
      )
      mended = found.first.edit(guide).apply(document).after
      expect(check(mended).findings.map(&:rule)).not_to include(found.first.rule)
    end

    it "is checked when any single paragraph of the demo's thesis is put in it" do
      listed = Norvel::Edits::DefineListStyle.new("Points", "bullets").change(thesis)
      id = listed.styles.named("Points").paragraph[:list_id]
      guides = Norvel::Guide.shipped.fetch_values("ravelmouth-house", "ravelmouth-thesis", "apa-7")
      sample = listed.paragraphs.each_slice(160).map(&:first) + listed.paragraphs.select { |one| one.part == :table }
        .each_slice(32).map(&:first)
      failed = sample.reject do |paragraph|
        put = Norvel::Survey::Suggestions.share(listed, Norvel::Edits::PutInList.new([paragraph.id], id, level: nil)
          .change(listed))
        guides.all? { |one| Norvel::Guide::Check.attempt(one, put).fault.nil? }
      end
      expect(failed).to be_empty
    end
  end

  describe "what the survey finds in spacing" do
    # Spaces of both kinds, tabs and breaks beside signs of fields, notes and images.
    let(:pieces) do
      ["  ", "\u00A0\u00A0", " \u00A0 ", "\t", " \t\t", "word", "word and  two", "of\nit", note(1), image(1),
        '<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText>PAGE</w:instrText></w:r><w:r><w:fldChar ' \
        'w:fldCharType="end"/></w:r>']
    end

    it "the mend takes, all of it that is no more than spacing" do
      random = Random.new(11)
      left = Array.new(60) do
        bodies = Array.new(6) do
          p(Array.new(random.rand(1..6)) { pieces.sample(random:) }
            .map { |piece| piece.start_with?("<") ? piece : r(piece) }.join, '<w:pStyle w:val="BodyText"/>')
        end
        document = docx(bodies.join, styles:, image: Demo::Picture.png, footnotes: footnote(1, "n"))
        mended = Norvel::Guide::Plan.new(guide, document)
        expect(Norvel::Seal.of(mended.after).same_objects?(Norvel::Seal.of(document))).to be true
        mended.last_check.findings.select { |finding| finding.rule.start_with?("clean.") && finding.mend&.safe }
      end
      expect(left.flatten).to eq []
    end
  end

  describe "the seal" do
    let(:document) do
      docx(p(r("Text") + note(1)) + p(image(1)) +
        p('<w:bookmarkStart w:id="1" w:name="b"/>' + r("more") + '<w:bookmarkEnd w:id="1"/>') +
        table([%w[a b]]) + p(r("end")), image: Demo::Picture.png, footnotes: footnote(1, "n"))
    end

    # An edit that claims to touch no words.
    def edit(&change)
      Class.new(Norvel::Edits::Edit) do
        define_method(:change, &change)
        define_method(:title) { |_| "Tidy" }
        define_method(:removes_white_space?) { true }
      end.new
    end

    it "sees an image, a note's mark, a bookmark, a cell go" do
      lost = {
        "note marks" => ->(doc) {
          doc
            .replace([doc.paragraphs[0].with(runs: doc.paragraphs[0].runs.reject(&:carried).freeze)])
        },
        "images" => ->(doc) { doc.with(paragraphs: doc.paragraphs.reject { |one| one.images.any? }.freeze) },
        "bookmarks" => ->(doc) { doc.replace([doc.paragraphs[2].with(anchors: [].freeze)]) },
        "cells" => ->(doc) {
          doc.with(paragraphs: doc.paragraphs
            .map { |one| (one.text == "b") ? one.with(container: nil) : one }.freeze)
        }
      }
      lost.each do |said, change|
        expect { edit(&change).apply(document) }.to raise_error(Norvel::BrokenSeal, /“Tidy” would have changed #{said}/)
      end
    end

    it "says how many of each there are" do
      expect(Norvel::Seal.of(document).counts)
        .to eq(note_mark: 1, note_sign: 1, image: 1, bookmark: 2, table: 1, cell: 2)
    end

    it "is held against what a writer wrote, read back" do
      other = docx(p(r("Text")))
      format = Norvel::Formats["docx"]
      allow(Norvel::Formats).to receive(:[]).and_return(format.with(writer: ->(_) { format.writer.call(other) }))
      expect { Norvel::Formats.write(document) }.to raise_error(Norvel::Unwritable, /same words/)
      bare = docx(p(r("Text")) + p(r("more")) + table([%w[a b]]) + p(r("end")))
      allow(Norvel::Formats).to receive(:[]).and_return(format.with(writer: ->(_) { format.writer.call(bare) }))
      expect { Norvel::Formats.write(document.with(stories: [].freeze)) }
        .to raise_error(Norvel::Unwritable, /same note marks/)
    end

    it "lets places with names move to a neighbour when their paragraph goes, and is the same after writing" do
      gone = Norvel::Edits::DeleteParagraphs.new([3]).apply(document).after
      expect(Norvel::Seal.of(gone).counts[:bookmark]).to eq 2
      expect(Norvel::Seal.of(reread(gone)).objects).to eq Norvel::Seal.of(gone).objects
    end

    it "does not let half a contents list go" do
      toc = %(<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText> TOC </w:instrText></w:r><w:r>) +
        %(<w:fldChar w:fldCharType="separate"/></w:r>)
      listed = docx(p(toc + r("One 1")) + p(r("Two 2") + '<w:r><w:fldChar w:fldCharType="end"/></w:r>') + p(r("Text")))
      expect { Norvel::Edits::DeleteParagraphs.new([1]).apply(listed) }.to raise_error(Norvel::Refused, /contents list/)
      expect(Norvel::Seal.of(Norvel::Edits::DeleteParagraphs.new([1, 2]).apply(listed).after).counts).to eq({})
    end
  end

  # A reader's archive was shared: of 72 copies by 6 threads 12 differed.
  it "hands the same bytes over to six threads at once, also while parts are read" do
    bytes = package(p(r("Text")) + p(image(1)), image: Demo::Picture.png)
    random = Random.new(3)
    images = (1..300).to_h { |n| ["word/media/more#{n}.png", random.bytes(2000 + n)] }
    document = Norvel::Formats.read(repackage(bytes, images), name: "many.docx")
    changed = document.replace([document.paragraphs[0].with(direct: set(align: "center"))])
    expected = Digest::SHA256.hexdigest(written(changed))
    names = images.keys
    digests = Array.new(6) { |n|
      Thread.new {
        Array.new(6) { |m|
          document.source.read(names[(n * 50) + m]) &&
            Digest::SHA256.hexdigest(written(changed))
        }
      }
    }.flat_map(&:value)
    expect(digests.tally).to eq(expected => 36)
    expect(names.all? { |name| document.source.read(name) == images[name] }).to be true
  end

  describe "rules" do
    it "are declared once: every name that a finding or a guide uses has one declaration, with a stage and what " \
      "it goes by" do
      checks = Norvel::Guide.shipped.values.map { |one| Norvel::Guide::Check.new(one, thesis) }
      asked, found = checks.flat_map(&:rules_asked), checks.flat_map { |one| one.findings.map(&:rule) }
      (asked + found).uniq.each do |name|
        rule = Norvel::Guide::Rules[name]
        expect([name, Norvel::Guide::Rules::STAGES.include?(rule.stage),
          %i[look paragraph document].include?(rule.goes_by)]).to eq [name, true, true]
      end
      expect { Norvel::Guide::Rules["weather.rain"] }.to raise_error(KeyError)
    end

    it "say of a safe mend that it was tried only when it was" do
      off = Norvel::Guide::Plan.new(thesis_guide, thesis, only: %w[page.*], without: ["set_page margin_left"])
      waiting = off.left.map { |entry| entry[:why] }.uniq
      expect(waiting).to eq ["left out of the plan"]
      expect(Norvel::Guide::Plan.new(thesis_guide, thesis, only: %w[page.*]).left).to be_empty
    end
  end

  describe "work that grew with its square" do
    it "is linear: headings are levelled by what their look is numbered at, worked out once" do
      headings = (1..600).map { |n| p(r("#{(n / 60) + 1}.#{(n % 60) + 1} On a matter", "<w:b/>")) }.join
      document = docx(headings)
      calls = 0
      allow_any_instance_of(Norvel::Survey::Traits).to receive(:depth).and_wrap_original { |own|
        (calls += 1) && own.call
      }
      Norvel::Survey::Suggestions.of(document)
      expect(calls).to be_between(1, 600 * 40)
    end

    it "checks a document anew only where something changed" do
      checks = 0
      allow(Norvel::Guide::Check).to receive(:new).and_wrap_original { |original, *rest, **options|
        (checks += 1) && original.call(*rest, **options)
      }
      Norvel::Guide::Plan.new(thesis_guide, thesis).left
      expect(checks).to be <= 9
    end
  end

  # A finding that is kept must not keep the document it was found in.
  it "keeps findings that hold nothing but plain data" do
    findings = Norvel::Guide::Check.new(thesis_guide, thesis).findings
    plain = ->(value) {
      [String, Symbol, Numeric, TrueClass, FalseClass, NilClass].any? { |kind| value.is_a?(kind) } ||
        (value.respond_to?(:each) && value.to_a.flatten.all? { |inner| plain[inner] })
    }
    expect(findings.flat_map { |finding| finding.to_a }.reject { |value| plain[value] }.map(&:class).uniq).to eq []
  end
end
