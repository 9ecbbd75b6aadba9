# frozen_string_literal: true

module Norvel
  # A document in memory: what a file says, as a frozen value. An edit makes a new one that shares all that it did not
  # touch, so that any two states can be compared and the way back is the state before. What is worked out from it
  # (roles, pages, its seal) is kept in its Reading, by those who work it out: Survey::SettledRoles.of(document),
  # Layout.of(document).
  class Document
    # What edits change, snapshots keep and ledgers take back:
    #   paragraphs   of the text, tables and boxes, in reading order, counted from 1 by readers
    #   tables       Table, without what stands in them (blocks has it)
    #   stories      other parts: running heads and feet, notes, comments, as Story
    #   sections     Section, in order; page_styles: PageStyle
    #   styles  Styles::StyleSheet; numbering: Numbering; settings: Settings
    #   info         {title:, author:, language: …}
    #   decisions    what a person said of paragraphs, {id => a role's name, or Document::NO_HEADING}
    CHANGING = %i[paragraphs tables stories sections page_styles styles numbering info settings decisions].freeze
    NO_HEADING = "no_heading"
    NONE = {}.freeze
    #   format, name  "docx", the file's name; source: the package as it came
    #   conventions   Conventions of its format
    #   unseen        how many pieces in another format its text holds (w:altChunk, 17.17.2), which stay as they are
    FIELDS = [:format, :name, :conventions, *CHANGING, :source, :unseen].freeze
    attr_reader(*FIELDS)

    MOST_PARAGRAPHS = 150_000 # some 4,000 pages

    # Raises UnreadableFile for more paragraphs than any text has.
    def self.refuse_more(count)
      return if count < MOST_PARAGRAPHS
      raise UnreadableFile, "The document holds more than #{MOST_PARAGRAPHS / 1000},000 paragraphs, which is more " \
        "than any text needs."
    end

    MOST_LETTERS = 500_000 # of one paragraph: some 250 pages without a break

    # Raises UnreadableFile for a paragraph that is longer than any.
    def self.refuse_longer(size)
      return if size <= MOST_LETTERS
      raise UnreadableFile, "A paragraph of it holds more than #{MOST_LETTERS / 1000},000 letters, which is more " \
        "than any text needs."
    end

    # The state from which a person's work began, where that is told: what reads as what goes on being judged by it.
    attr_reader :first

    # What was worked out from it: Reading.
    attr_reader :reading

    # reading: what of another state holds for this one too
    def initialize(first: nil, reading: Reading.new, **fields)
      fields[:decisions] ||= NONE
      fields[:unseen] ||= 0
      FIELDS.each { |field| instance_variable_set(:"@#{field}", fields.fetch(field)) }
      @first = first
      @reading = reading
      freeze
    end

    # The same as a state of a work that began with another.
    def begun_as(first)
      @first.equal?(first) ? self : remade(first:)
    end

    # The same with other fields: with(paragraphs: …, styles: …).
    def with(**changes)
      fields = FIELDS.to_h { |field| [field, changes.fetch(field) { public_send(field) }] }
      remade(fields)
    end

    # How its styles, lists and what is set by hand combine: Styles::Cascade.
    def cascade
      @reading.cascade || @reading.combine(styles, numbering, conventions.cascade)
    end

    # The paragraph with this id, of the text or beside it; raises Refused, since another window may have removed it.
    def paragraph(id)
      everything[position(id)]
    end

    # Where the paragraph with this id stands, from 0: in the text, and after it in what stands beside it.
    def position(id)
      reading[:positions] ||= everything.each_with_index.to_h { |paragraph, position| [paragraph.id, position] }
      reading[:positions][id] or raise Refused, "Paragraph #{id} is not in this document any more."
    end

    # The same for changes that only the text itself can have.
    def text_position(id)
      return position(id) unless Story.id?(id)
      raise Refused, "That can be done in the text itself, not in notes, heads and feet."
    end

    # What a person works on: the text, then notes, heads and feet.
    def working
      reading[:working] ||= paragraphs + stories.reject { |story| story.kind == "comment" }.flat_map(&:paragraphs)
    end

    # Does it hold this very paragraph?
    def same_paragraph?(paragraph)
      reading[:held] ||= everything.each_with_object({}.compare_by_identity) { |one, held| held[one] = true }
      reading[:held].key?(paragraph)
    end

    # The Story that the paragraph with this id stands in, nil for the text.
    def story_of(id)
      return unless Story.id?(id)
      reading[:story_of] ||= stories.flat_map { |story| story.paragraphs.map { |one| [one.id, story] } }.to_h
      reading[:story_of][id]
    end

    # Does a paragraph with this id stand in it?
    def include?(id)
      position(id) && true
    rescue Refused
      false
    end

    # Images of the text, in reading order, as Picture; mathematics is none.
    def pictures
      reading[:pictures] ||= paragraphs.flat_map do |paragraph|
        paragraph.images.reject(&:formula).map { |image| Picture.new(image, paragraph.id) }
      end.freeze
    end

    # Paragraphs and tables of the text, in order, tables with what stands in their cells.
    def blocks
      reading[:blocks] ||= (tables.empty? && paragraphs.none?(&:container)) ? paragraphs : Blocks.of(paragraphs, tables)
    end

    # Those of them that something is seen of.
    def shown_blocks
      reading[:shown_blocks] ||= blocks.reject { |block| block.is_a?(Paragraph) && block.nothing? }
    end

    # The same without these paragraphs. Places with names that stood in them stand at the next one now, as in the file.
    def without(ids)
      return self if ids.empty?
      ids.each { |id| text_position(id) }
      going = ids.to_h { |id| [id, true] }
      left = []
      kept = paragraphs.filter_map do |paragraph|
        next left.concat(paragraph.anchors.select(&:stays?)) && nil if going[paragraph.id]
        next paragraph if left.empty?
        first, left = left.map { |anchor| anchor.at(0) }, []
        paragraph.with(anchors: (first + paragraph.anchors).freeze)
      end
      kept[-1] = at_end(kept.last, left) if left.any? && kept.any?
      with(paragraphs: kept.freeze)
    end

    # The Story that a note's mark stands for, or nil.
    def note(mark)
      reading[:notes] ||= stories.reverse.to_h { |story| [[story.kind, story.id], story] }
      reading[:notes][[mark.of, mark.note]]
    end

    # The running head or foot of a section (a number from 1), of the section before where it says nothing of its own;
    # nil for none.
    #   document.head(2, "footer", "first")
    def head(section, kind, which = "default")
      telling = sections.first(section).reverse_each.find { |before| before.says_head?(kind, which) }
      own = telling&.head(kind, which) and stories.find { |story| story.kind == kind && story.id == own }
    end

    # The same without heads and feet, for proofs about the rest.
    def without_heads
      with(stories: stories.reject(&:head?))
    end

    # The id that the next paragraph gets.
    def next_id
      (paragraphs.map(&:id).max || 0) + 1
    end

    # A new document in which these paragraphs stand in the place of the ones with their ids.
    def replace(changed)
      return self if changed.empty?
      by_id = changed.to_h { |paragraph| [paragraph.id, paragraph] }
      beside = changed.any? { |paragraph| Story.id?(paragraph.id) }
      now = same_or(paragraphs, paragraphs.map { |paragraph| by_id.fetch(paragraph.id, paragraph) })
      document = now.equal?(paragraphs) ? self : with(paragraphs: now)
      beside ? document.with_stories { |paragraph| by_id.fetch(paragraph.id, paragraph) } : document
    end

    # The Section that a paragraph stands in.
    def section_of(paragraph)
      sections[paragraph.section - 1] || sections.last
    end

    # The style a paragraph is in, after missing ones have become the default; may be nil in a file without styles.
    def style_of(paragraph)
      styles.resolve(paragraph.style_id)
    end

    # The name of its style, "(no style)" where it has none.
    def style_name(paragraph)
      style_of(paragraph)&.name || "(no style)"
    end

    # The paragraphs of the text and of every part beside it.
    def everything
      reading[:everything] ||= paragraphs + stories.flat_map(&:paragraphs)
    end

    # The document with others in their places, as many of each.
    def with_everything(changed)
      left = changed.dup
      text = same_or(paragraphs, left.shift(paragraphs.size))
      parts = stories.map do |story|
        now = same_or(story.paragraphs, left.shift(story.paragraphs.size))
        now.equal?(story.paragraphs) ? story : story.with(paragraphs: now)
      end
      with(paragraphs: text, stories: same_or(stories, parts))
    end

    # The document with what the block makes of every paragraph of other parts.
    def with_stories
      changed = stories.map do |story|
        now = same_or(story.paragraphs, story.paragraphs.map { |paragraph| yield paragraph })
        now.equal?(story.paragraphs) ? story : story.with(paragraphs: now)
      end
      with(stories: same_or(stories, changed))
    end

    # A new id for a style of that name: none that content names already, though there is no such style.
    def free_style_id(name)
      reading[:missing_styles] ||= everything.flat_map { |one| [one.style_id, *one.runs.map(&:style_id)] }.compact.uniq
        .reject { |id| styles[id] }
      styles.free_id(name, reading[:missing_styles])
    end

    # Ids of all styles that a paragraph or words anywhere are in: {"BodyText" => true}.
    def styles_used
      reading[:styles_used] ||= everything.each_with_object({}) do |paragraph, used|
        (style = style_of(paragraph)) && used[style.id] = true
        paragraph.runs.each { |run| used[run.style_id] = true if run.style_id }
      end
    end

    # Paragraphs of the text in each style, by style id.
    def uses
      reading[:uses] ||= paragraphs.filter_map { |paragraph| style_of(paragraph)&.id }.tally
        .tap { |uses| uses.default = 0 }
    end

    # What a paragraph looks like: a Styles::Look of paragraph properties.
    def look(paragraph)
      paragraph.worn(cascade).look ||= cascade.paragraph(paragraph)
    end

    # What the letters of one of its runs look like: a Styles::Look of run properties.
    def run_look(run, paragraph)
      cascade.run(run, paragraph)
    end

    # The look that most of a paragraph's letters have; that of its mark when it has none.
    def letter_look(paragraph)
      paragraph.worn(cascade).letters ||= most_of(paragraph)
    end

    # Which level of heading a paragraph is, 0 for none: as its outline level says, or, where the format has it
    # so, the built-in name of its style (ISO/IEC 29500-1 17.16.5.68, \\o).
    def heading_level(paragraph)
      level = look(paragraph)[:outline_level]
      return level if level.positive? || !conventions.headings_by_name
      style_name(paragraph)[/\Aheading ([1-9])\z/i, 1].to_i
    end

    # The marker of every listed paragraph by its id: {17 => "1.2"}.
    def markers
      reading[:markers] ||= numbering.markers(self)
    end

    # Words of the text, without notes, heads and feet.
    def word_count
      reading[:word_count] ||= paragraphs.sum(&:word_count)
    end

    def inspect
      "#<Document #{name}: #{paragraphs.size} paragraphs, #{styles.by_id.size} styles>"
    end

    private

    def remade(fields = FIELDS.to_h { |field| [field, public_send(field)] }, first: @first)
      same_styles = fields[:styles].equal?(styles) && fields[:numbering].equal?(numbering)
      self.class.new(first:, reading: reading.next(same_styles:), **fields)
    end

    def at_end(paragraph, anchors)
      paragraph.with(anchors: (paragraph.anchors + anchors.map { |anchor| anchor.at(paragraph.raw_text.size) }).freeze)
    end

    # The list that was where every member is the same, else the other, frozen.
    def same_or(was, now)
      (now.zip(was).all? { |new, old| new.equal?(old) }) ? was : now.freeze
    end

    def most_of(paragraph)
      ways = paragraph.ways.values
      return cascade.run(Run.new("", nil, paragraph.mark), paragraph) if ways.empty?
      return run_look(ways.first.first, paragraph) if ways.size == 1
      weights = ways.each_with_object(Hash.new(0)) { |(run, letters), sum| sum[run_look(run, paragraph)] += letters }
      weights.max_by(&:last).first
    end
  end
end
