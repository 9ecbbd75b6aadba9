# frozen_string_literal: true

module Norvel
  module Edits
    # Puts a contents list in before a paragraph: the format's own field with the entries that it shows now. A page
    # begins after it where one began before it.
    class PutInContents < ContentsEdit
      # before: id of a paragraph; levels: 1 to so many; captions: the sequence whose captions it lists, nil for
      # headings; heading: the words over it, or nil; leader: what leads to labels (ContentsEdit)
      def initialize(before, levels: 3, captions: nil, heading: nil, leader: nil)
        @before = before
        @levels = levels
        @captions = captions
        @heading = heading.to_s.strip
        @leader = leader
      end

      def change(document)
        following = document.paragraph(@before)
        raise Refused, "A contents list can't stand within a table or a box." if following.container
        nowhere = Structure::ContentsLists::List.new(field:, first: nil, last: nil)
        @wanted = Structure::ContentsLists.new(document.tap { |one| Layout.of(one) }).wanted(nowhere)
        refuse_empty
        settled(document) { |labels| with_list(document, following, labels) }
      end

      def title(_document)
        "Put in a #{@captions ? "list of #{@captions.downcase}s" : "contents list"}"
      end

      private

      def refuse_empty
        return if @wanted.any?
        raise Refused, "No caption counts as #{@captions} yet: let captions be counted first." if @captions
        raise Refused, "Nothing is marked as a heading of these levels yet: put headings in their styles first."
      end

      def field
        @field ||= Document::Field.new(id: 900_000, cached: "",
          computes: Document::Computed::Contents.new(captions: @captions, levels: (1..@levels unless @captions)))
      end

      def with_list(document, following, labels)
        place = place(document, following)
        styles = {}
        measure = document.sections[place.section - 1].measure
        made = @wanted.map(&:level).uniq.inject(document) do |now, level|
          now, styles[level] = with_entry_style(now, level, measure, captions: !@captions.nil?, leader: @leader)
          now
        end
        made = with_heading_style(made) unless @heading.empty?
        places = Bookmarks.new(made)
        paragraphs = entries(made, place, styles, labels, places)
        put_in(places.document, place, paragraphs)
      end

      # The list ends the section where the paragraph before it did.
      def put_in(document, place, paragraphs)
        all = document.paragraphs.dup
        if place.ends_section
          all[place.at - 1] = all[place.at - 1].with(holds: nil)
          paragraphs = [*paragraphs[0..-2], paragraphs.last.with(holds: :section_break)]
        end
        document.with(paragraphs: all.insert(place.at, *paragraphs).freeze)
      end

      # Where it stands: a place in the text, its section; does a page begin before it, and after it? does the section
      # end with it?
      Place = Struct.new(:at, :section, :break_before, :break_after, :ends_section)

      # What begins a page goes on doing so: the list gets a page of its own then, in the section before.
      def place(document, following)
        at = document.text_position(@before)
        before = (document.paragraphs[at - 1] if at.positive?)
        return Place.new(at, following.section, false, false) unless before
        return at_section_end(at, before) if before.section != following.section
        return Place.new(at, following.section, true, false) if document.look(following)[:page_break_before]
        Place.new(at, following.section, false, before.raw_text.match?(/\f\s*\z/))
      end

      # In the section that ends there: before the blank paragraph that ends it, else after its last, in whose place it
      # ends the section.
      def at_section_end(at, before)
        unless before.holds == :section_break && before.container.nil?
          raise Refused, "Put a blank paragraph where the section before ends: the list stands before it."
        end
        return Place.new(at - 1, before.section, true, false) if before.blank?
        Place.new(at, before.section, true, false, true)
      end

      def entries(document, place, styles, labels, places)
        id = document.next_id
        list = @wanted.each_with_index.map do |one, n|
          runs = entry_runs(one, labels, places.name(document.paragraph(one.paragraph.id)),
            computed: document.conventions.labels_computed)
          entry(id + n, place.section, styles[one.level], runs)
        end
        list[0] = list[0].with(anchors: [Document::Anchor.new(0, field)].freeze)
        ending = Document::Anchor.new(list[-1].raw_text.size, Document::FieldPart.new(role: "end"))
        list[-1] = list[-1].with(anchors: (list[-1].anchors + [ending]).freeze)
        around(document, place, list, id + list.size)
      end

      # The list with the words over it and the breaks that give it a page of its own.
      def around(document, place, list, id)
        list = [heading(id, document, place.section), *list] unless @heading.empty?
        list = [list.first.with(direct: list.first.direct.merge(page_break_before: true)), *list.drop(1)] if
          place.break_before
        return list unless place.break_after
        ending = Document::Run.new("\f", nil, NOTHING)
        [*list, entry(id + 1, place.section, document.styles.default&.id, [ending].freeze)]
      end

      def entry(id, section, style, runs)
        Document::Paragraph.new(id, :body, section, style, NOTHING, NOTHING, runs)
      end

      # The words over the list: bold, and no heading, so that the list does not name itself.
      def heading(id, document, section)
        entry(id, section, document.styles.called("TOC Heading").id, [Document::Run.new(@heading, nil, NOTHING)].freeze)
      end

      def with_heading_style(document)
        return document if document.styles.called("TOC Heading")
        DefineStyle.new(styled_name(document, "TOC Heading"),
          values: {**HEADING, **like_headings(document), keep_with_next: true}).change(document)
      end

      HEADING = {bold: true, first_line: 0.0, space_before: 0.0, space_after: 12.0, align: "left"}.freeze
      SHARED = %i[align first_line space_before space_after line_spacing].freeze
      LETTERS = %i[size font bold italic caps small_caps].freeze

      # It looks as headings of the first level do, where there are any.
      def like_headings(document)
        heading = document.paragraphs.find { |one| !one.blank? && document.heading_level(one) == 1 } or return {}
        look, letters = document.look(heading), document.letter_look(heading)
        {**SHARED.to_h { |name| [name, look[name]] }, **LETTERS.to_h { |name| [name, letters[name]] }}.compact
      end
    end
  end
end
