# frozen_string_literal: true

module Norvel
  class Guide
    # Every safe mend of a document as one bulk change, worked out before it is made: the roles are settled once, each
    # paragraph goes where its role says, then values are put right, then spacing and what is set by hand. What it shows
    # is what it does. Parts of it can be left out, and ones that it leaves out by itself taken in.
    class Plan
      # Stages in order. What is judged by one check is mended together.
      STAGES = [%i[roles], %i[values], %i[text by_hand page document]].freeze
      PASSES = 12
      ROUNDS = 3
      RAISING = "it would raise another"
      NEVER = "no mend can be computed: it needs a person's eye"

      attr_reader :guide, :before, :after

      # only: rule names (a trailing * matches the rest), nil for all; also: of those whose mends are done though they
      # ask first; without: keys of parts that are left out; with: keys of parts that ask first and are taken in; among:
      # ids of the paragraphs that it is for, nil for all; check: one of the document, where there is one; told: is
      # called with how much is done, from 0 to 1, as it goes
      def initialize(guide, document, only: nil, also: [], without: [], with: [], among: nil, check: nil,
        told: ->(_) {})
        @told = told
        @guide = guide
        @before = document
        @only = only
        @also = also
        @among = among&.to_h { |id| [id, true] }
        @without = without
        @with = with
        @check = check
        @doubted = {}
        work
        ROUNDS.times { doubt? ? work : break }
      end

      # What it does, part by part: those left out or offered among them, switched off, where they could be done.
      def parts
        @parts.values.reject { |part| part.off && !part.does_something? }
      end

      # The parts that are not switched off.
      def done
        @parts.values.reject(&:off)
      end

      # Is there nothing to do?
      def nothing?
        done.empty?
      end

      # [{rule:, count:}, …]: findings of the check before that are gone.
      def mended
        was, is = [first_check, last_check].map { |check| wanted(check).map(&:rule).tally }
        was.filter_map { |rule, count| {rule:, count: count - is.fetch(rule, 0)} if count > is.fetch(rule, 0) }
      end

      # [{rule:, count:, why:}, …]: all that a check of the result finds; also: true where it could be done all the
      # same.
      def left
        left_by { |finding| {rule: finding.rule} }
      end

      # The same by what the block makes of each finding: {…, count:, why:}.
      def left_by
        wanted(last_check).group_by { |finding| [yield(finding), why(finding), askable?(finding)] }
          .map { |(by, why, also), list| {**by, count: list.size, why:, **(also ? {also:} : {})} }
      end

      # The same as [[why, [findings]], …] by what a person has to look at, worst first.
      def left_for_the_eye
        last_check.groups.select { |group| wanted?(group.rule) && group.findings.any? { |one| among?(one) } }
          .group_by { |group| [group.rule, why(group.first)] }.map { |(_, why), groups| [why, groups] }
      end

      # The Check of the state before.
      def first_check
        @first_check ||= @check || Check.new(guide, before)
      end

      # Of the result, its roles judged anew as anyone would.
      attr_reader :last_check

      def inspect
        "#<Plan #{guide.name}: #{done.size} parts>"
      end

      # The edits that it is made of, in order.
      def all_edits
        done.flat_map(&:edits)
      end

      # Do all words stay as they are?
      def words_unchanged?
        seals.first.same_words?(seals.last)
      end

      # Seals of the documents before and after, as far as its edits promise that they are the same.
      def seals
        @seals ||= Edits::Proof.new(all_edits, before, after).seals
      end

      # What white space went.
      def white_space_removed
        {blank_paragraphs: blanks(before) - blanks(after), tabs: tabs(before) - tabs(after)}
      end

      private

      # A safe part that would raise a finding as grave as those it mends, where there was none like it, asks first from
      # then on: at that place, or as a whole where it is about a style. Is there one?
      def doubt?
        outcome = Outcome.new(first_check, last_check)
        found = outcome.raised.filter_map do |finding|
          part = raising(finding, outcome) or next
          [[part.key, (finding.paragraph if part.at?(finding.paragraph))], "#{RAISING}: #{finding.message}"]
        end
        @doubted = found.to_h.merge(@doubted)
        found.any?
      end

      # The same findings in groups by whether there is doubt of their mend.
      def parted(group)
        return [group] if @doubted.empty?
        group.findings.group_by { |finding| doubt(finding) }.map do |doubt, list|
          Group.new(doubt ? list.map { |finding| finding.mended_by(finding.mend.asking(doubt)) } : list)
        end
      end

      # Why the safe mend of a finding asks first all the same; nil where it does not.
      def doubt(finding)
        return unless finding.mend&.safe
        key = PlanPart.key(finding.mend)
        @doubted[[key, finding.paragraph]] || @doubted[[key, nil]]
      end

      # The last safe part that changed the place of a finding.
      def raising(finding, outcome)
        done.reverse.find do |part|
          part.mend.safe && !@with.include?(part.key) && part.touches?(finding.paragraph) &&
            part.findings.any? { |mended| outcome.grave?(finding, mended.severity) }
        end
      end

      # Settled roles are kept until nothing is left to do by them; then the result is judged as any other document is,
      # and what that finds is done too, but nothing twice.
      def work
        @settled = Survey::SettledRoles.of(before)
        @done, @put, @parts = {}, {}, {}
        @after = before
        @last_check = first_check
        PASSES.times do |pass|
          @told.call([(pass + 1) / 6.0, 0.9].min)
          names = STAGES.find { |stage| mend(stage) } or break
          forget_roles if names.equal?(STAGES.last)
          @last_check = checked
        end
        return if Survey::SettledRoles.of(@after).equal?(@settled) && @settled.of?(@after)
        forget_roles
        @last_check = checked
      end

      # The result as if it had just been read.
      def forget_roles
        @after = @after.with
        @settled = Survey::SettledRoles.of(@after)
      end

      # The state that was reached against the guide.
      def checked
        @last_check.of_later(@after)
      end

      # Mends all of a stage. True when something was changed.
      def mend(stage)
        groups = @last_check.groups.flat_map { |group| parted(group) }
          .select { |group| stage.include?(Rules[group.rule].stage) && mendable?(group) }
        keyed = groups.group_by { |group| PlanPart.key(group.first.mend) }
        ordered(keyed, stage).map { |key, list| part(key, list) }.any?
      end

      # In the order of the stages, blank paragraphs last of the text since they are judged by what stands around them.
      def ordered(by_part, names)
        by_part.sort_by do |key, list|
          [names.index(Rules[list.first.rule].stage), key.start_with?("space_for_blanks") ? 1 : 0]
        end
      end

      def mendable?(group)
        mend = group.first.mend
        return false if mend.nil? || !wanted?(group.rule)
        group.findings.any? { |finding| new?(finding) }
      end

      # One part: its groups' mends in order. True when it changed something.
      def part(key, groups)
        found = groups.flat_map(&:findings).select { |finding| new?(finding) }
        found.each { |finding| @done[trace(finding)] = true }
        return off(key, groups, found) if off?(key, groups)
        let_take_look(groups.first.first.mend, found)
        part = made(key, groups, found)
        return false if part.now.equal?(part.was)
        @after = part.now
        note(part)
        true
      rescue Refused # it can't be done any more after what was done before: it is left
        false
      end

      # A style of the file that nothing wears yet takes the look of what goes in it: a part of its own, before that.
      def let_take_look(mend, found)
        return unless mend.put?
        _, style, role = mend.steps.first
        taking = Mend.new(name: "take_look", label: "Let #{style} take their look", safe: mend.safe, why: mend.why,
          steps: [[:take_look, style, role]])
        return unless @after.styles.called(style) && taking.edit(found, guide).free?(@after)
        group = Group.new(found.map { |finding| finding.mended_by(taking) })
        key = PlanPart.key(taking)
        return off(key, [group], group.findings) if @without.include?(key)
        part = made(key, [group], group.findings)
        return if part.now.equal?(part.was)
        @after = part.now
        note(part)
      end

      # The part as it is done to the state that was reached; what its edits say is told as they are made. What is left
      # off is worked out where somebody looks at it.
      def made(key, groups, found, off: false)
        mend, edits, was, roles = groups.first.first.mend, edits(groups, found), @after, @settled
        outcome = PlanPart::Outcome.new { carried_out(edits, was, roles) }
        @settled = outcome.roles unless off
        PlanPart.new(key:, mend:, rules: groups.map(&:rule).uniq, findings: found, was:, outcome:, edits:, off:)
      end

      # [the document after the edits, what they say, the roles as they are settled then]
      def carried_out(edits, now, roles)
        titles = edits.map do |edit|
          edit.title(now).tap do
            now = done_by(edit, now)
            Survey::SettledRoles.hold(roles = roles.continued(now), now)
          end
        end
        [now, titles, roles]
      end

      # Where what asks first is taken in, words may come; so each edit proves by itself what it promises.
      def done_by(edit, document)
        @also.any? ? edit.apply(document).after : edit.change(document)
      end

      def off?(key, groups)
        @without.include?(key) || (!groups.first.first.mend.safe && !@with.include?(key) && !also?(groups.first.rule))
      end

      # Nothing is done twice at a place, and nothing is put in a style twice, nor as another role than the settled one.
      def new?(finding)
        return false if @done[trace(finding)] || !among?(finding) || !there?(finding)
        !(finding.mend.put? && @put[finding.paragraph]) && !drifted?(finding)
      end

      def drifted?(finding)
        id = finding.paragraph
        return false unless id && before.include?(id) && finding.rule.match?(/\A(?:role|headings)\./)
        Survey::SettledRoles.of(before)[before.paragraph(id)].name != @settled.role(@after.paragraph(id))
      end

      def trace(finding)
        [finding.rule, finding.cause, finding.paragraph, finding.section]
      end

      # Groups with the very same steps are mended as one.
      def edits(groups, found)
        ids = found.to_h { |finding| [finding.paragraph, true] }
        groups.group_by { |group| group.first.mend.steps }.values.filter_map do |list|
          findings = list.flat_map(&:findings).select { |finding| finding.paragraph.nil? || ids[finding.paragraph] }
          findings = findings.uniq(&:paragraph) if findings.all?(&:paragraph)
          measured(list.first.first.mend.edit(findings, guide)) if findings.any?
        end
      end

      # Gaps are as high as they are in the state that was judged, whatever the parts before did to styles beside them.
      def measured(edit)
        edit.is_a?(Edits::SpaceForBlanks) ? edit.measured_in(@last_check.document) : edit
      end

      def note(part)
        part.findings.each { |finding| @put[finding.paragraph] = true } if part.mend.put?
        known = @parts[part.key]
        @parts[part.key] = (known && !known.off) ? known.and(part) : part
      end

      def off(key, groups, found)
        known = @parts[key]
        @parts[key] = made(key, groups, found, off: true) if known.nil?
        @parts[key] = known.with(findings: known.findings + found) if known&.off
        false
      end

      def wanted?(rule)
        @only.nil? || @only.any? { |pattern| File.fnmatch(pattern, rule) }
      end

      def also?(rule)
        @also.any? { |pattern| File.fnmatch(pattern, rule) }
      end

      def among?(finding)
        @among.nil? || @among.key?(finding.paragraph)
      end

      # Is its place still there?
      def there?(finding)
        finding.paragraph.nil? || @after.include?(finding.paragraph)
      end

      def wanted(check)
        check.findings.select { |finding| wanted?(finding.rule) && among?(finding) }
      end

      # Would it be done, were its rule taken in though its mend asks first?
      def askable?(finding)
        !finding.mend.nil? && !finding.mend.safe && !also?(finding.rule) && !drifted?(finding)
      end

      def why(finding)
        return NEVER unless finding.mend
        return finding.mend.why || "the mend may change meaning, so it asks first" unless finding.mend.safe
        return doubt(finding) if doubt(finding)
        return "left out of the plan" if @without.include?(PlanPart.key(finding.mend))
        return "it reads as something else now: look at it" if drifted?(finding)
        "the mend was tried and did not help"
      end

      def blanks(document)
        document.paragraphs.count(&:blank?)
      end

      def tabs(document)
        document.paragraphs.sum { |paragraph| paragraph.text.count("\t") }
      end
    end
  end
end
