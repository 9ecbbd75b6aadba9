# frozen_string_literal: true

module Norvel
  class Guide
    # What one edition of a guide says otherwise than another, sentence by sentence.
    class Revision
      # was, now: Sentences::Sentence each, nil where the edition says nothing at that place
      Change = Value.define(:was, :now)

      # was, now: a Guide each
      def initialize(was, now)
        @was, @now = [was, now].map { |guide| Sentences.new(guide).all.to_h { |one| [one.place, one] } }
        @severities = [was, now].map { |guide| guide.data["severity"] || {} }
      end

      # [Change, …] of all sentences that differ, in the order of the newer edition, then what it left out.
      def changes
        @changes ||= (@now.keys | @was.keys).map { |place| Change.new(was: @was[place], now: @now[place]) }
          .reject { |change| same?(change.was, change.now) }
      end

      # [[a pattern of rules, must, should, advice or nil, the same of the newer edition], …] that differ.
      def severities
        was, now = @severities
        (was.keys | now.keys).map { |rule| [rule, was[rule], now[rule]] }.reject { |_, before, after| before == after }
      end

      # Do both say the same?
      def none?
        changes.empty? && severities.empty?
      end

      private

      def same?(was, now)
        was && now && was.words == now.words && was.value == now.value && was.cite == now.cite
      end
    end
  end
end
