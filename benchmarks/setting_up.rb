# frozen_string_literal: true

# What Sheets sets on 300 pages, as milliseconds and as a ratio to the bare parse of the document's XML in the same run:
# matters with contents settled and the file written, and a contents list brought up to date after layout.
$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "bundler/setup"
require "norvel"
require_relative "sample"
require_relative "timing"

xml = Sample.parts["word/document.xml"]
Dir.mktmpdir do |folder|
  document = Norvel::Formats.read_file(Sample.write("#{folder}/sample.docx"))
  heading = document.paragraphs.find { |one| document.look(one)[:outline_level] == 1 }
  listed = Norvel::Edits::PutInContents.new(heading.id, levels: 2).apply(document.tap { |one| Norvel::Layout.of(one) })
    .after
  Norvel::Layout.of(listed)
  chapter = listed.paragraphs.find { |one| one.id == heading.id }
  matter = Norvel::Edits::SetMatters::Matter
  matters = Norvel::Edits::SetMatters.new([
    matter.new(paragraph: listed.paragraphs.first.id, format: "lower_roman", shown_first: false),
    matter.new(paragraph: chapter.id, start: 1)
  ])
  bare = Timing.median(5) { Nokogiri::XML(xml) }
  entries = Norvel::Structure::ContentsLists.in(listed).first.paragraphs(listed)
  printf "%d sheets, %d entries\n", Norvel::Layout.pages(listed).sheets.size, entries.size
  put = Timing.median(3) do
    made = matters.apply(listed).after
    Norvel::Layout.of(made, known: Norvel::Layout.pages(listed))
    Norvel::Formats.write(Norvel::Edits::RefreshContents.new(0).apply(made).after)
  end
  refreshed = Timing.median(5) { Norvel::Edits::RefreshContents.new(0).apply(listed) }
  heads = Timing.median(5) do
    line = Norvel::Running::Line.new(left: "{chapter}", right: "{page}")
    Norvel::Edits::SetRunning.new([1], {"header" => line}).apply(listed)
  end
  {"matters, contents settled, written (1,500 ms)" => put, "contents up to date (500 ms)" => refreshed,
   "heads and feet" => heads}.each do |name, time|
    printf "%-48s %6.0f ms  %6.2f of the bare parse\n", name, time * 1000, time / bare
  end
end
