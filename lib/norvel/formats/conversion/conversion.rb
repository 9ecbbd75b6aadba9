# frozen_string_literal: true

module Norvel
  module Formats
    # A document as a file of another format, with what was not carried. What is written is read again: no word may be
    # missing, and what looks otherwise is told.
    class Conversion
      PRIVATE = /[\uE000-\uF8FF]/

      # target: a Format that differs from the document's
      def initialize(document, target, report: CarryReport.new)
        @document = document
        @target = target
        @report = report
      end

      # Raises Unwritable.
      def written
        Unmodelled.tell(@document, @report) unless @document.conventions == @target.conventions
        bytes = @target.builder.call(translated, @report)
        again = Formats.read(bytes, name: @document.name)
        refuse unless words(@document) == words(again) && heads_carried?(again)
        compare(again)
        Written.new(bytes, @report)
      rescue UnreadableFile => error
        raise Unwritable, "The file that was written can't be read back, so it was not handed over: #{error.message}"
      end

      private

      def translated
        @translated ||= Translation.new(@document, @target).document
      end

      def refuse
        raise Unwritable, "The file that was written does not read back with the same words, so it was not handed over."
      end

      # The words of the text in order, and those of each note and comment.
      def words(document)
        told = Odt::Canonical.of(document)
        [joined(told.paragraphs), texts_of(told.stories.reject(&:head?))]
      end

      def texts_of(stories)
        stories.map { |story| [story.kind, joined(story.paragraphs)] }.reject { |_, text| text.empty? }.sort
      end

      # Heads and feet, all that pages show; those of a section that begins within a page may have no place there, which
      # is told.
      def heads_carried?(again)
        was, now = [@document, again].map { |one| texts_of(Odt::Canonical.of(one).stories.select(&:head?)).uniq }
        lost = was - now
        @report.lost("heads and feet of sections that begin within a page", count: lost.size) if lost.any?
        (now - was).empty? && (lost - within_pages).empty?
      end

      def within_pages
        numbers = (2..@document.sections.size).select { |number| @document.sections[number - 1].starts == "continuous" }
        texts_of(numbers.flat_map { |number| Odt::Canonical.shown(@document, number) })
      end

      # Each white space as one, without signs of symbol fonts.
      def joined(paragraphs)
        paragraphs.map(&:text).join(" ").gsub(PRIVATE, "").tr("\t\n\v\f\r\u00A0", " ").squeeze(" ").strip
      end

      # What looks otherwise for a reader, property by property; markers that show another number; blank paragraphs
      # that the other format needs.
      def compare(again)
        differing = Hash.new(0)
        pairs(again).each do |was, now, divided|
          next @report.approximate("blank paragraphs", "one more, where the format needs it") unless was
          labels = properties(was, now, again) - (divided ? BROKEN : [])
          labels.each { |label| differing[label] += 1 }
        end
        differing.each { |label, count| @report.approximate(label, "not quite the same", count:) }
      end

      BROKEN = [Styles::Properties[:page_break_before].label].freeze # what begins after a break is meant to differ in

      # Paragraphs with what they have become, [nil, it] for one that was added. A break within a paragraph may have
      # made two of it: the second is [it, what it has become, true].
      def pairs(again)
        return translated.paragraphs.zip(again.paragraphs) if again.paragraphs.size == translated.paragraphs.size
        left = again.paragraphs.dup
        found = translated.paragraphs.flat_map do |was|
          added = left.take_while { |now| words_of(now).empty? && !words_of(was).empty? }
          left.shift(added.size)
          added.map { |now| [nil, now] } + pieces(was, left).map.with_index { |now, n| [was, now, n.positive?] }
        end
        found + left.map { |now| [nil, now] }
      end

      # What a paragraph has become, taken from those that are left: as many as say its words together.
      def pieces(was, left)
        words = words_of(was)
        taken = [left.shift].compact
        taken << left.shift while left.any? && taken.sum("") { |one| words_of(one) } != words &&
            words.start_with?(taken.sum("") { |one| words_of(one) })
        taken
      end

      # Its letters, whatever white space stands between them.
      def words_of(paragraph)
        paragraph.text.gsub(/[[:space:]]/, "")
      end

      def properties(was, now, again)
        found = differences(:paragraph, translated.look(was), again.look(now))
        found += ["numbers and bullets of lists"] if @document.markers[was.id] != again.markers[now.id]
        found | letters(was, now, again)
      end

      # Run by run where both have as many, else of most letters.
      def letters(was, now, again)
        unless was.runs.size == now.runs.size
          return differences(:run, translated.letter_look(was), again.letter_look(now))
        end
        was.runs.zip(now.runs).flat_map { |one, other|
          next [] if one.text.empty?
          differences(:run, translated.run_look(one, was), again.run_look(other, now))
        }.uniq
      end

      # The labels of what differs between two looks, worked out once for a pair.
      def differences(place, one, other)
        known = ((@compared ||= {}.compare_by_identity)[one] ||= {}.compare_by_identity)
        known[other] ||= one.differences(other, place).map(&:label)
      end
    end
  end
end
