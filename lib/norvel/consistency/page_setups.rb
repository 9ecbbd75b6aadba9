# frozen_string_literal: true

module Norvel
  module Consistency
    # Sections whose paper, margins or distances of head and foot differ from those of the others by a near miss, or
    # stand alone among them. Portrait and landscape are each held against their own kind.
    class PageSetups < Subject
      RULE = "page_setup"
      LENGTHS = %i[margin_top margin_bottom margin_left margin_right header footer gutter].freeze
      WORDS = {margin_top: "top margin", margin_bottom: "bottom margin", margin_left: "left margin",
               margin_right: "right margin", header: "distance of the head", footer: "distance of the foot",
               gutter: "room for binding", width: "paper width", height: "paper height",
               columns: "number of columns"}.freeze
      SAME = 0.6 # points: how files round
      NEAR = 12.0 # points: some 4 mm, nearer than anyone would set on purpose

      def odds
        numbered = @document.sections.each.with_index(1).reject { |section, _| section.width.nil? }
        numbered.group_by { |section, _| section.landscape? }.values
          .flat_map { |group| (LENGTHS + %i[width height columns]).flat_map { |name| differing(name, group) } }
      end

      private

      # A section that others agree on something beside: [Odd, …]
      def differing(name, group)
        return [] if group.size < 2
        usual = usual_of(name, group)
        group.filter_map do |section, number|
          value = section[name] or next
          apart = (value - usual).abs
          next if apart <= SAME || !(near?(name, apart) || alone?(name, group, number, usual))
          deviation(name, number, usual, value)
        end
      end

      # What the most text stands in.
      def usual_of(name, group)
        sizes = @document.paragraphs.group_by(&:section).transform_values(&:size)
        group.group_by { |section, _| rounded(section[name]) }.values
          .max_by { |list| [list.size, list.sum { |_, number| sizes.fetch(number, 0) }] }.first.first[name]
      end

      def near?(name, apart)
        name != :columns && apart <= NEAR
      end

      # All others agree, and it is not the first: a title page may stand by itself.
      def alone?(name, group, number, usual)
        return false if group.size < 3 || number == 1
        group.all? { |section, other| other == number || (section[name] - usual).abs <= SAME }
      end

      def deviation(name, number, usual, value)
        spoken = ->(given) { (name == :columns) ? given.to_s : Length.spoken(given, Length.of_sheets) }
        words = WORDS.fetch(name)
        message = "The #{words} of section #{number} is #{spoken[value]}, elsewhere #{spoken[usual]}"
        odd(section: number, message:,
          usual: spoken[usual], found: spoken[value], label: "Make it equal: #{words} #{spoken[usual]}",
          steps: ([[:set_page, {name => usual}]] unless name == :columns),
          why: ("it is another set-up, perhaps on purpose" if (value - usual).abs > NEAR))
      end
    end
  end
end
