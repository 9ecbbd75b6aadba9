# frozen_string_literal: true

module Norvel
  # A document in memory. A value: an edit makes a new one that shares all that it did not touch, so that any two states can
  # be compared and the way back is the state before.
  class Document
    # format      :docx
    # name        the file's name
    # paragraphs  of the text, tables and boxes, in document order, counted from 1 by readers
    # stories     other parts: headers, footers, notes, comments, as Story
    # sections    Section, in order; page_styles: PageStyle; pictures: Picture; sheet: Styles::StyleSheet; numbering: Numbering; info: {title:, author:, language: …}
    # settings    {:sum_spaces, :mirrored …}; source: the package as it came
    FIELDS = %i[format name paragraphs stories sections page_styles pictures sheet numbering info settings source].freeze
    attr_reader(*FIELDS)

    # A part beside the text. kind: "header", "footer", "footnote", "endnote", "comment"; section: the first that shows it, or nil.
    Story = Struct.new(:kind, :section, :paragraphs)

    # known: the cascade of the state it was made from, where styles or lists are others now
    def initialize(cascade: nil, known: nil, **fields)
      FIELDS.each { |field| instance_variable_set(:"@#{field}", fields.fetch(field)) }
      @cascade = cascade
      @known = known
    end

    def with(**changes)
      fields = FIELDS.to_h { |field| [field, changes.fetch(field) { public_send(field) }] }
      same_styles = fields[:sheet].equal?(sheet) && fields[:numbering].equal?(numbering)
      self.class.new(cascade: (@cascade if same_styles), known: @cascade || @known, **fields)
    end

    def cascade
      @cascade ||= Styles::Cascade.new(sheet, numbering, known: @known).tap { @known = nil }
    end

    # The paragraph with this id; raises Refused, since another window may have removed it.
    def paragraph(id)
      paragraphs[position(id)]
    end

    # Where in the text the paragraph with this id stands, from 0.
    def position(id)
      @positions ||= paragraphs.each_with_index.to_h { |paragraph, position| [paragraph.id, position] }
      @positions[id] or raise Refused, "Paragraph #{id} is not in this document any more."
    end

    def include?(id)
      position(id) && true
    rescue Refused
      false
    end

    # Images that still stand in the text.
    def pictures_shown
      pictures.select { |picture| include?(picture.paragraph) }
    end

    def next_id
      (paragraphs.map(&:id).max || 0) + 1
    end

    # A new document in which these paragraphs stand in the place of the ones with their ids.
    def replace(changed)
      return self if changed.empty?
      by_id = changed.to_h { |paragraph| [paragraph.id, paragraph] }
      with(paragraphs: paragraphs.map { |paragraph| by_id.fetch(paragraph.id, paragraph) })
    end

    def section_of(paragraph)
      sections[paragraph.section - 1] || sections.last
    end

    # The style a paragraph is in, after missing ones have become the default; may be nil in a file without styles.
    def style_of(paragraph)
      sheet.resolve(paragraph.style_id)
    end

    def style_name(paragraph)
      style_of(paragraph)&.name || "(no style)"
    end

    # The paragraphs of the text and of every part beside it.
    def everything
      @everything ||= paragraphs + stories.flat_map(&:paragraphs)
    end

    # The document with others in their places, as many of each.
    def with_everything(changed)
      left = changed.dup
      with(paragraphs: same_or(paragraphs, left.shift(paragraphs.size)), stories: same_or(stories, stories.map do |story|
        now = same_or(story.paragraphs, left.shift(story.paragraphs.size))
        now.equal?(story.paragraphs) ? story : Story.new(story.kind, story.section, now)
      end))
    end

    # Ids of all styles that a paragraph or words anywhere are in: {"BodyText" => true}.
    def styles_used
      @styles_used ||= everything.each_with_object({}) do |paragraph, used|
        (style = style_of(paragraph)) && used[style.id] = true
        paragraph.runs.each { |run| used[run.style_id] = true if run.style_id }
      end
    end

    # Paragraphs of the text in each style, by style id.
    def uses
      @uses ||= paragraphs.each_with_object(Hash.new(0)) { |paragraph, uses| (style = style_of(paragraph)) && uses[style.id] += 1 }
    end

    def look(paragraph)
      paragraph.worn(cascade).look ||= cascade.paragraph(paragraph)
    end

    def run_look(run, paragraph)
      cascade.run(run, paragraph)
    end

    # The look that most of a paragraph's letters have; that of its mark when it has none.
    def letter_look(paragraph)
      paragraph.worn(cascade).letters ||= most_of(paragraph)
    end

    # The role of every paragraph by its look, words, place and style.
    def suggestions
      @suggestions ||= Survey::Suggestions.new(self)
    end

    # Takes the roles of another state of the document for this one's, where the two differ in styles alone.
    def with_suggestions_of(other)
      @suggestions ||= other.suggestions
      self
    end

    def markers
      @markers ||= numbering.markers(self)
    end

    def word_count
      @word_count ||= paragraphs.sum(&:word_count)
    end

    def seal
      @seal ||= Seal.of(self)
    end

    def inspect
      "#<Document #{name}: #{paragraphs.size} paragraphs, #{sheet.styles.size} styles>"
    end

    private

    # The list that was where every member is the same, else the other, frozen.
    def same_or(was, now)
      (now.zip(was).all? { |new, old| new.equal?(old) }) ? was : now.freeze
    end

    def most_of(paragraph)
      ways = paragraph.ways.values
      return cascade.run(Run.new("", nil, paragraph.mark), paragraph) if ways.empty?
      return run_look(ways.first.first, paragraph) if ways.size == 1
      ways.each_with_object(Hash.new(0)) { |(run, letters), weight| weight[run_look(run, paragraph)] += letters }.max_by(&:last).first
    end
  end
end
