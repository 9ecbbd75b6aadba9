# frozen_string_literal: true

module Norvel
  module Formats
    # What paragraphs of a text without any markup are, from their words alone: titles and headings, quotations,
    # captions, references. What the text itself says (underlined titles, typed lists) stays.
    module GuessedRoles
      SURE = 0.7 # less is not enough to dress a paragraph by
      ROLES = /\A(?:title|heading_[1-6]|caption|reference_entry|quote)\z/

      module_function

      # The Text with the roles of plain paragraphs.
      def of(text)
        document = bare(text)
        roles = document.paragraphs.to_h { |paragraph| [paragraph.id, Survey::Suggestions.of(document)[paragraph.id]] }
        blocks = text.blocks.each.with_index(1).map do |block, id|
          suggestion = roles[id]
          plain = block.role == "body" && block.place.nil?
          guessed = plain && suggestion.confidence >= SURE && ROLES.match?(suggestion.role)
          guessed ? block.with(role: suggestion.role) : block
        end
        text.with(blocks: levelled(blocks).freeze)
      end

      NUMBER = /\A(\d{1,2}(?:\.\d{1,2})*)[.)]?\s/

      # Levels go by typed numbers, where headings have them (1.2 is of the second), and begin with the first.
      def levelled(blocks)
        levels = blocks.filter_map { |block| block.role[/\Aheading_(\d)/, 1]&.to_i }.uniq.sort
        blocks.map do |block|
          level = block.role[/\Aheading_(\d)/, 1] or next block
          own = block.text[NUMBER, 1]&.then { |number| number.count(".") + 1 }
          own = nil if own == 1 && blocks.any? { |other| other.role == block.role && !other.text.match?(NUMBER) }
          block.with(role: "heading_#{[own || (levels.index(level.to_i) + 1), 6].min}")
        end
      end

      # The paragraphs in one style, those that are known to be headings in theirs.
      def bare(text)
        template = Formats::Template.plain
        role_styles = Formats::RoleStyles.new(template)
        paragraphs = text.blocks.each.with_index(1).map do |block, id|
          style = block.role.start_with?("heading") ? role_styles.style(block.role) : template.styles.default&.id
          Document::Paragraph.new(id, :body, 1, style, Styles::PropertySet::EMPTY, Styles::PropertySet::EMPTY,
            [Document::Run.new(block.text, nil, Styles::PropertySet::EMPTY)].freeze)
        end
        template.with(paragraphs: paragraphs.freeze, tables: [].freeze, stories: [].freeze)
      end

      private_class_method :levelled, :bare
    end
  end
end
