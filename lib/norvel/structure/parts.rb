# frozen_string_literal: true

module Norvel
  module Structure
    # The parts of a document in their order, recognised by their headings: title page, abstract, contents, chapters,
    # references …
    class Parts
      # name: as guides name it; first, last: places of its paragraphs in the text, from 0; heading: Paragraph or nil
      Part = Value.define(:name, :heading, :first, :last) do
        # How many paragraphs it has.
        def size
          last - first + 1
        end
      end

      NAMES = %w[title_page abstract acknowledgements dedication preface declaration contents list_of_figures
        list_of_tables abbreviations glossary chapters references appendices index].freeze
      OTHER = "other" # a heading of front or back matter that is none of these
      LABELS = NAMES.to_h { |name| [name, name.tr("_", " ")] }.freeze
      # A heading may be numbered.
      NUMBER = '(?:(?:[0-9]{1,2}|[ivxlc]{1,5}|[A-Z])[.)]?\s+)?'
      BY_HEADING = (NAMES - %w[title_page contents chapters references appendices]).to_h { |name|
        [name, /\A#{NUMBER}(?:#{Survey::Words.any("part_#{name}")})\s*:?\z/i]
      }.merge(
        "contents" => /\A#{NUMBER}(?:#{Survey::Words.any("contents")})\s*:?\z/i,
        "references" => /\A#{NUMBER}(?:#{Survey::Words.any("references")})\s*:?\z/i,
        "appendices" => Survey::Words::APPENDIX
      ).freeze

      # The part that a heading begins: "abstract"; "chapters" for what is no other.
      def self.of_heading(text)
        plain = text.strip
        BY_HEADING.find { |_, pattern| pattern.match?(plain) }&.first || "chapters"
      end

      def initialize(document)
        @document = document
      end

      # [Part, …] in reading order; chapters that follow each other are one, and so are appendices.
      def list
        @list ||= begin
          starts = beginnings
          ends = starts.drop(1).map { |_, at, _| at - 1 } << (@document.paragraphs.size - 1)
          made = starts.zip(ends).map { |(name, first, heading), last| Part.new(name:, heading:, first:, last:) }
          made.slice_when { |one, other| one.name != other.name }.map { |same| same.first.with(last: same.last.last) }
        end
      end

      # The Part of a name, nil where the document has none.
      def [](name)
        list.find { |part| part.name == name }
      end

      # Words of a part, without its heading.
      def words(part)
        own = @document.paragraphs[part.first..part.last]
        own.reject { |one| one.equal?(part.heading) }.sum(&:word_count)
      end

      private

      # [[name, place, heading], …]
      def beginnings
        found = named(headings)
        lists.each { |name, at| found << [name, at, nil] unless found.any? { |one, _, _| one == name } }
        found.sort_by! { |_, at, _| at }
        title = title_page(found.first&.at(1) || @document.paragraphs.size)
        title ? [title, *found] : found
      end

      # What is no part by name is a chapter, but for what usually stands before the first, and what comes after the
      # last.
      def named(headings)
        back = false
        headings.map do |heading|
          name = Parts.of_heading(heading.text)
          back ||= %w[references appendices index].include?(name)
          name = OTHER if name == "chapters" && (back || Matters::FRONT.match?(heading.text.strip))
          [name, @document.position(heading.id), heading]
        end
      end

      # Headings of the first level, and what stands over lists without being one.
      def headings
        roles = Survey::SettledRoles.of(@document)
        @document.paragraphs.select do |paragraph|
          next if paragraph.container || paragraph.blank?
          roles.role(paragraph) == "heading_1" || over_list?(paragraph)
        end
      end

      def over_list?(paragraph)
        @over ||= ["TOC Heading", "Contents Heading"].filter_map { |name| @document.styles.called(name)&.id }
        @over.include?(paragraph.style_id) && paragraph.word_count <= 5
      end

      # Lists that fields make, where no heading says what they are.
      def lists
        ContentsLists.in(@document).map do |list|
          [list.captions ? list_of(list.captions) : "contents", list.first]
        end
      end

      def list_of(sequence)
        sequence.match?(/\Atab/i) ? "list_of_tables" : "list_of_figures"
      end

      # What stands before the first heading, where it names the work.
      def title_page(size)
        before = @document.paragraphs.first(size)
        named = before.any? { |one| !one.blank? && %w[title subtitle].include?(Survey.role(@document, one)) }
        ["title_page", 0, nil] if named
      end
    end
  end
end
