# frozen_string_literal: true

module Norvel
  # Text from a clipboard, HTML or plain: structure and emphasis are kept, all other formatting is dropped. Turned into
  # pieces in the styles of a document, for Edits::AddParagraphs.
  class Pasted
    ROLES = {"h1" => "heading_1", "h2" => "heading_2", "h3" => "heading_3", "h4" => "heading_4", "h5" => "heading_5",
             "h6" => "heading_6", "p" => "body", "div" => "body", "li" => "list_item", "blockquote" => "quote",
             "pre" => "code", "figcaption" => "caption",
             "td" => "body", "th" => "body", "dt" => "body", "dd" => "body", "address" => "body"}.freeze
    EMPHASIS = {"i" => {italic: true}, "em" => {italic: true}, "cite" => {italic: true}, "b" => {bold: true},
                "strong" => {bold: true}, "u" => {underline: "single"}, "sup" => {position: "super"},
                "sub" => {position: "sub"}}
      .freeze
    DROPPED = %w[script style head title template noscript iframe object svg].freeze
    LONGEST = 2_000_000

    # A paragraph: its role, and runs as [text, {bold: true …}].
    Block = Struct.new(:role, :runs) do
      def text
        runs.map(&:first).join
      end
    end

    # The blocks of an HTML fragment. Raises Refused.
    def self.html(source)
      if source.bytesize > LONGEST
        raise Refused, "That is more text than can be pasted at once (2 MB): bring it in as a file."
      end
      fragment = Nokogiri::HTML4.fragment(source.scrub)
      DROPPED.each { |name| fragment.css(name).remove }
      new.tap { |pasted| pasted.walk(fragment, "body", {}) }.blocks
    end

    # The blocks of plain text: a line each.
    def self.plain(source)
      if source.bytesize > LONGEST
        raise Refused, "That is more text than can be pasted at once (2 MB): bring it in as a file."
      end
      source.scrub.split(/\r?\n/).map(&:strip).reject(&:empty?).map { |line| Block.new("body", [[line, {}]]) }
    end

    # Blocks as pieces in a document's styles: the guide's style for the role, the usual one, or the default.
    def self.pieces(blocks, document, guide)
      blocks.map do |block|
        style = [Edits::PutInRoles.style_name(block.role, guide), "Body Text"].compact
          .filter_map { |name| document.sheet.named(name, "paragraph") }.first || document.sheet.default
        Edits::AddParagraphs::Piece.new(style&.id, block.runs)
      end
    end

    def initialize
      @blocks = []
      @open = nil
    end

    def blocks
      close
      @blocks
    end

    def walk(node, role, emphasis)
      node.children.each do |child|
        if child.text? then add(child.text, role, emphasis)
        elsif child.name == "br" then close
        elsif ROLES.key?(child.name)
          close
          inner = (child.name == "p" && %w[list_item quote].include?(role)) ? role : ROLES[child.name]
          walk(child, (inner == "body") ? role_inside(role) : inner, emphasis)
          close
        elsif child.element? then walk(child, role, emphasis.merge(EMPHASIS.fetch(child.name, {})))
        end
      end
    end

    private

    # A plain block inside a quotation or list item is part of it.
    def role_inside(role)
      %w[list_item quote].include?(role) ? role : "body"
    end

    def add(text, role, emphasis)
      text = text.gsub(/[\s\u00A0]+/, " ")
      return if @open.nil? && text.strip.empty?
      @open ||= Block.new(role, [])
      text = text.lstrip if @open.runs.empty?
      @open.runs << [text, emphasis] unless text.empty?
    end

    def close
      if @open && !@open.text.strip.empty?
        @open.runs.last[0] = @open.runs.last[0].rstrip
        @blocks << @open
      end
      @open = nil
    end
  end
end
