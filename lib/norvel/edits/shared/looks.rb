# frozen_string_literal: true

module Norvel
  module Edits
    # Sets directly what is needed for a paragraph to look as it did.
    module Looks
      module_function

      # +was+ in the document +before+ and +now+ in the document +after+ are the same paragraph.
      def keep(was, before, now, after)
        direct = set(now.direct, before.look(was), after.look(now),
          after.look(now.with(direct: Styles::PropertySet::EMPTY)), :paragraph)
        runs = was.runs.zip(now.runs).map do |old, new|
          new.with(direct: set(new.direct, before.run_look(old, was), after.run_look(new, now),
            after.run_look(new.with(direct: Styles::PropertySet::EMPTY), now), :run))
        end
        now.with(direct:, runs: runs.freeze)
      end

      # +bare+: the look of what has nothing set directly.
      def set(direct, was, now, bare, place)
        was.differences(now, place).inject(direct) do |values, property|
          Setting.put(values, property.name, was[property.name], bare)
        end
      end

      private_class_method :set
    end
  end
end
