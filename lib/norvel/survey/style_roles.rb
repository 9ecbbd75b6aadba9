# frozen_string_literal: true

module Norvel
  module Survey
    # The role of a paragraph by the style it is in: what its author says that it is. Names are those of ISO/IEC 29500-1
    # built-in styles and of common practice; a style without a telling name has the role of what it is based on.
    module StyleRoles
      module_function

      # The role that a paragraph's style tells, nil for none.
      def role(document, paragraph)
        return "blank" if paragraph.blank?
        found = document.cascade.memo(:role, paragraph.style_id) do
          of_style(document.styles, document.style_of(paragraph))
        end
        found ||= heading_by_level(document.look(paragraph)[:outline_level])
        found = "table_text" if paragraph.part == :table && (found.nil? || found == "body")
        found || (document.look(paragraph)[:list] ? "list_item" : "body")
      end

      # The role where the style tells it, its name or its outline level; nil where it may hold anything.
      def telling(document, paragraph)
        return "blank" if paragraph.blank?
        found = document.cascade.memo(:role, paragraph.style_id) do
          of_style(document.styles, document.style_of(paragraph))
        end
        found ||= heading_by_level(document.look(paragraph)[:outline_level])
        found unless found == "body"
      end

      # The role a style's name gives, its own before that of its bases; nil when none does.
      def of_style(sheet, style)
        return unless style
        sheet.chain(style).reverse_each do |link|
          role = Roles.of_style_name(link.name) and return (role == "body" &&
            !link.equal?(style)) ? heading_by_level(own_level(sheet, style)) || role : role
        end
        heading_by_level(own_level(sheet, style))
      end

      # The paragraph style of a document for each role, {role => Style}: one that its own text wears before others, one
      # of the usual name before one of another, the base style last; for running text that stands in a style whose name
      # tells nothing, that one. What says that it has no spacing is for no text.
      def best(document)
        named = document.styles.by_id.values.select(&:paragraph?).reject { |style| style.name.match?(NO_SPACING) }
          .group_by { |style| of_style(document.styles, style) }
        found = named.except(nil).to_h { |role, list| [role, list.max_by { |style| fitness(document, role, style) }] }
        return found unless found["body"].nil? || found["body"].default || document.uses[found["body"].id].zero?
        found.merge({"body" => silent_text(document, named[nil] || [])}.compact)
      end

      NO_SPACING = /\Ano spacing\z/i

      def fitness(document, role, style)
        uses = document.uses[style.id]
        [style.default ? 0 : 1, uses.positive? ? 1 : 0, style.name.casecmp?(Roles::ALL[role]&.style.to_s) ? 1 : 0, uses]
      end

      # Of the styles whose names tell nothing the one that most running text is in.
      def silent_text(document, styles)
        known = styles.to_h { |style| [style.id, style] }
        document.paragraphs.select { |one| Suggestions.of(document).role(one.id) == "body" }
          .filter_map { |one| known[document.style_of(one)&.id] }.tally.max_by(&:last)&.first
      end

      # The same by its own name or level alone, whatever it is based on.
      def by_itself(sheet, style)
        Roles.of_style_name(style.name) || heading_by_level(own_level(sheet, style))
      end

      def own_level(sheet, style)
        sheet.chain(style).reverse_each { |link| (level = link.paragraph[:outline_level]) && (return level) }
        0
      end

      def heading_by_level(level)
        "heading_#{[level, 6].min}" if level&.positive?
      end

      private_class_method :fitness, :silent_text, :own_level, :heading_by_level
    end
  end
end
