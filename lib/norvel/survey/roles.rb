# frozen_string_literal: true

module Norvel
  module Survey
    # What a paragraph is to its reader: one table for guides, suggestions, edits and pages.
    module Roles
      # name as guides and the command line have it words as a person reads it, in a sentence style the usual style for
      # it, nil where there is none names what a style is called that says so (ISO/IEC 29500-1 built-in names and common
      # practice) letter the key that puts a paragraph in its style, from the start form how it is drawn: weight falls
      # with the level of a heading, body is pale, quotations inset, lists notched … level of a heading
      Role = Value.define(:name, :words, :style, :names, :letter, :form, :level, form: "b")

      HEADINGS = (1..6).map do |level|
        Role.new(name: "heading_#{level}", words: "heading #{level}", style: "Heading #{level}",
          names: /\Aheading #{level}\b/i,
          form: "h#{[level, 3].min}", level:)
      end.freeze

      LIST = [
        *HEADINGS,
        Role.new(name: "title", words: "title", style: "Title", names: /\Atitle\z/i, letter: "i", form: "h1"),
        Role.new(name: "subtitle", words: "subtitle", style: "Subtitle", names: /\Asubtitle\z/i, form: "h2"),
        Role.new(name: "contents_entry", words: "contents entry", form: "l",
          names: /\A(?:(?:toc|contents)\ (?:[1-9]|heading)|table\ of\ (?:figures|authorities)|
            (?:illustration|table|object)\ index\ (?:[1-9]|heading))\z/ix),
        Role.new(name: "caption", words: "caption", style: "Caption", letter: "c", form: "c",
          names: /\A(?:caption\b|illustration\z|figure\z|table\z|drawing\z)/i),
        Role.new(name: "quote", words: "block quotation", style: "Block Quote", letter: "q", form: "q",
          names: /\A(?:block text|block quot\w*|(?:intense )?quote|quotations?)\b/i),
        Role.new(name: "list_item", words: "list item", style: "List Paragraph", letter: "l", form: "l",
          names: /\A(?:list\b|numbering [1-5]\z)/i),
        Role.new(name: "reference_entry", words: "reference entry", style: "Bibliography", letter: "r",
          names: /\A(?:bibliography|references?|works cited)\b/i),
        Role.new(name: "code", words: "code", style: "Plain Text", letter: "p",
          names: /\A(?:html preformatted|plain text|code|listing|preformatted)\b/i),
        Role.new(name: "table_text", words: "table text", style: "Table Text", letter: "t", form: "t",
          names: /\Atable (?:text|contents|heading|paragraph)\b/i),
        Role.new(name: "body", words: "body text", style: "Body Text",
          names: /\A(?:body text|text body|normal|first paragraph|standard|normal \(web\)|no spacing)\b/i),
        Role.new(name: "note", words: "note", style: "Footnote Text",
          names: /\A(?:(?:footnote|endnote) text\b|(?:foot|end)note\z)/i),
        Role.new(name: "running_head", words: "running head or foot", names: /\A(?:header|footer|page number)\b/i),
        Role.new(name: "blank", words: "blank", form: "x"),
        Role.new(name: "other", words: "other",
          names: /\A(?:verse|poem|poetry|address|inside\ address|signature|salutation|closing|date|byline|author|
            dedication|epigraph|envelope|return\ address|message\ header)/ix)
      ].freeze

      ALL = LIST.to_h { |role| [role.name, role] }.freeze
      # Those that a guide may speak of.
      STATED = (ALL.keys - %w[blank other note running_head]).freeze
      # Those of what stands beside the text, by kinds of stories.
      BESIDE = {"footnote" => "note", "endnote" => "note", "header" => "running_head", "footer" => "running_head",
                "comment" => "other"}.freeze

      module_function

      # The Role of a name. Raises KeyError.
      #   Survey::Roles["quote"].style # => "Block Quote"
      def [](name)
        ALL.fetch(name)
      end

      # A role as a person reads it.
      #   Survey::Roles.words("heading_2") # => "heading 2"
      def words(name)
        ALL[name]&.words || name.tr("_", " ")
      end

      # The role that a style's name gives, the first that fits; nil when none does.
      def of_style_name(name)
        LIST.find { |role| role.names&.match?(name) }&.name
      end

      # {"q" => "quote", …}
      def letters
        LIST.select(&:letter).to_h { |role| [role.letter, role.name] }
      end
    end
  end
end
