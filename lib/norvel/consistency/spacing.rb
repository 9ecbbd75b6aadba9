# frozen_string_literal: true

module Norvel
  module Consistency
    # Paragraphs of one kind with another spacing, line spacing or indent than most of the kind. What all the first or
    # last ones of their runs have is meant so.
    class Spacing < Subject
      RULE = "spacing"
      KINDS = %w[body quote caption reference_entry code].freeze
      PROPERTIES = %i[line_spacing space_before space_after].freeze
      LEAST = 5
      SHARE = 0.8

      def odds
        groups.flat_map do |words, list, names|
          (list.size < LEAST) ? [] : names.flat_map { |name| of_kind(words, list, name) }
        end
      end

      private

      # [[words, [Paragraph, …], properties], …]
      def groups
        text = worded.select { |one| one.part == :body }
        kinds = text.group_by { |one| role(one) }
        plain = KINDS.filter_map { |name| (list = kinds[name]) && [Survey::Roles.words(name), list, PROPERTIES] }
        lists = (kinds["list_item"] || []).group_by { |one| @document.cascade.list_of(one)&.last }.except(nil)
          .map { |level, list| ["list items of level #{level + 1}", list, [*PROPERTIES, :indent_left]] }
        levels = headings.map { |level, list| ["headings of level #{level}", list, PROPERTIES] }
        plain + lists + levels
      end

      def of_kind(words, list, name)
        values = list.map { |one| value(one, name) }
        most = usual(values, least: LEAST - 1, share: SHARE) or return []
        list.zip(values).reject { |one, value| value == most || meant?(list, one, name, value) }
          .map { |one, _| deviation(words, one, name, look(list[values.index(most)])[name]) }
      end

      def value(paragraph, name)
        given = look(paragraph)[name]
        given.is_a?(Hash) ? given.transform_values { |one| rounded(one) } : rounded(given)
      end

      # At its place in a run of its kind the value is as usual as any.
      def meant?(list, paragraph, name, value)
        place = place(paragraph)
        return false if place == :inside
        @places ||= Hash.new { |all, group| all[group] = group.group_by { |one| place(one) } }.compare_by_identity
        peers = @places[list].fetch(place)
        peers.size < 3 || peers.count { |one| value(one, name) == value } * 2 >= peers.size
      end

      # :first, :last or :inside of paragraphs of one kind in a row; :alone. A section or page break is an end too.
      def place(paragraph)
        @at ||= worded.each_with_index.to_h { |one, at| [one.id, at] }
        at = @at.fetch(paragraph.id)
        before, after = (worded[at - 1] if at.positive?), worded[at + 1]
        first, last = [before, after].map { |other| other.nil? || role(other) != role(paragraph) }
        return :alone if first && last
        return :first if first
        last ? :last : :inside
      end

      def deviation(words, paragraph, name, usual)
        property = Styles::Properties[name]
        found = property.spoken(look(paragraph)[name])
        odd(paragraph:, usual: property.spoken(usual), found:, label: "Make it equal: #{property.spoken(usual)}",
          message: "#{property.label} is #{found}, in most of #{words} #{property.spoken(usual)}",
          steps: [[:make_equal, name, usual]], why: "it would change how it looks")
      end
    end
  end
end
