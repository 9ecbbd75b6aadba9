# frozen_string_literal: true

module Norvel
  module Pdf
    # The structure tree of a document (ISO 32000-1 14.7, 14.8): what every paragraph is, in reading order, and which
    # marked content of which page belongs to it.
    class Structure
      # type: of ISO 32000-1 14.8.4; kids: Element, or Content of pages; alt: what is announced instead; attributes: of
      # 14.8.5 by their owner; language: a tag where it is not the document's
      Element = Struct.new(:type, :kids, :alt, :attributes, :language, keyword_init: true) do
        # Has it, or has anything in it, content on a page?
        def any?
          kids.any? { |kid| !kid.is_a?(Element) || kid.any? }
        end
      end
      # Marked content: the page's reference and its number there.
      Content = Struct.new(:page, :number)
      # An annotation: the page's reference and its own.
      Annotation = Struct.new(:page, :object)
      WITHIN = {"quote" => :BlockQuote, "code" => :Code, "contents_entry" => :TOC}.freeze
      MARKED = 1..6

      attr_reader :root

      # language: a tag, of the whole
      def initialize(document, language)
        @document = document
        @language = Survey::Language.primary(language)
        @root = element(:Document)
        @of = {}
        @labels = {}
        @own_note = {} # {id of a paragraph of a note => its Note}
        @notes = {} # {id of a paragraph => its Note elements whose marks are not drawn yet}
        walk(document.blocks, @root)
      end

      # The element of a paragraph, whose content it takes.
      def of(paragraph)
        @of[paragraph.id] ||= element(:P).tap { |made| @root.kids << made }
      end

      # That of the mark of the next note that is called in a paragraph; the note follows it. In the note itself its
      # mark is a label.
      def reference(paragraph)
        own = @own_note[paragraph.id]
        return element(:Lbl).tap { |made| own.kids.unshift(made) } if own
        holder = of(paragraph)
        made = child(holder, :Reference)
        note = @notes[paragraph.id]&.shift
        holder.kids << holder.kids.delete_at(holder.kids.index { |kid| kid.equal?(note) }) if note
        made
      end

      # That of the marker of a listed paragraph; its own where it has none.
      def label(paragraph)
        @labels[paragraph.id] || of(paragraph)
      end

      # That of an image in a paragraph. box: [left, bottom, right, top] on its page
      def figure(paragraph, image, box)
        made = element(:Figure, alt: image.description, attributes: {Layout: {BBox: box, Placement: :Block}})
        of(paragraph).kids << made
        made
      end

      # That of mathematics in a paragraph, one for all its parts: what is said instead of it are its letters in a row.
      def formula(paragraph, equation)
        @formulas ||= {}.compare_by_identity
        @formulas[equation] ||= element(:Formula, alt: said(equation)).tap { |made| of(paragraph).kids << made }
      end

      # A link among the words of a paragraph.
      def link(paragraph, page, object)
        child(of(paragraph), :Link).kids << Annotation.new(page, object)
      end

      private

      def said(equation)
        described = equation.description if equation.is_a?(Document::Image)
        described || Mathml.words(equation.formula)
      end

      def element(type, **more)
        Element.new(type:, kids: [], **more)
      end

      def child(holder, type, **more)
        element(type, **more).tap { |made| holder.kids << made }
      end

      def walk(blocks, holder)
        blocks.chunk_while { |one, other| together?(one, other) }.each do |group|
          case group.first
          when Document::Table then group.each { |table| table(table, holder) }
          else
            paragraphs(group, holder)
            group.flat_map(&:boxes).each { |box| walk(boxes.in(box.id), holder) }
          end
        end
      end

      # Boxes are read after the paragraph that they stand at.
      def boxes
        @boxes ||= Document::Blocks.new(@document.paragraphs, @document.tables)
      end

      # Items of lists, lines of code, parts of quotations and entries of contents belong together.
      def together?(one, other)
        return false if [one, other].any?(Document::Table)
        kind = kind(one)
        kind != :P && kind == kind(other) && !kind.to_s.match?(/\AH\d/)
      end

      # What a paragraph is: :H1 …, :L, :BlockQuote, :Code, :TOC, :Caption or :P.
      def kind(paragraph)
        @kinds ||= {}
        @kinds[paragraph.id] ||= begin
          level = @document.look(paragraph)[:outline_level].to_i
          role = Survey.role(@document, paragraph)
          if MARKED.cover?(level) then :"H#{level}"
          elsif WITHIN.key?(role) then WITHIN[role]
          elsif role == "caption" then :Caption
          elsif @document.markers.key?(paragraph.id) then :L
          else :P
          end
        end
      end

      def paragraphs(group, holder)
        case kind(group.first)
        when :L then list(group, holder)
        when :TOC then inside(group, child(holder, :TOC), :TOCI)
        when :BlockQuote then inside(group, child(holder, :BlockQuote), :P)
        when :Code then inside(group, child(holder, :P), :Code)
        else inside(group, holder, kind(group.first))
        end
      end

      def inside(group, holder, type)
        group.each { |paragraph| place(paragraph, child(holder, type)) }
      end

      # Deeper items stand in a list of their own in the item before.
      def list(group, holder)
        open = [[level(group.first), child(holder, :L)]]
        group.each do |paragraph|
          depth = level(paragraph)
          open.pop while open.size > 1 && depth < open.last.first
          open << [depth, child(open.last.last.kids.last, :L)] if depth > open.last.first
          item = child(open.last.last, :LI)
          @labels[paragraph.id] = child(item, :Lbl)
          place(paragraph, child(item, :LBody))
        end
      end

      def level(paragraph)
        @document.cascade.list_of(paragraph)&.last || 0
      end

      def table(table, holder)
        made = child(holder, :Table)
        table.rows.each_with_index { |row, index| row(row, child(made, :TR), index < table.header_rows) }
      end

      def row(row, holder, header)
        row.cells.reject(&:continued).each do |cell|
          spans = {ColSpan: cell.columns, RowSpan: cell.rows}.select { |_, count| count > 1 }
          spans[:Scope] = :Column if header
          made = child(holder, header ? :TH : :TD, attributes: spans.empty? ? nil : {Table: spans})
          walk(cell.blocks, made)
        end
      end

      def other_language(paragraph)
        said = @document.letter_look(paragraph)[:language]
        said if said && Survey::Language.primary(said) != @language
      end

      # The element takes the paragraph's words; notes follow where their mark stands.
      def place(paragraph, made)
        @of[paragraph.id] = made
        made.language = other_language(paragraph)
        paragraph.runs.flat_map(&:objects).grep(Document::NoteMark).each do |mark|
          story = @document.note(mark) or next
          note = child(made, :Note)
          (@notes[paragraph.id] ||= []) << note
          story.paragraphs.each do |one|
            @of[one.id] ||= child(note, :P)
            @own_note[one.id] ||= note
          end
        end
      end
    end
  end
end
