# frozen_string_literal: true

module Norvel
  module Styles
    # One entry of the property table.
    #   name      the slot in a PropertySet, and the name rules and forms use
    #   on        :paragraph or :run
    #   type      a Types object
    #   default   the value when no level sets it; nil for slots that only modify another
    #   part_of   the property this slot belongs to, for slots that people never see alone (lines and characters as
    #             units …)
    #   group     where the style form shows it: :letter, :line, :block, :structure; nil when it is not shown
    #   json      its key in the command line's JSON; nil when it is not public there
    #   toggle    true for the toggle properties of ISO/IEC 29500-1 17.7.3
    #   merges    true when levels combine entry by entry (tabs, borders)
    #   clear     what removal of direct formatting does with it: :look goes, :emphasis goes unless kept, :keep stays
    Property = Struct.new(:name, :on, :type, :default, :label, :part_of, :group, :toggle, :merges, :clear, :json,
      keyword_init: true) do
      # The name people and rules use: that of the property it is part of.
      def key
        part_of || name
      end

      # Does it stand in the command line's JSON?
      def public?
        !json.nil?
      end

      # Is it on or off, and nothing else?
      def flag?
        type.is_a?(Types::Flag)
      end

      # Do forms show it?
      def shown?
        !group.nil?
      end

      # In a unit; unless one is named spaces are said in points, whatever the unit of lengths.
      def spoken(value, unit = nil)
        unit ||= name.start_with?("space_") ? "pt" : Norvel::Length.reading
        (value.nil? && !merges) ? "none" : type.spoken(value, unit)
      end

      # Are two values the same to a reader?
      def same?(one, other)
        return one == other if (one.nil? || other.nil?) && !merges
        type.same?(one, other)
      end
    end
  end
end
