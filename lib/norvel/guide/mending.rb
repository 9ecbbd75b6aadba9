# frozen_string_literal: true

module Norvel
  class Guide
    # Applies every safe mend, again and again until none is left that helps, and says what was done and what is left with why.
    class Mending
      ROUNDS = 8
      # Text is cleaned before paragraphs are put in styles, styles before what stands by hand over them.
      ORDER = [/\Aclean\.(?:blank|tab|space|double|line)/, /\Aaccessible\./, /\Apage\./, /\A(?:role\.\w+\.style|headings\.unmarked)\z/, /\Arole\./, /\Aclean\./].freeze

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
        check.findings.select { |f| wanted?(f.rule) }.group_by { |f| [f.rule, why(f)] }.map { |(rule, why), list| {rule:, count: list.size, why:} }
      end

      def words_unchanged?
        @before.seal.same_words?(@document.seal)
      end

      # What white space went.
      def white_space_removed
        {blank_paragraphs: blanks(@before) - blanks(@document), tabs: tabs(@before) - tabs(@document)}
      end

      private

      def check
        Check.new(@guide, @document)
      end

      def wanted?(rule)
        @only.nil? || @only.any? { |pattern| File.fnmatch(pattern, rule) }
      end

      # One pass through the stages; each is checked anew, since the one before may have moved its causes. True when
      # something was changed.
      def round
        ORDER.map { |stage| check.groups.select { |group| stage.match?(group.rule) && stage == stage_of(group) && mendable?(group) }.map { |group| mend(group) }.any? }.any?
      end

      def stage_of(group)
        ORDER.find { |pattern| pattern.match?(group.rule) }
      end

      def mendable?(group)
        group.first.mend&.safe && wanted?(group.rule) && @tried[group.first.cause] < 2
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
