# frozen_string_literal: true

module Norvel
  module Formats
    module Html
      # A web page, or a piece of one from a clipboard, to Markup::Text: structure and emphasis by what they mean;
      # classes and looks are dropped (HTML Living Standard, 4).
      class Reader
        ROLES = {**(1..6).to_h { |level| ["h#{level}", "heading_#{level}"] }, "p" => "body", "div" => "body",
                 "section" => "body", "article" => "body", "main" => "body", "header" => "body", "footer" => "body",
                 "aside" => "body", "nav" => "body", "address" => "body", "dt" => "body", "dd" => "body",
                 "details" => "body", "summary" => "body", "form" => "body", "fieldset" => "body", "legend" => "body",
                 "figure" => "body", "td" => "body", "th" => "body", "body" => "body", "html" => "body",
                 "blockquote" => "quote", "figcaption" => "caption", "caption" => "caption"}.freeze
        # What a plain block inside of these is: part of them.
        KEPT = %w[quote list_item caption].freeze
        MARKS = {"i" => {italic: true}, "em" => {italic: true}, "cite" => {italic: true}, "dfn" => {italic: true},
                 "var" => {italic: true}, "b" => {bold: true}, "strong" => {bold: true},
                 "u" => {underline: "single"}, "ins" => {underline: "single"}, "s" => {strike: true},
                 "del" => {strike: true}, "strike" => {strike: true}, "sup" => {position: "super"},
                 "sub" => {position: "sub"}, "mark" => {highlight: "#ffff00"}, "code" => {code: true},
                 "kbd" => {code: true}, "samp" => {code: true}, "tt" => {code: true}}.freeze
        DROPPED = %w[script style head title template noscript iframe object svg canvas audio video select datalist
          button input textarea].freeze
        CELLS = %w[td th].freeze
        ROW_GROUPS = %w[thead tbody tfoot].freeze
        BLOCK = /<(?:p|li|h[1-6]|td|th|dt|dd|div|blockquote|pre|section|br)\b/i
        WHITE = /[\t\n\f\r ]+/
        DEEPEST = 400 # elements in one another, as in XML
        NOTE_HREF = /\A#(?:fn|note|footnote)[:\-_]?(.+)\z/i
        DATA = %r{\Adata:image/[\w.+-]+;base64,(.+)\z}mi

        # A whole page. Raises UnreadableFile.
        def self.page(source)
          refuse_more(source)
          new(parse { Nokogiri::HTML5(source, max_tree_depth: DEEPEST) }).text
        end

        # A piece of one.
        def self.fragment(source)
          refuse_more(source)
          new(parse { Nokogiri::HTML5.fragment(source, max_tree_depth: DEEPEST) }).text
        end

        # Raises UnreadableFile for more blocks than any text has.
        def self.refuse_more(source)
          count = 0
          source.scan(BLOCK) { count += 1 }
          Markup.refuse_more(count)
        end

        # What the block parses. Raises UnreadableFile for what is nested too deeply.
        def self.parse
          yield
        rescue ArgumentError => error
          raise UnreadableFile, "The page is nested deeper than any text needs to be." if error.message.match?(/depth/i)
          raise
        end
        private_class_method :refuse_more, :parse

        def initialize(root)
          @root = root
          @blocks = []
          @pieces = []
          @role = "body"
          @lists = []
          @keys = 0
          @white = true
        end

        # The Markup::Text of the page.
        def text
          info = info()
          drop_title(info[:title])
          notes = notes()
          walk(@root)
          close
          Markup::Text.new(blocks: @blocks.freeze, notes:, info:)
        end

        # The blocks of an element for itself.
        def blocks_of(element)
          self.class.new(element).inside
        end

        private

        # --- what stands beside the text ---

        def info
          said = {title: @root.at_css("title")&.text, author: meta("author"),
                  date: meta("date") || meta("dcterms.date"), language: (@root.at_css("html") || {})["lang"]}
          said.transform_values { |text| text&.strip }.reject { |_, text| text.nil? || text.empty? }
        end

        # The title of the page that stands above its text is no part of it.
        def drop_title(title)
          header = @root.at_css("body > header") or return
          header.remove if title && header.text.strip == title
        end

        def meta(name)
          @root.at_css("meta[name='#{name}']")&.[]("content")
        end

        # Notes stand at the end as a list, each under the name that its mark points at; the way back is no part of it.
        def notes
          holders = @root.css(".footnotes, [role='doc-endnotes'], [role='doc-footnote']")
          found = holders.css("li[id]").to_h do |item|
            item.css("[role='doc-backlink'], .reversefootnote, .footnote-back, .footnote-backref").each(&:remove)
            [item["id"], blocks_of(item.dup.tap { |copy| copy.name = "div" })]
          end
          holders.each(&:remove) if found.any?
          @marks = found.keys.to_h { |id| ["##{id}", id] }
          found
        end

        # --- the walk ---

        def walk(node)
          node.children.each do |child|
            child.element? ? element(child) : (words(child.text) if child.text? || child.cdata?)
          end
        end

        def element(node)
          name = node.name
          return if DROPPED.include?(name)
          case name
          when "br" then line_break
          when "hr" then close
          when "ul", "ol", "menu" then list(node)
          when "li" then item(node)
          when "pre" then code(node)
          when "table" then table(node)
          when "dd" then block("list_item") { walk(node) }
          when "img" then image(node)
          when "a" then link(node)
          when "math" then formula(node)
          when *ROLES.keys then block(ROLES[name]) { walk(node) }
          else marked(MARKS[name]) { walk(node) }
          end
        end

        def block(role)
          close
          outside = @role
          @role = (role == "body" && KEPT.include?(outside)) ? outside : role
          yield
          close
        ensure
          @role = outside
        end

        def marked(marks)
          return yield unless marks
          outside = @marks_now
          @marks_now = (outside || {}).merge(marks).freeze
          yield
        ensure
          @marks_now = outside if marks
        end

        def words(text)
          text = text.gsub(WHITE, " ")
          text = text.sub(/\A /, "") if @white
          return if text.empty?
          @white = text.end_with?(" ")
          add(text:)
        end

        def line_break
          @pieces[-1] = @pieces.last.with(text: @pieces.last.text.delete_suffix(" ")) if @pieces.any?
          add(text: "\n") if @pieces.any?
          @white = true
        end

        def add(**told)
          told[:text] &&= Characters.legal_with_breaks(told[:text])
          @pieces << Markup::Piece.new(marks: @marks_now || {}, link: @link, **told)
        end

        # The paragraph that is open ends; white space at its ends is none.
        def close
          @pieces.pop while @pieces.any? && @pieces.last.text.match?(/\A[\s\u00A0]+\z/) && !@pieces.last.note
          if @pieces.any?
            Document.refuse_longer(@pieces.sum { |piece| piece.text.size })
            @pieces[-1] = @pieces.last.with(text: @pieces.last.text.sub(/[\s\u00A0]+\z/, ""))
            made = Markup::Block.new(role: @lists.any? ? "list_item" : @role, pieces: @pieces.freeze, place: place)
            @blocks << made unless made.blank?
          end
          @pieces = []
          @white = true
        end

        # --- lists ---

        def list(node)
          close
          start = node["start"].to_s.match?(/\A\d{1,6}\z/) ? node["start"].to_i : 1
          @lists.push({key: @keys += 1, ordered: node.name == "ol", start:, fresh: false})
          walk(node)
          close
        ensure
          @lists.pop
        end

        def item(node)
          return block("list_item") { walk(node) } if @lists.empty?
          close
          @lists.last[:fresh] = true
          task(node)
          walk(node)
          close
        end

        # A box to tick stands as the sign for it.
        def task(node)
          box = [node, *node.element_children.first(1)].flat_map { |one| one.element_children.first(1) }
            .find { |one| one.name == "input" && one["type"] == "checkbox" } or return
          add(text: box.key?("checked") ? "☑ " : "☐ ")
        end

        def place
          list = @lists.last or return
          made = Markup::ListPlace.new(key: @lists.first[:key], ordered: list[:ordered], start: list[:start],
            level: @lists.size - 1, continues: !list[:fresh])
          list[:fresh] = false
          made
        end

        # --- the rest ---

        # Each line of code is a paragraph, its white space as it is.
        def code(node)
          close
          node.text.sub(/\A\n/, "").chomp.split("\n", -1).each do |line|
            piece = Markup::Piece.new(text: Characters.legal_with_breaks(line.delete("\r")))
            @blocks << Markup::Block.new(role: "code", pieces: [piece].freeze)
          end
        end

        def link(node)
          address = node["href"].to_s
          note = (@marks || {})[address] || ((@marks || {}).any? && address[NOTE_HREF] && (@marks || {})[address])
          return add(text: "", note:) if note
          return walk(node) if address.empty? || node["role"] == "doc-backlink"
          begin
            outside = @link
            @link = address.match?(Markup::ADDRESS) ? address : nil
            walk(node)
          ensure
            @link = outside
          end
        end

        def image(node)
          data = DATA.match(node["src"].to_s)&.[](1)
          add(image: Markup::Image.new(description: node["alt"].to_s.strip, bytes: data&.unpack1("m"),
            address: (node["src"] unless data)))
          @white = false
        end

        def formula(node)
          source = Mathml::Node.of(node).source
          add(formula: source, text: Mathml.words(source))
          @white = false
        end

        def table(node)
          close
          rows = rows(node).map do |row|
            cells = row.element_children.select { |cell| CELLS.include?(cell.name) }
            headers = row.parent.name == "thead" || cells.none? { |cell| cell.name == "td" }
            cells.map { |cell| cell(cell, headers && cell.name == "th") }
          end
          caption = node.element_children.find { |one| one.name == "caption" }&.text&.gsub(WHITE, " ")&.strip
          @blocks << Markup::Block.new(role: "table", rows: rows.reject(&:empty?).freeze, caption:)
        end

        # Those of the table itself, whatever groups them.
        def rows(node)
          node.element_children.flat_map do |child|
            next [child] if child.name == "tr"
            ROW_GROUPS.include?(child.name) ? rows(child) : []
          end
        end

        def cell(node, header)
          spans = %w[colspan rowspan].map { |name| node[name].to_s[/\A\d{1,3}\z/].to_i.clamp(1, 100) }
          Markup::Cell.new(blocks: inner(node), header:, columns: spans[0], rows: spans[1])
        end

        # What stands in a cell, with the notes of the whole page.
        def inner(node)
          reader = self.class.new(node)
          reader.known(@marks)
          reader.inside
        end

        protected

        def known(marks)
          @marks = marks
        end

        def inside
          walk(@root)
          close
          @blocks
        end
      end
    end
  end
end
