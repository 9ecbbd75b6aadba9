# frozen_string_literal: true

require "yaml"

module Norvel
  module Report
    # A document held against the success criteria of WCAG 2.2 that are about documents (W3C, 2023; data in
    # criteria.yml): each met, not met, for a person to judge, or about something that the document does not hold.
    class Criteria
      # standing: :met, :not_met, :person or :absent; said: why, in words; paragraphs: ids of the places
      Entry = Value.define(:number, :level, :name, :asks, :standing, :said, :paragraphs, paragraphs: [].freeze)

      DATA = YAML.safe_load_file(File.join(__dir__, "criteria.yml")).freeze
      GUIDE = Guide.new(<<~YAML)
        norvel_guide: 1
        name: WCAG 2.2
        headings: {unmarked: must}
        clean: {typed_lists: must}
        accessible: {title: require, language: require, alt_text: require, contrast: 4.5, table_header_rows: require,
          heading_order: require, link_texts: require, empty_headings: forbid}
      YAML
      STRONG = Guide.new("norvel_guide: 1\nname: WCAG 2.2, AAA\naccessible: {contrast: 7}\n")
      LONGEST = 80 # characters of a line (1.4.8)
      SPACING = 1.5
      LONG = 1_000 # words that ask for headings

      # What makes a criterion one that a document can meet or miss: {name => [is there any?, what is not there]}
      HELD = {
        "images" => [->(all) { all.document.pictures.any? }, "It holds no images."],
        "links" => [->(all) { all.links? }, "It holds no links."],
        "floating" => [->(all) { all.floating? }, "Nothing stands beside the text."],
        "colours" => [->(all) { all.coloured? }, "Its letters have one colour."],
        "headings" => [->(all) { all.headings? }, "It has no headings."]
      }.freeze

      attr_reader :document

      # document: its pages may be known, for the length of lines
      def initialize(document)
        @document = document
      end

      # [Entry, …] in the order of the recommendation.
      def entries
        @entries ||= DATA.map { |one| entry(one) }
      end

      # {met: 8, not_met: 4, …}
      def counts
        entries.reject { |one| one.number.empty? }.map(&:standing).tally
      end

      # Is there a link in the text?
      def links?
        document.everything.any? { |one| Document::LinkedWords.of(one).any? }
      end

      # Does anything hang beside the text?
      def floating?
        document.everything.any? do |paragraph|
          paragraph.runs.flat_map(&:objects).any? { |one| one.respond_to?(:floating) && one.floating }
        end
      end

      # Are there letters in more than one colour?
      def coloured?
        document.working.flat_map { |one| one.letters.map { |run| document.run_look(run, one)[:color] } }.uniq.size > 1
      end

      # Is any paragraph marked as a heading?
      def headings?
        Survey::Outline.new(document).marked.any?
      end

      private

      def entry(data)
        about = data.slice("number", "level", "name", "asks").transform_keys(&:to_sym)
        about[:number] = about[:number].to_s
        held, absent = HELD[data["applies"]]
        return Entry.new(**about, standing: :absent, said: absent) if held && !held.call(self)
        found = data["rules"].flat_map { |rule| findings.fetch(rule, []) }
        return Entry.new(**about, **missed(found)) if found.any?
        return Entry.new(**about, standing: :person, said: "Look #{data["judge"]}.") if data["judge"]
        Entry.new(**about, standing: :met, said: "Nothing was found.")
      end

      def missed(found)
        said = found.group_by(&:first).map { |words, list| (list.size > 1) ? "#{words}: #{places(list)}" : words }
        {standing: :not_met, said: "#{said.join(". ")}.", paragraphs: found.filter_map(&:last).uniq}
      end

      def places(list)
        Quantity.words(list.size, "place")
      end

      # {rule => [[what, paragraph's id or nil], …]}
      def findings
        @findings ||= ruled.merge(presented).merge("sections.none" => undivided)
      end

      def ruled
        all = Guide::Check.new(GUIDE, document).findings.group_by(&:rule)
          .transform_values { |list| list.map { |one| [one.message, one.paragraph] } }
        own, parts = all.fetch("accessible.language", []).partition { |_, paragraph| paragraph.nil? }
        strong = Guide::Check.new(STRONG, document).findings.map { |one| [one.message, one.paragraph] }
        {**all, "accessible.language" => own, "language.of_parts" => parts, "strong.contrast" => strong}
      end

      # What 1.4.8 asks of blocks of text.
      def presented
        text = document.paragraphs.select { |one| !one.blank? && Survey.role(document, one) == "body" }
        looks = text.map { |one| [one, document.look(one)] }
        {"presented.justified" => told(looks, "Text is justified") { |look| look[:align] == "justify" },
         "presented.spacing" => told(looks, "Lines are less than 1.5 apart") { |look| narrow?(look[:line_spacing]) },
         "presented.measure" => long_lines}
      end

      def told(looks, words)
        looks.select { |_, look| yield(look) }.map { |paragraph, _| [words, paragraph.id] }
      end

      def narrow?(spacing)
        spacing && spacing[:rule] == "multiple" && spacing[:value] < SPACING
      end

      # Where pages are known: paragraphs whose full lines hold more characters than are easy to read.
      def long_lines
        blocks = (Layout.pages(document)&.sheets || []).flat_map(&:lines).map(&:block).uniq
        blocks.select { |block| block.paragraph && block.characters.to_i > LONGEST }
          .map { |block| ["Lines hold more than #{LONGEST} characters", block.paragraph.id] }
      end

      def undivided
        return [] if document.word_count < LONG || headings?
        [["#{Quantity.number(document.word_count)} words stand under no heading", nil]]
      end
    end
  end
end
