# frozen_string_literal: true

module Norvel
  class Guide
    # A part of a plan in words, for pages and the command line.
    class PlanWords
      LONG = 160 # letters of an example
      MOST = 3 # kinds of emphasis that are told

      def initialize(part)
        @part = part
      end

      # What kinds do to the places they count, and the noun that these are counted by.
      DOES = {
        "indent_without_tabs" => "tabs at the start of %s become first-line indents",
        "indent_without_spaces" => "spaces at the start of %s become first-line indents",
        "single_spaces" => "double spaces in %s become single",
        "join_lines" => "line breaks in sentences of %s become spaces",
        "split_at_breaks" => "line breaks in %s become ends of paragraphs",
        "drop_last_breaks" => "line breaks at the end of %s go",
        "list_typed" => ["typed signs of %s are counted by lists", "list item"],
        "let_style_say" => "what %s set by hand is left to the style",
        "begin_pages" => ["pages of %s begin by style, the breaks go", "heading"],
        "show_capitals" => ["typed capitals of %s are shown by style", "heading"],
        "hang_definitions" => ["second lines of %s hang", "definition"],
        "mark_header_rows" => ["first rows of %s are marked as headers", "table"],
        "style_lead_ins" => ["what sets %s apart is said by a character style", "lead-in"]
      }.freeze

      # What would change, in a line: "256 paragraphs go in Body Text, which takes their look".
      def title
        case @part.kind
        when "put_in_style" then "#{counted} #{one? ? "goes" : "go"} in #{@part.style}"
        when "change_style" then "#{@part.style} changes: #{changes}"
        when "take_look" then "#{@part.style} takes the look of #{counted}, which #{one? ? "goes" : "go"} in it"
        when "space_for_blanks" then "#{counted("blank paragraph")} #{one? ? "becomes" : "become"} space"
        when "delete_styles" then "#{counted("style")} that nothing is in #{one? ? "goes" : "go"}"
        else does || @part.titles.first.to_s
        end
      end

      # What it aims at: the name of a style, values, or the title.
      def what
        @part.style || @part.titles.first
      end

      # More of how, nil where the title says it all.
      def detail
        return differing if @part.kind == "put_in_style"
        return changed if %w[take_look change_style].include?(@part.kind)
        spaces if @part.kind == "space_for_blanks"
      end

      # What it keeps, in words.
      def keeps
        kept = @part.kept.sort_by { |_, count| -count }.reject { |_, count| count.zero? }
        words = kept.first(MOST).map do |name, count|
          "#{Quantity.words(count, "word")} #{KEPT[name]}"
        end
        words << "others" if kept.size > MOST
        words.any? ? "keeps #{words.join(", ")}" : UNCHANGED.fetch(@part.kind, "no word changes")
      end

      # What else is said of kinds that keep no emphasis by hand.
      UNCHANGED = {"set_running" => "the text itself stays", "replace_typed_contents" => "all but the list stays",
                   "count_captions" => "they print the same", "list_typed" => "they print the same",
                   "put_in_part" => "the text stays, a heading comes", "refresh_contents" => "all but the list stays",
                   "change_case" => "the letters stay, as capitals or small",
                   "drop_end_marks" => "the words stay, signs at their ends go"}.freeze

      # {before:, after:} of its telling place, as text.
      def example
        before, after = @part.example
        before && {before: cut(before.text), after: after ? cut(after.text) : ""}
      end

      KEPT = {bold: "in bold", italic: "in italics", underline: "underlined", strike: "struck through",
              caps: "in capitals", small_caps: "in small capitals", highlight: "highlighted",
              color: "in a colour"}.freeze

      private

      def does
        template, noun = DOES[@part.kind]
        format(template, counted(noun || "paragraph")) if template
      end

      def one?
        @part.count == 1
      end

      def counted(noun = "paragraph")
        Quantity.words(@part.count, noun)
      end

      def changes
        @part.titles.map { |title| title.delete_prefix("Change #{@part.style}: ") }.uniq.join(", ")
      end

      # "size 14 pt → 12 pt, asked by § 3.4" of a style.
      def changed
        said = @part.style_changes.map do |property, before, after|
          "#{property.label.downcase} #{property.spoken(before)} → #{property.spoken(after)}"
        end
        clauses = @part.findings.filter_map(&:cite).uniq
        [said.join(", "), ("asked by § #{clauses.join(", ")}" if clauses.any? && @part.kind == "change_style")]
          .compact.join(", ")
      end

      # What looks otherwise then, since the style has it so; nil where nothing does.
      def differing
        return if @part.differences.empty?
        said = @part.differences.map do |property, theirs, its|
          "#{property.label.downcase} #{property.spoken(theirs)} → #{property.spoken(its)}"
        end
        "looks as the style does: #{said.join(", ")}"
      end

      def spaces
        styled = @part.now.styles.by_id.each_value.reject { |style| @part.was.styles[style.id] == style }.map(&:name)
        "of #{styled.join(", ")}" if styled.any?
      end

      def cut(text)
        (text.size > LONG) ? "#{text[0, LONG - 1]}…" : text
      end
    end
  end
end
