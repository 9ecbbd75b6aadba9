# frozen_string_literal: true

require "yaml"

module Norvel
  class Guide
    # A guide made from a template or a model document: page set-up, what the styles say by kind, numbering, labels of
    # pages, heads, contents and captions, as far as the document has them. Every group says where it is from.
    class Derived
      FROM = "from the template"
      LETTERS = %i[font size bold italic caps small_caps color].freeze
      LINES = %i[align indent_left indent_right first_line line_spacing space_before space_after keep_with_next
        page_break_before].freeze
      SIDES = %w[top bottom left right].freeze
      MIRRORED = {"left" => "inside", "right" => "outside"}.freeze
      BOTH = {"header" => "head", "footer" => "foot"}.freeze
      SLACK = 1.0 # pt, of paper
      FEW = 10 # paragraphs of a template that shows no more than its styles

      # name: of the guide; the document's, unless one is given
      def initialize(document, name: nil)
        @document = document
        @name = name || document.info[:title] || File.basename(document.name.to_s, ".*")
        @best = Survey::StyleRoles.best(document).merge({"body" => most_text}.compact)
      end

      # The rules as a guide has them, as plain data.
      def data
        @data ||= {"norvel_guide" => 1, "name" => "Format of #{@name}", "language" => language, "page" => page,
                   "roles" => roles, "headings" => headings, "pagination" => pagination, "running" => running,
                   "parts" => parts, "captions" => captions, "notes" => notes}
          .reject { |_, value| value.nil? || value.respond_to?(:empty?) && value.empty? }
      end

      # The same as YAML.
      def text
        "# Made from #{@document.name || "a document"}: read every rule, and take out what is not meant.\n" +
          YAML.dump(data, line_width: 120).delete_prefix("---\n")
      end

      private

      def language
        @document.info[:language] || Survey::Language.of_document(@document)
      end

      # The style that most running text stands in.
      def most_text
        text = @document.paragraphs.select { |one| one.part == :body && Survey.role(@document, one) == "body" }
        text.map { |one| @document.style_of(one) }.tally.max_by(&:last)&.first
      end

      # The section of the text itself: the one that most of it stands in.
      def section
        numbers = @document.paragraphs.map(&:section).tally
        @document.sections[(numbers.max_by(&:last)&.first || 1) - 1]
      end

      def page
        own = section or return
        wide, high = [own.width, own.height].minmax
        size = PaperSizes.name_of(wide, high, SLACK) || {"width" => millimetres(wide), "height" => millimetres(high)}
        {"size" => size, "orientation" => own.landscape? ? "landscape" : "portrait",
         "margins" => {**margins(own), "tolerance" => "0.5mm"}, "cite" => FROM}
      end

      def margins(own)
        SIDES.to_h do |side|
          name = @document.settings.mirrored ? MIRRORED.fetch(side, side) : side
          [name, millimetres(own[:"margin_#{side}"])]
        end
      end

      def millimetres(points)
        "#{Length.plain(Length.units(points, "mm").round(1).to_f)}mm"
      end

      # {role => what its styles say}, of the styles that text wears, or that a template has for text to come.
      def roles
        @roles ||= ROLES.filter_map { |role| (styles = styles_of(role)).any? && [role, role(role, styles)] }.to_h
      end

      # Kinds that have several styles by custom: bullets and numbers, a quotation and another.
      SEVERAL = %w[list_item quote table_text reference_entry contents_entry].freeze

      def styles_of(role)
        found = SEVERAL.include?(role) ? of_role(role) : [@best[role]].compact
        worn = found.select { |style| worn?(style) }
        return worn if worn.any?
        template? ? found.reject { |style| style.default && role != "body" } : []
      end

      def of_role(role)
        styles = @document.styles.by_id.values.select { |style| style.paragraph? && !style.hidden }
        styles.select { |style| Survey::StyleRoles.of_style(@document.styles, style) == role }
      end

      def worn?(style)
        @document.uses[style.id].positive?
      end

      # Does it hold next to no text, so that its styles are all there is?
      def template?
        @document.paragraphs.count { |one| !one.blank? } < FEW
      end

      # One style is named; of several each value is one of theirs.
      def role(name, styles)
        looks = styles.map { |style| values(style) }
        values = looks.first.keys.to_h { |key| [key, any(looks.map { |look| look[key] })] }
        named = (styles.one? && !styles.first.default) ? {"style" => styles.first.name} : {}
        {**named, **values.compact.reject { |key, value| usual?(name, key, value) },
          "cite" => "#{FROM}, #{styles.map(&:name).join(", ")}"}
      end

      # {"font" => "Garamond", …} of a style.
      def values(style)
        look = {paragraph: @document.cascade.of_style(style, :paragraph), run: @document.cascade.of_style(style, :run)}
        (LETTERS + LINES).to_h do |key|
          property = Styles::Properties[key]
          [key.to_s, said(property, look[property.on][key])]
        end
      end

      # One value where all have it, nil where one says nothing that a guide can ask.
      def any(values)
        several = values.uniq
        return several.first if several.size == 1
        {"any_of" => several} unless several.any? { |value| value.nil? || value == true || value.is_a?(Hash) }
      end

      # What says nothing: switches that are off; how far text stands from the edge of a cell.
      def usual?(role, key, value)
        value == false || (role == "table_text" && key == "indent_left")
      end

      # A value as a guide has it.
      def said(property, value)
        return if value.nil?
        case property.type
        when Styles::Types::Flag then property.type.json(value)
        when Styles::Types::LineSpacing then spacing(value)
        when Styles::Types::Length then "#{Length.plain(value.round(2))}pt"
        else property.type.json(value)&.to_s
        end
      end

      NAMES = {1.0 => "single", 2.0 => "double"}.freeze

      def spacing(value)
        number = value[:value].round(3)
        return NAMES.fetch(number) { {"multiple" => number} } if value[:rule] == "multiple"
        (value[:rule] == "exact") ? {"exact" => "#{Length.plain(number)}pt"} : nil
      end

      def headings
        levels = (1..6).select { |level| roles.key?("heading_#{level}") }
        return if levels.empty?
        {"max_level" => levels.max, "skip_levels" => false, "numbering" => numbering, "cite" => FROM}.compact
      end

      # How the first style of headings is counted.
      def numbering
        style = @best["heading_1"]
        id = style && @document.cascade.of_style(style, :paragraph)[:list_id]
        level = id&.nonzero? && @document.numbering.level(id, 0) or return
        return "chapter" if level.text.match?(/\A#{Survey::Words.any("chapter")}\b/i)
        "decimal" if level.format == "decimal"
      end

      # What the sections do, where there are front and body matter.
      def pagination
        stretches = Structure::Matters.new(@document).read
        stated = stretches.select { |one| %w[front body].include?(one.name) }
        matters = stated.map { |stretch| matter(stretch) }
        {"matters" => matters, "cite" => FROM} if matters.any? { |one| one.size > 1 }
      end

      def matter(stretch)
        {"matter" => stretch.name, "label" => (stretch.format if MatterForms.include?(stretch.format)),
         "restart" => (stretch.start if stretch.name == "body"), "place" => place(stretch.sections.first)}.compact
      end

      MatterForms = (Rules::MatterRules::FORMS.keys - ["none"]).freeze

      # Where the label of a section's pages stands: "bottom_center".
      def place(number)
        Running::LabelPlace::KINDS.each do |kind|
          line = line(number, kind)
          found = line && Running::LabelPlace.of(line, kind)
          return found if found
        end
        nil
      end

      def line(number, kind)
        story = @document.head(number, kind, "default")
        story && Running::Line.read(story, @document)
      end

      # What heads and feet of the text say, where that is more than a number.
      def running
        number = (@document.sections.index(section) || 0) + 1
        lines = BOTH.filter_map do |kind, name|
          said = line(number, kind)&.to_h&.reject { |_, words| words.strip.empty? }
          next if said.nil? || said.empty? || said.values.all? { |words| words.match?(/\A\W*\{page\}\W*\z/) }
          [name, said.transform_keys { |side| Rules::RunningRules::SIDES.key(side) }]
        end
        {**lines.to_h, "from" => "body", "cite" => FROM} if lines.any?
      end

      # The parts in their order, of a model document that has them.
      def parts
        names = Structure::Parts.new(@document).list.map(&:name) & Structure::Parts::NAMES
        return if names.size < 3 || template?
        names.map { |name| (name == "contents") ? {"part" => name, "levels" => levels} : {"part" => name} }
          .map { |part| part.compact.merge("required" => true, "cite" => FROM) }
      end

      def levels
        list = Structure::ContentsLists.in(@document).find(&:levels)
        list&.levels&.max
      end

      # On which side captions stand of what they are of.
      def captions
        sides = {"figure" => side_of { |block| block.is_a?(Document::Paragraph) && block.images.any? },
                 "table" => side_of { |block| block.is_a?(Document::Table) }}.compact
        sides.merge("cite" => FROM) if sides.any?
      end

      def side_of
        blocks = @document.shown_blocks
        found = blocks.each_index.select { |at| yield(blocks[at]) }.filter_map do |at|
          next "below" if caption?(blocks[at + 1])
          "above" if at.positive? && caption?(blocks[at - 1])
        end
        found.tally.max_by(&:last)&.first
      end

      def caption?(block)
        block.is_a?(Document::Paragraph) && Survey.role(@document, block) == "caption"
      end

      # The style of notes, where there are some.
      def notes
        story = @document.stories.find { |one| one.kind == "footnote" }
        note = story&.paragraphs&.find { |one| !one.blank? } or return
        style = @document.style_of(note)
        letters = style ? @document.cascade.of_style(style, :run) : @document.letter_look(note)
        {"style" => (style.name if style && !style.default), "font" => letters[:font],
         "size" => "#{Length.plain(letters[:size])}pt", "cite" => FROM}.compact
      end
    end
  end
end
