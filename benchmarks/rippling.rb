# frozen_string_literal: true

# The ripple of a change of the base style on 300 pages, findings and pages included, as milliseconds and as a ratio to
# the bare parse of the document's XML in the same run.
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
    [Norvel::Layout.pages(found)&.changed, found.styles, found.moved, found.unmoved, found.findings_gone,
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
  changes.each do |name, make|
    edits = Array.new(9) { |n| make[n] }
    time = Timing.median(9) { |n| ripple[edits[n]] }
    printf "%-32s %5.0f ms   %5.2f of the bare parse   (pages included; target under 300 ms)\n", name, time * 1000,
      time / bare
  end
end
