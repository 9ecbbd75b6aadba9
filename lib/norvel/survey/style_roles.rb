# frozen_string_literal: true

module Norvel
  module Survey
    # The role of a paragraph by the style it is in: what its author says that it is. Names are those of ISO/IEC 29500-1
    # built-in styles and of common practice; a style without a telling name has the role of what it is based on.
    module StyleRoles
      NAMES = {
        /\Aheading ([1-6])\b/i => "heading_%s", /\Atitle\z/i => "title", /\Asubtitle\z/i => "subtitle", /\A(?:toc|contents) (?:[1-9]|heading)\z/i => "contents_entry",
        /\Atable of (?:figures|authorities)\z/i => "contents_entry", /\Acaption\b/i => "caption", /\A(?:block text|block quot\w*|(?:intense )?quote|quotations?)\b/i => "quote",
        /\Alist\b/i => "list_item", /\A(?:bibliography|references?|works cited)\b/i => "reference_entry", /\A(?:html preformatted|plain text|code|listing|preformatted)\b/i => "code",
        /\Atable (?:text|contents|heading|paragraph)\b/i => "table_text", /\A(?:body text|text body|normal|first paragraph|standard|normal \(web\)|no spacing)\b/i => "body"
      }.freeze

      module_function

      def role(document, paragraph)
        return "blank" if paragraph.blank?
        found = document.cascade.memo(:role, paragraph.style_id) { of_style(document.sheet, document.style_of(paragraph)) }
        found ||= heading_by_level(document.look(paragraph)[:outline_level])
        found = "table_text" if paragraph.part == :table && (found.nil? || found == "body")
        found || (document.look(paragraph)[:list] ? "list_item" : "body")
      end

      # The role a style's name gives, its own before that of its bases; nil when none does.
      def of_style(sheet, style)
        return unless style
        sheet.chain(style).reverse_each do |link|
          role = by_name(link.name) and return (role == "body" && !link.equal?(style)) ? heading_by_level(own_level(sheet, style)) || role : role
        end
        heading_by_level(own_level(sheet, style))
      end

      def by_name(name)
        NAMES.each { |pattern, role| (match = pattern.match(name)) && (return format(role, match[1])) }
        nil
      end

      def own_level(sheet, style)
        sheet.chain(style).reverse_each { |link| (level = link.paragraph[:outline_level]) && (return level) }
        0
      end

      def heading_by_level(level)
        "heading_#{[level, 6].min}" if level&.positive?
      end
    end
  end
end
