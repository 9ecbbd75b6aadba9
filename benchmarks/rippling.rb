# frozen_string_literal: true

# The ripple of a change of the base style on 300 pages, findings and pages included, and the check after a style on one
# paragraph with its edit and roles, as milliseconds and as ratios to the bare parse of the document's XML in the same
# run.
$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "bundler/setup"
require "norvel"
require_relative "sample"
require_relative "timing"

xml = Sample.parts["word/document.xml"]
Dir.mktmpdir do |folder|
  document = Norvel::Formats.read_file(Sample.write("#{folder}/sample.docx"))
  Norvel::Layout.of(document)
  check = Norvel::Guide::Check.new(Norvel::Guide.find("ravelmouth-thesis"), document)
  check.findings
  bare = Timing.median(5) { Nokogiri::XML(xml) }
  ripple = lambda do |edit|
    found = Norvel::Report::Ripple.new(edit, document, check)
    [found.pages&.changed, found.styles, found.moved, found.unmoved, found.findings_gone,
      found.findings_come,
      found.samples]
  end
  changes = {
    "space after in the base style" => ->(n) { Norvel::Edits::ChangeStyle.new("Normal", {space_after: n + 1.0}) },
    "size in the base style" => ->(n) { Norvel::Edits::ChangeStyle.new("Normal", {size: n + 13.0}) },
    "line spacing in the body style" => ->(n) {
      Norvel::Edits::ChangeStyle
        .new("BodyText", {line_spacing: {rule: "multiple", value: 1.0 + (n / 10.0)}})
    },
    "headings numbered" => ->(n) { Norvel::Edits::NumberHeadings.new(%w[decimal roman][n % 2]) },
    "another template" => ->(_) {
      Norvel::Edits::ApplyTemplate
        .new(Norvel::Formats::Template.find("ravelmouth-report"), page: true)
    }
  }
  line = lambda do |name, time, target|
    printf "%-52s %5.0f ms   %5.2f of the bare parse   (target under %d ms)\n", name, time * 1000, time / bare, target
  end
  changes.each do |name, make|
    edits = Array.new(9) { |n| make[n] }
    time = Timing.median(9) { |n| ripple[edits[n]] }
    line["#{name}, pages included", time, 300]
  end
  # What reads as what goes on being told by the file as it came, as where people work on it; or is judged anew.
  {"as a work goes on" => document.begun_as(document), "roles judged anew" => document}.each do |name, state|
    checked = Norvel::Guide::Check.new(check.guide, state).tap(&:findings)
    time = Timing.median(15) do |n|
      after = Norvel::Edits::PutInStyle.new([state.paragraphs[100 + n].id], "heading 2").apply(state).after
      Norvel::Guide::Check.new(check.guide, after, before: checked).findings
    end
    line["edit and check, #{name}", time, 60]
  end
end
