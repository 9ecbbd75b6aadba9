# frozen_string_literal: true

module Norvel
  class Guide
    # Applies every safe mend, stage by stage, again until none is left that helps, and says what was done and what is
    # left with why. A stage is judged by what the one before left; where nothing was changed nothing is judged anew.
    class Mending
      ROUNDS = 8
      TRIES = 2 # of one cause

      attr_reader :document, :changes

      # only: rule names (a trailing * matches the rest), or nil for all
      def initialize(guide, document, only: nil)
        @guide = guide
        @before = document
        @document = document
        @only = only
        @changes = []
        @mended = Hash.new(0)
        @tried = Hash.new(0)
      end

      def run
        ROUNDS.times { break unless round }
        self
      end

      # [{rule:, count:}, …]
      def mended
        @mended.map { |rule, count| {rule:, count:} }
      end

      # [{rule:, count:, why:}, …]
      def left
        wanted = check.findings.select { |finding| wanted?(finding.rule) }
        wanted.group_by { |finding| [finding.rule, why(finding)] }
          .map { |(rule, why), list| {rule:, count: list.size, why:} }
      end

      def words_unchanged?
        @before.seal.same_words?(@document.seal)
      end

      # What white space went.
      def white_space_removed
        {blank_paragraphs: blanks(@before) - blanks(@document), tabs: tabs(@before) - tabs(@document)}
      end

      private

      # Of the document as it is now; what can't have changed since the last one is kept.
      def check
        return @check if @check&.document.equal?(@document)
        @check = Check.new(@guide, @document, before: @check)
      end

      def wanted?(rule)
        @only.nil? || @only.any? { |pattern| File.fnmatch(pattern, rule) }
      end

      # One pass through the stages. True when something was changed.
      def round
        Rules::STAGES.map { |stage| mendable(stage).map { |group| mend(group) }.any? }.any?
      end

      def mendable(stage)
        check.groups.select do |group|
          group.first.mend&.safe && Rules[group.rule].stage == stage && wanted?(group.rule) &&
            @tried[group.first.cause] < TRIES
        end
      end

      def mend(group)
        @tried[group.first.cause] += 1
        change = group.edit(@guide).apply(@document)
        return false if change.nothing?
        @document = change.after
        @changes << change
        @mended[group.rule] += group.size
        true
      end

      def why(finding)
        return "no mend can be computed: it needs a person's eye" unless finding.mend
        return "the mend may change meaning, so it asks first" unless finding.mend.safe
        return "the mend was tried and did not help" if @tried.key?(finding.cause)
        "it came up after the last pass: mend again"
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
