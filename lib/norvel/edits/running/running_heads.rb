# frozen_string_literal: true

module Norvel
  module Edits
    # The heads and feet of a document while they are changed: which section says which, and new ones.
    class RunningHeads
      include PageStyles

      KINDS = SetRunning::KINDS

      def initialize(document)
        @document = document
        @heads = document.sections.map { |section| section.heads.transform_values(&:dup) }
        @sections = document.sections.dup
        @settings = document.settings
        @stories = document.stories.dup
      end

      # The document with what the block did. Heads that nothing shows any more go.
      def change
        yield self
        settle_nothing if @document.conventions.heads_inherited
        sections = @sections.zip(@heads).map do |section, said|
          heads = said.transform_values(&:freeze).reject { |_, which| which.empty? }.freeze
          (heads == section.heads) ? section : section.with(heads:)
        end
        after = @document.with(sections: sections.freeze, settings: @settings, stories: shown(sections))
        with_styles_following(@document, after)
      end

      # Left pages get heads and feet of their own: those that all pages have, until they are set.
      def part_left_pages
        return if @settings.even_and_odd
        @settings = @settings.with(even_and_odd: true)
        each_heads { |which| which[:even] = which[:default] if which.key?(:default) }
      end

      # Left pages are as the others again.
      def join_left_pages
        @settings = @settings.with(even_and_odd: false)
        each_heads { |which| which.delete(:even) }
      end

      # The first page of a section gets a head and foot of its own: those of its other pages, until they are set.
      def part_first_page(number)
        return if @sections[number - 1].title_page
        @sections[number - 1] = @sections[number - 1].with(title_page: true)
        KINDS.each { |kind| say(number, kind, "first", shown_id(number, kind, "default")) }
      end

      # The first page of a section is as its others again.
      def join_first_page(number)
        @sections[number - 1] = @sections[number - 1].with(title_page: false)
        @heads[number - 1].each_value { |which| which.delete(:first) }
      end

      # A line for a stretch of sections; the one after it goes on showing what it shows.
      def set(numbers, kind, which, line)
        like = [[kind, which], [kind, "default"], [(KINDS - [kind]).first, "default"]].filter_map { |one, way|
          story(shown_id(numbers.first, one, way))
        }.first
        unlink(numbers.last + 1, kind, which)
        made = add(numbers.first, kind, which, line, like)
        numbers.each do |number|
          @heads[number - 1][kind.to_sym]&.delete(which.to_sym)
          make_room(number, kind)
        end
        say(numbers.first, kind, which, made.id)
      end

      # What a section says of a head or foot: an id, or nil for none.
      def say(number, kind, which, id)
        (@heads[number - 1][kind.to_sym] ||= {})[which.to_sym] = id
      end

      private

      # A .docx has no word for nothing: a blank head says it where one before would be shown, else none has to.
      def settle_nothing
        @heads.each.with_index(1) do |heads, number|
          heads.each do |kind, which|
            which.select { |_, id| id.nil? }.each_key do |way|
              which.delete(way)
              next if shown_id(number, kind, way).nil?
              which[way] = add(number, kind.to_s, way.to_s, Running::Line.new, nil).id
            end
          end
        end
      end

      def each_heads
        @heads.each { |heads| heads.each_value { |which| yield which } }
      end

      # What a section shows, by what it or one before it says.
      def shown_id(number, kind, which)
        telling = @heads.first(number).reverse_each.find { |heads| heads.fetch(kind.to_sym, {}).key?(which.to_sym) }
        telling&.dig(kind.to_sym, which.to_sym)
      end

      def unlink(number, kind, which)
        return if number > @sections.size || @heads[number - 1].fetch(kind.to_sym, {}).key?(which.to_sym)
        say(number, kind, which, shown_id(number, kind, which))
      end

      ROOM = 24.0 # points between a head's place and the text that its line needs
      MARGINS = {"header" => :margin_top, "footer" => :margin_bottom}.freeze

      # A file that had no head tells no place for one: it stands halfway to the edge of the sheet then.
      def make_room(number, kind)
        section = @sections[number - 1]
        margin = section[MARGINS.fetch(kind)]
        return if margin - section[kind.to_sym] >= ROOM || margin < 2 * ROOM
        @sections[number - 1] = section.with(kind.to_sym => (margin / 2).round(1))
      end

      def story(id)
        @stories.find { |story| story.head? && story.id == id }
      end

      # A new head or foot, set like another.
      def add(section, kind, which, line, like)
        number = (@stories.flat_map(&:paragraphs).map { |one| one.id / Document::Story::IDS }.max || 0) + 1
        id = (1..).lazy.map { |n| "#{kind} #{n}" }.find { |name| @stories.none? { |story| story.id == name } }
        paragraph = RunningParagraph.new(@document, kind, like&.paragraphs&.first).of(line,
          @document.sections[section - 1].measure)
        made = Document::Story.new(kind:, id:, section:, which:,
          paragraphs: Document::Story.apart([paragraph], number))
        @stories << made
        made
      end

      def shown(sections)
        used = sections.flat_map { |section| section.heads.values.flat_map(&:values) }.to_h { |id| [id, true] }
        stories = @stories.select { |story| !story.head? || used[story.id] }
        (stories == @document.stories) ? @document.stories : stories.freeze
      end
    end
  end
end
