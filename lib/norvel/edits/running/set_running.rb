# frozen_string_literal: true

module Norvel
  module Edits
    # Says what stands at head and foot of a stretch of sections: of all its pages, of left ones, or of its first. What
    # follows the stretch keeps what it shows, by itself.
    class SetRunning < Edit
      KINDS = %w[header footer].freeze
      WAYS = %w[default even first].freeze
      WORDS = {"default" => "", "even" => " of left pages", "first" => " of the first page"}.freeze
      NAMES = {"header" => "Head", "footer" => "Foot"}.freeze

      # sections: numbers from 1, in a row; lines: {"header" => Running::Line, "footer" => …}, those left out stay;
      # each: is the first page of each section meant, as of chapters that are sections?
      def initialize(sections, lines, which: "default", each: false)
        @sections = sections
        @lines = lines
        @which = which
        @each = each
      end

      def change(document)
        refuse(document)
        RunningHeads.new(document).change do |heads|
          heads.part_left_pages if @which == "even"
          opened.each { |number| heads.part_first_page(number) }
          @lines.each { |kind, line| heads.set(@sections, kind, @which, line) }
        end
      end

      def title(_document)
        said = @lines.map { |kind, line|
          words = line.to_a.map(&:strip).reject(&:empty?).join(" · ").gsub(Running::Line::TOKEN, '\1')
          "#{NAMES.fetch(kind)}#{@each ? " of first pages" : WORDS.fetch(@which)}: #{words.empty? ? "nothing" : words}"
        }
        "#{said.join("; ")}, in #{count(@sections.size, "section")}"
      end

      def changes_heads?(_document)
        true
      end

      private

      # The sections whose first pages are meant.
      def opened
        return [] unless @which == "first"
        @each ? @sections : @sections.first(1)
      end

      def refuse(document)
        raise Refused, "Nothing is said of a head or foot." if @lines.empty?
        raise Refused, "There is no such way for heads and feet to differ." unless WAYS.include?(@which)
        missing = @sections.find { |number| !number.between?(1, document.sections.size) }
        raise Refused, "There is no section #{missing} in this document." if missing
      end
    end
  end
end
