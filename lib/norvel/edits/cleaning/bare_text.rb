# frozen_string_literal: true

module Norvel
  module Edits
    # Takes all formatting off, to begin again: paragraphs go in the base style, words in none, and nothing is set by
    # hand. What is structure stays as it is wanted: headings and lists in their styles, headings that were only made to
    # look so in the style of their level; tables, notes, links, images, breaks, super- and subscript, language always.
    class BareText < Edit
      STRUCTURE = {"headings" => /\A(?:title|subtitle|heading_\d)\z/, "lists" => /\Alist_item\z/}.freeze
      LISTED = %i[list_id list_level].freeze

      # ids: of paragraphs, nil for all; keep: of STRUCTURE
      def initialize(ids = nil, keep: STRUCTURE.keys)
        @ids = ids
        @keep = keep & STRUCTURE.keys
      end

      def change(document)
        base = document.styles.default&.id
        paragraphs = @ids ? chosen(document, @ids) : document.working
        document = marked(document, paragraphs) if @keep.include?("headings")
        now = ClearDirect.new(paragraphs.map(&:id)).change(document)
        now.replace(paragraphs.filter_map do |was|
          was = document.paragraph(was.id)
          one = now.paragraph(was.id)
          bare = bare(one, stays?(document, was) ? one.style_id : base)
          bare unless bare.equal?(one)
        end)
      end

      def title(_document)
        kept = @keep.any? ? "#{@keep.join(" and ")} stay" : "headings and lists too"
        "Begin again from bare text, #{kept}"
      end

      private

      # With every heading in a style of headings, as far as its look is telling.
      def marked(document, paragraphs)
        left = paragraphs.select { |one| unmarked?(document, one) }
        left.group_by { |one| Survey.role(document, one) }.inject(document) do |now, (role, list)|
          PutInStyle.new(list.map(&:id), Survey::Roles::ALL[role].style, role:).change(now)
        end
      end

      def unmarked?(document, paragraph)
        role = Survey.role(document, paragraph)
        role.match?(STRUCTURE["headings"]) && Survey.sure?(document, paragraph) &&
          Survey::StyleRoles.role(document, paragraph) != role
      end

      # Beside the text, heads, feet and notes stay in the style that the format has for them.
      def stays?(document, paragraph)
        return true if Document::Story.id?(paragraph.id) || document.style_of(paragraph)&.default
        role = Survey::StyleRoles.role(document, paragraph)
        @keep.any? { |name| role.match?(STRUCTURE[name]) }
      end

      def bare(paragraph, style)
        runs = paragraph.runs.map { |run| marked?(run) ? run : run.with(style_id: nil) }
        listed = @keep.include?("lists") ? paragraph.direct : paragraph.direct.without(*LISTED)
        same = style == paragraph.style_id && listed.equal?(paragraph.direct) &&
          runs.zip(paragraph.runs).all? { |one, other| one.style_id == other.style_id }
        same ? paragraph : paragraph.with(style_id: style, direct: listed, runs: runs.freeze)
      end

      # Does a run hold the mark of a note, or a link?
      def marked?(run)
        run.style_id.nil? || run.carried || run.spans
      end
    end
  end
end
