# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # What the style names in a text mean: a common style, or an automatic one of the pool of its part with what it
      # sets directly (ISO/IEC 26300-1 3.15.3).
      class AutomaticStyles
        # style_id, direct, letters  of a paragraph: its style, what it sets on itself, and on all of its letters
        # master, page_number        where a page with another set-up begins, as the style says; nil for nowhere
        # list_style                 the list style it names, "" for none, nil where it says nothing
        # level                      the heading level that its common style has, 0 for none
        # node                       of the automatic style, or nil
        Worn = Struct.new(:style_id, :direct, :letters, :master, :page_number, :list_style, :level, :node)
        NOTHING = Styles::PropertySet::EMPTY

        # part: of the pool; styles: StyleReader
        def initialize(part, styles)
          @part = part
          @styles = styles
          @formatting = styles.formatting
          @paragraphs = {}
          @texts = {}
        end

        # What an automatic style of paragraphs sets, and the style that it stands on.
        def paragraph(name)
          @paragraphs[name] ||= read_paragraph(name)
        end

        # [style id or nil, what is set directly] of a span's style.
        def text(name)
          @texts[name] ||= read_text(name)
        end

        # An automatic style's element, or nil.
        def node(name, family = "paragraph")
          automatic.dig(family, name)
        end

        private

        def automatic
          @automatic ||= begin
            found = Hash.new { |all, family| all[family] = {} }
            @part&.children(@part.child(@part.root, "office:automatic-styles"), "style:style")&.each do |node|
              found[@part.attr(node, "style:family")][@part.attr(node, "style:name")] ||= node
            end
            found
          end
        end

        def read_paragraph(name)
          node = name && node(name)
          style = node ? @part.attr(node, "style:parent-style-name") : name
          said = ->(attribute) { (node && @part.attr(node, attribute)) || @styles.inherited(style, attribute) }
          direct = node ? @formatting.read(node, :paragraph, @part, indent: @styles.indent(style)) : NOTHING
          letters = node ? @formatting.read(node, :run, @part) : NOTHING
          Worn.new(style, direct, letters, said["style:master-page-name"], page_number(node, style),
            said["style:list-style-name"], level(style), node)
        end

        def level(style)
          common = @styles.element(style)
          common ? @styles.part.attr(common, "style:default-outline-level").to_i : 0
        end

        def page_number(node, style)
          common = @styles.element(style)
          [[@part, node], [@styles.part, common]].filter_map { |part, one|
            properties = one && part.child(one, "style:paragraph-properties")
            properties && part.attr(properties, "style:page-number")&.[](/\A\d+\z/)&.to_i
          }.first
        end

        def read_text(name)
          node = node(name, "text")
          return [Names.id(name, "character"), NOTHING] unless node
          base = @part.attr(node, "style:parent-style-name")
          [base && Names.id(base, "character"), @formatting.read(node, :run, @part)]
        end
      end
    end
  end
end
