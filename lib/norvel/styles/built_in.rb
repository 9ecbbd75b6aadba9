# frozen_string_literal: true

module Norvel
  module Styles
    # Names that contents lists, navigation and assistive technology go by: such styles are not renamed (ISO/IEC 29500-1
    # 17.7.4.9 leaves names to the application; which ones are relied on is common practice).
    module BuiltIn
      PATTERNS = [
        "normal", "heading [1-9]", "title", "subtitle", "toc [1-9]", "toc heading", "index [1-9]", "index heading",
        "table of (figures|authorities)", "caption", "(foot|end)note (text|reference)", "header", "footer",
        "page number",
        "line number", "annotation (text|reference|subject)", "list( (bullet|number|continue))?( [2-5])?",
        "list paragraph", "body text( [23]| indent| first indent)?", "block text", "(intense )?quote", "strong",
        "emphasis",
        "book title", "bibliography", "(followed)?hyperlink", "plain text", "html preformatted", "normal \\(web\\)",
        "no spacing", "normal table", "table grid", "no list", "default paragraph font"
      ].freeze
      NAMES = /\A(?:#{PATTERNS.join("|")})\z/i

      # Is a style of this name built in (ISO/IEC 29500-1 17.7.4.9)?
      def self.name?(name)
        name.match?(NAMES)
      end
    end
  end
end
