# frozen_string_literal: true

require "cgi"

module Norvel
  module Pdf
    # What a file says of itself: bookmarks by heading, labels of pages as they are printed, title, language, metadata
    # (ISO 32000-1 12.3, 12.4.2, 14.3).
    class Catalogue
      STYLES = {"decimal" => :D, "lower_roman" => :r, "upper_roman" => :R}.freeze

      # The information dictionary; no time, so that the same document makes the same bytes.
      def self.info(document)
        {Title: document.info[:title] || File.basename(document.name.to_s, ".*"), Author: document.info[:author],
         Subject: document.info[:subject], Keywords: document.info[:keywords],
         Creator: "Norvel", Producer: "Norvel"}.compact
      end

      # The language of a document: as it says, else as it reads; "und" where that can't be told (BCP 47).
      def self.language(document)
        (document.info[:language] || Survey::Language.of_document(document) || "und").to_s
      end

      def initialize(pdf, document, pages)
        @pdf = pdf
        @document = document
        @pages = pages
      end

      # references: of the pages, in order; claims: as of Metadata
      def write(references, **claims)
        root = @pdf.state.store.root.data
        root[:Lang] = literal(language)
        root[:ViewerPreferences] = {DisplayDocTitle: true}
        root[:PageLabels] = {Nums: labels}
        root[:Metadata] = metadata(**claims)
        root[:OutputIntents] = [intent] if claims[:archive]
        outline(references)
      end

      private

      def language
        Catalogue.language(@document)
      end

      # A range of labels begins where one does not follow from the one before.
      def labels
        before = nil
        @pages.sheets.each_with_index.flat_map do |sheet, index|
          counted = numeral(sheet)
          follows = counted && before == [counted.first, counted.last - 1]
          before = counted
          if follows
            []
          else
            [index, counted ? {S: counted.first, St: counted.last} : {P: literal(sheet.label)}]
          end
        end
      end

      # [style, number] of a label that is counted; nil for one of other signs.
      def numeral(sheet)
        section = @document.sections[sheet.section - 1] || @document.sections.last
        style = STYLES[section.number_format]
        number = sheet.number
        return unless style && number&.positive?
        [style, number] if sheet.label == Document::Numerals.write(number, section.number_format)
      end

      def literal(words)
        PDF::Core::LiteralString.new(words.to_s)
      end

      # Headings by level, each where it stands.
      def outline(references)
        entries = @document.paragraphs.filter_map { |paragraph| entry(paragraph, references) }
        return if entries.empty?
        pdf, nested = @pdf, nest(entries)
        add = lambda do |section, list|
          list.each do |(title, destination), below|
            next section.page(title:, destination:) if below.empty?
            section.section(title, destination:, closed: true) { add[section, below] }
          end
        end
        pdf.outline.define { add[self, nested] }
      end

      # [level, title, reference of its page]
      def entry(paragraph, references)
        level = @document.look(paragraph)[:outline_level].to_i
        sheet = level.positive? && @pages.sheet_of(paragraph.id) or return
        words = paragraph.seen_text.delete(Document::Run::OBJECT)
        title = [@document.markers[paragraph.id], words].compact.join(" ").squeeze(" ").strip
        [level, title, sheet.page] unless title.empty? || references[sheet.page - 1].nil?
      end

      # [[[title, page], entries below it], …]
      def nest(entries)
        top = []
        open = [[0, top]]
        entries.each do |level, title, page|
          open.pop while open.last.first >= level
          below = []
          open.last.last << [[title, page], below]
          open << [level, below]
        end
        top
      end

      def metadata(**claims)
        xml = Metadata.new(Catalogue.info(@document), language, **claims).xml
        @pdf.ref!(Type: :Metadata, Subtype: :XML).tap { |made| made.stream << xml }
      end

      # What the numbers of colours mean (ISO 19005-2 6.2.3).
      def intent
        profile = @pdf.ref!(N: 3).tap { |made| made.stream << ColourProfile.bytes }
        name = literal(ColourProfile::NAME)
        {Type: :OutputIntent, S: :GTS_PDFA1, OutputConditionIdentifier: name, Info: name, DestOutputProfile: profile}
      end
    end
  end
end
