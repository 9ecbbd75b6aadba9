# frozen_string_literal: true

module Norvel
  class Guide
    # One part of a plan: all mends of one kind with one aim.
    #   key       names it as long as it is the same: "put_in_style Body Text", with "asked" where it asks first
    #   mend      the first of its mends; rules: the rules whose findings it mends; findings: those
    #   was, now  the documents around it; edits: what leads from one to the other; titles: what these say they do
    #   off       is it left out of the plan?
    PlanPart = Value.define(:key, :mend, :rules, :findings, :was, :outcome, :edits, :off) do
      # Kinds after which text may stand on other pages, or pages have other labels.
      self::MOVE_PAGES = %w[set_matters set_page set_running put_in_part replace_typed_contents refresh_contents
        begin_chapters begin_pages begin_by_style begin_on_page begin_on_next_page remove_page_breaks mirror_margins
        move_caption keep_with_next].freeze

      # The name of the part that a mend belongs to.
      def self.key(mend)
        step = mend.steps.first
        aim = step.drop(1).find { |argument| argument.is_a?(String) }
        aim = step[1].keys.join(", ") if step[1].is_a?(Hash)
        aim = mend.why.to_s[/: (.+)/, 1] if step.first == :clear # what is seen to change
        [step.first, aim, ("asked" unless mend.safe)].compact.join(" ")
      end

      # The same with more of it, done later.
      def and(more)
        with(rules: rules | more.rules, findings: findings + more.findings, edits: edits + more.edits,
          outcome: outcome.and(more.outcome))
      end

      # The document after it.
      def now
        outcome.now
      end

      # What it does, in sentences.
      def titles
        outcome.titles
      end

      # Can it move page ends?
      def moves_pages?
        self.class::MOVE_PAGES.include?(kind)
      end

      # The pages before and after: two Layout::Result.
      def pages
        before = Layout.of(was)
        [before, Layout.of(now, known: before)]
      end

      # Does it change a paragraph with this id, or how it looks?
      def touches?(id)
        return false unless id && was.include?(id) && now.include?(id)
        one, other = was.paragraph(id), now.paragraph(id)
        !one.equal?(other) || was.look(one) != now.look(other) ||
          was.letter_look(one).values.except(:language) != now.letter_look(other).values.except(:language)
      end

      # Is it about the paragraph with this id by itself, as opposed to the style that it is in?
      def at?(id)
        !%w[change_style take_look].include?(kind) && findings.any? { |finding| finding.paragraph == id }
      end

      # Can it be done, and does it change anything?
      def does_something?
        !now.equal?(was)
      rescue Refused
        false
      end

      # The job that it does.
      def kind
        mend.steps.first.first.to_s
      end

      # How many places it is about.
      def count
        findings.filter_map(&:paragraph).uniq.size.nonzero? || findings.size
      end

      # The style that paragraphs go in, or that changes; nil for other kinds.
      def style
        case kind
        when "put_in_style", "take_look" then mend.steps.first[1]
        when "change_style" then was.styles[mend.steps.first[1]]&.name
        end
      end

      # What it changes of a style: [[Property, before, after], …]; empty for parts that change none.
      def style_changes
        one, other = [was, now].map { |document| style && document.styles.called(style) }
        return [] unless one && other && !one.equal?(other)
        Edits::Fitting::KINDS.flat_map do |place, names|
          looks = [was.cascade.of_style(one, place), now.cascade.of_style(other, place)]
          names.map { |name| [Styles::Properties[name], *looks.map { |look| look[name] }] }
            .reject { |property, before, after| property.same?(before, after) }
        end
      end

      # In what they look otherwise in the style: [[Property, theirs, the style's], …].
      def differences
        (kind == "put_in_style") ? put.differences(was) : []
      end

      # The first place that looks otherwise, else the first: [Paragraph before, Paragraph after]; nil of a document's
      # own parts.
      def example
        places = findings.filter_map(&:paragraph).uniq
        pairs = places.select { |id| was.include?(id) }.first(40)
          .map { |id| [was.paragraph(id), (now.paragraph(id) if now.include?(id))] }
        pairs.max_by { |one, other| telling(one, other) }
      end

      # How many words keep an emphasis of their own, by kind: {italic: 312, …}.
      def kept
        findings.filter_map(&:paragraph).uniq.each_with_object(Hash.new(0)) do |id, sums|
          next unless now.include?(id)
          paragraph = now.paragraph(id)
          Edits::Fitting.new(now, now).mixed(paragraph).each { |name| sums[name] += apart(paragraph, name) }
        end
      end

      private

      # The edit that puts them in the style, also where others follow it.
      def put
        first = edits.first
        first.is_a?(Edits::Several) ? first.edits.first : first
      end

      def telling(one, other)
        return 1 if other.nil?
        [one.word_count, 25].min + ((was.look(one) == now.look(other)) ? 0 : 30)
      end

      def apart(paragraph, name)
        words = paragraph.runs.group_by { |run| now.run_look(run, paragraph)[name] }
          .transform_values { |runs| runs.sum { |run| run.words.scan(/[[:alnum:]]+/).size } }
        words.values.sort.first(words.size - 1).sum
      end
    end

    # What a part makes of the document before it, worked out when it is first asked for.
    class PlanPart::Outcome
      # work: gives [the document after, what the edits say, the roles as they are settled then]
      def initialize(&work)
        @work = work
      end

      # The document after it.
      def now
        worked_out[0]
      end

      # What it does, in sentences.
      def titles
        worked_out[1]
      end

      # What its paragraphs read as, where it puts them in styles.
      def roles
        worked_out[2]
      end

      # This and then another.
      def and(more)
        PlanPart::Outcome.new { [more.now, titles + more.titles, more.roles] }
      end

      private

      def worked_out
        @worked_out ||= @work.call
      end
    end
  end
end
