# frozen_string_literal: true

module Norvel
  class Guide
    # One part of a plan: all mends of one kind with one aim.
    #   key       names it as long as it is the same: "put_in_style Body Text", with "asked" where it asks first
    #   mend      the first of its mends; rules: the rules whose findings it mends; findings: those
    #   was, now  the documents around it; edits: what led from one to the other; titles: what these say they do
    #   off       is it left out of the plan?
    PlanPart = Value.define(:key, :mend, :rules, :findings, :was, :now, :edits, :titles, :off) do
      # The name of the part that a mend belongs to.
      def self.key(mend)
        step = mend.steps.first
        aim = step.drop(1).find { |argument| argument.is_a?(String) }
        aim = step[1].keys.join(", ") if step[1].is_a?(Hash) && step.first != :clear
        [step.first, aim, ("asked" unless mend.safe)].compact.join(" ")
      end

      # The same with more of it, done later.
      def and(more)
        with(rules: rules | more.rules, findings: findings + more.findings, now: more.now, edits: edits + more.edits,
          titles: titles + more.titles)
      end

      def kind
        mend.steps.first.first.to_s
      end

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
  end
end
