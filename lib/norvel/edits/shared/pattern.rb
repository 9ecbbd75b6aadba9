# frozen_string_literal: true

module Norvel
  module Edits
    # What a style that a document lacks begins with: as its template has it, else as its guide asks, else as plain as
    # it can be.
    class Pattern
      # guide: a Guide; template: a Document whose styles count; either may be nil
      def initialize(guide: nil, template: nil)
        @guide = guide
        @template = template
      end

      # {property => value} over the base style of the document. role: what the paragraphs are, where that is known
      def values(document, name, role: nil)
        from_template(document, name) || plain(document, name).merge(asked(document, name, role))
      end

      # Does a template or a guide say how it looks?
      def describes?(document, name, role: nil)
        !from_template(document, name).nil? || !asked(document, name, role).empty?
      end

      private

      def from_template(document, name)
        style = @template&.styles&.called(name) or return
        base = document.styles.default
        Fitting::KINDS.flat_map { |place, names|
          looks = [@template.cascade.of_style(style, place), document.cascade.of_style(base, place)]
          names.filter_map do |key|
            theirs, ours = looks.map { |look| look[key] }
            [key, theirs] unless Styles::Properties[key].same?(theirs, ours)
          end
        }.to_h
      end

      def plain(document, name)
        Styles::Usual.values(name, document)
      end

      # What the guide asks of the role, as near to the plain values as it lies.
      def asked(document, name, role)
        role ||= Survey::Roles.of_style_name(name)
        requirements = (@guide && role) ? @guide.requirements(role) : {}
        given = plain(document, name)
        requirements.to_h do |key, requirement|
          base = document.cascade.of_style(document.styles.default, requirement.property.on)[key]
          [key, requirement.nearest(given.fetch(key, base))]
        end.compact
      end

      PLAIN = new.freeze
    end
  end
end
