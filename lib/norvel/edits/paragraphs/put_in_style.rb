# frozen_string_literal: true

module Norvel
  module Edits
    # Puts paragraphs in a paragraph style so that only that changes which is asked for. A style that is missing, or
    # that nothing wears yet, takes the look most of them share, with the asked values on top. In a style that others
    # wear they keep what differs by hand, unless a person chooses another way.
    class PutInStyle < Edit
      # keep:        what differs from the style, and is not asked for, stays by hand
      # hold:        all that differs from the style stays by hand
      # as_style:    they look as the style is; words that are set apart stay so
      # style_takes: the style takes the look most of them share, whoever else wears it
      WAYS = %i[keep hold as_style style_takes].freeze
      RULED = {keep: :asked, style_takes: :asked, hold: :nothing, as_style: :everything}.freeze

      # ids: paragraphs; name: of the style; asked: {property => Guide::Requirement} of what a guide states for them;
      # role: what they are, so that the style of headings is one for contents lists and assistive technology too
      def initialize(ids, name, asked: {}, way: :keep, role: nil)
        @ids = ids
        @name = name
        @asked = asked
        @way = way
        @level = role.to_s[/\Aheading_(\d)\z/, 1]&.to_i
      end

      def change(document)
        paragraphs = chosen(document, @ids)
        after = with_style(document, paragraphs)
        id = named(after).id
        fitting = Fitting.new(document, after, ruled:)
        after.replace(paragraphs.map { |paragraph| fitting.fit(paragraph, id) })
      end

      EVERYTHING = Fitting::KINDS.values.flatten - %i[language page_break_before position]

      def title(document)
        put = "put #{count(@ids.size)} in #{@name}"
        named(document) ? put.sub(/\Ap/, "P") : "Make #{@name}, #{put}"
      end

      # Does the style take their look, since nothing else wears it?
      def takes_look?(document)
        return true if @way == :style_takes
        %i[keep hold].include?(@way) && (style = named(document)).then { style.nil? || !worn?(document, style) }
      end

      # What the style would give them that they don't have: [[Property, theirs, the style's], …]; empty where it takes
      # their look.
      def differences(document)
        return [] if takes_look?(document)
        shared = SharedLook.new(document, chosen(document, @ids))
        style = named(document)
        shared.beyond(style).except(*@asked.keys).map do |name, value|
          property = Styles::Properties[name]
          [property, value, document.cascade.of_style(style, property.on)[name]]
        end
      end

      private

      # Names of the properties that are the style's from now on.
      def ruled
        {asked: @asked.keys, nothing: [], everything: EVERYTHING}.fetch(RULED.fetch(@way))
      end

      def named(document)
        document.sheet.called(@name)
      end

      def with_style(document, paragraphs)
        style = named(document)
        return made(document, paragraphs) unless style
        return document unless takes_look?(document)
        values = taken(document, paragraphs, style)
        with_level(values.empty? ? document : ChangeStyle.new(style.id, values).change(document))
      end

      def made(document, paragraphs)
        base = document.sheet.default
        values = SharedLook.new(document, paragraphs).beyond(base).merge(wanted(document, paragraphs))
        with_level(DefineStyle.new(@name, values:).change(document))
      end

      def with_level(document)
        style = named(document)
        return document if @level.nil? || Survey::StyleRoles.of_style(document.sheet, style).to_s.start_with?("heading")
        ChangeStyle.new(style.id, {outline_level: @level}).change(document)
      end

      # What a style that is there has to change to look like them.
      def taken(document, paragraphs, style)
        values = SharedLook.new(document, paragraphs).beyond(style).merge(wanted(document, paragraphs))
        values.reject do |name, value|
          property = Styles::Properties[name]
          property.same?(document.cascade.of_style(style, property.on)[name], value)
        end
      end

      # The asked values: what most have where that is as asked, else what comes nearest.
      def wanted(document, paragraphs)
        shared = SharedLook.new(document, paragraphs)
        @asked.to_h { |name, requirement| [name, requirement.nearest(shared[name])] }.compact
      end

      # Does anything else wear the style, one based on it, or its letters?
      def worn?(document, style)
        ours = @ids.to_h { |id| [id, true] }
        heirs = document.sheet.styles.each_value.select { |other| document.sheet.chain(other).include?(style) }
          .to_h { |other| [other.id, true] }
        twin = document.sheet.twin(style)&.id
        document.everything.any? do |paragraph|
          next if ours[paragraph.id]
          heirs[document.style_of(paragraph)&.id] || (twin && paragraph.runs.any? { |run| run.style_id == twin })
        end
      end
    end
  end
end
