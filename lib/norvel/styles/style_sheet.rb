# frozen_string_literal: true

module Norvel
  module Styles
    # All styles of a document with its defaults (ISO/IEC 29500-1 17.7). A value: changed by with and put.
    class StyleSheet
      MOST = 5_000 # styles: more than programs that write them take (common practice)

      # Raises UnreadableFile for more styles than any document has.
      def self.refuse_more(count)
        return if count <= MOST
        raise UnreadableFile, "The document defines more than #{MOST / 1000},000 styles, which is more than any " \
          "text needs."
      end

      LAST = 100 # after every priority that a file gives (0 to 99)

      attr_reader :paragraph_defaults, :run_defaults

      # +styles+: a hash from id to Style, in the file's order.
      def initialize(styles: {}, paragraph_defaults: PropertySet::EMPTY, run_defaults: PropertySet::EMPTY)
        @styles = styles.freeze
        @paragraph_defaults = paragraph_defaults
        @run_defaults = run_defaults
        @chains = {}
        @defaults = {}
      end

      # {id => Style}, in the file's order.
      def by_id
        @styles
      end

      # The same with others.
      def with(styles: @styles, paragraph_defaults: @paragraph_defaults, run_defaults: @run_defaults)
        StyleSheet.new(styles:, paragraph_defaults:, run_defaults:)
      end

      # What the document sets for all text, on paragraphs or runs.
      def defaults(place)
        (place == :run) ? run_defaults : paragraph_defaults
      end

      # The same with a style, added or in the place of the one with its id.
      def put(style)
        with(styles: @styles.merge(style.id => style))
      end

      # The Style with an id, nil for none.
      def [](id)
        @styles[id]
      end

      # The default style of a type: the last one marked so (17.7.4.17); nil when there is none.
      def default(type = "paragraph")
        @defaults.fetch(type) { @defaults[type] = @styles.values.reverse.find { |s| s.type == type && s.default } }
      end

      # The style that an id on content means: a missing one, or one of another type, is the default (17.3.1.27); may be
      # nil.
      def resolve(id, type = "paragraph")
        style = @styles[id]
        (style && style.type == type) ? style : default(type)
      end

      DEEPEST = 100 # styles based on one another: no text has as many

      # The style and what it is based on, root first. A missing base, one of another type and a circle end the chain.
      def chain(style)
        return [] unless style
        @chains[style.id] ||= begin
          line, seen = [style], {style.id => true}
          while (base = @styles[line.last.based_on]) && base.type == style.type && !seen[base.id] && line.size < DEEPEST
            seen[base.id] = true
            line << base
          end
          line.reverse.freeze
        end
      end

      # By the name people see, without case (built-in names are compared so).
      def named(name, type = nil)
        @by_name ||= @styles.values.group_by { |style| style.name.downcase }
        @by_name[name.downcase]&.find { |style| type.nil? || style.type == type }
      end

      # What a file's base style is called, by its writer.
      BASES = /\A(?:normal|standard|default(?: paragraph style| style)?)\z/i

      # The paragraph style that a name from elsewhere means: the one of that name, or of the name that it has in
      # files of another kind; for the name of a base style the default one, however this file calls it; nil when
      # there is none.
      def called(name)
        named(name, "paragraph") || namesake(name) || (default if BASES.match?(name))
      end

      # In files whose base style says that they have names of the other kind.
      def namesake(name)
        other = Equivalents.other(name) if default&.name == Equivalents::OPEN_BASE
        other && named(other, "paragraph")
      end

      # The style of the other kind that is one with this one: text and words in it change together (17.7.4.6). Each
      # must name the other.
      def twin(style)
        other = style && @styles[style.link]
        other if other && other.link == style.id && [style.type, other.type].sort == %w[character paragraph]
      end

      # Styles of a type in the order in which lists show them.
      def ordered(type)
        @styles.each_value.select { |style| style.type == type }
          .sort_by { |style| [style.priority || LAST, style.name.downcase] }
      end

      # Ids whose base leads back to themselves.
      def circular
        @styles.each_value.select { |style| circle?(style) }.map(&:id)
      end

      # A new id made of the name's letters and digits, unused without case. also: ids that are not free either
      def free_id(name, also = [])
        stem = name.unicode_normalize(:nfd).gsub(/[^A-Za-z0-9]/, "")
        stem = "Style" if stem.empty?
        taken = (@styles.keys + also).to_h { |id| [id.downcase, true] }
        return stem unless taken[stem.downcase]
        (1..).lazy.map { |n| "#{stem}#{n}" }.find { |id| !taken[id.downcase] }
      end

      private

      def circle?(style)
        seen = [style.id]
        id = style.based_on
        while id && (base = @styles[id])
          return id == style.id if seen.include?(id)
          seen << id
          id = base.based_on
        end
        false
      end
    end
  end
end
