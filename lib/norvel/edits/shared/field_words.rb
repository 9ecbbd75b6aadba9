# frozen_string_literal: true

module Norvel
  module Edits
    # What a field shows, said anew: in the run that shows it, or, where nothing does yet, behind the sign that its
    # result begins with.
    module FieldWords
      module_function

      # The paragraph in which a field says this.
      def say(paragraph, field, text)
        shown = paragraph.runs.any? do |run|
          Structure::ComputedNumbers.shows?(run, field) && run.text.match?(EntryWords::LETTERS)
        end
        runs = shown ? reworded(paragraph.runs, field, text) : put_in(paragraph.runs, field, text)
        paragraph.with(runs: runs.reject { |run| run.text.empty? && run.carried.nil? }.freeze)
      end

      # The words of its first run are the new ones; others of it have none.
      def reworded(runs, field, text)
        left = text
        runs.map do |run|
          next run unless Structure::ComputedNumbers.shows?(run, field) && run.text.match?(EntryWords::LETTERS)
          before, _, after = run.text.partition(EntryWords::LETTERS)
          said, left = before + left + after.gsub(EntryWords::LETTERS, ""), ""
          run.with(text: said)
        end
      end

      # Behind its separator, in the run that holds it.
      def put_in(runs, field, text)
        open = false
        runs.map do |run|
          open ||= run.objects.any? { |object| object.equal?(field) }
          place = open && separator(run, field) or next run
          open = false
          with_words(run, field, text, place)
        end
      end

      # Where the text of a run goes on after the separator of a field that began in it or before it; nil for nowhere.
      def separator(run, field)
        signs = run.text.each_char.with_index.select { |char, _| Document::Run::SIGNS.match?(char) }.map(&:last)
        from = run.objects.index { |object| object.equal?(field) } || 0
        found = (from...run.objects.size).find { |number| separator?(run.objects[number]) }
        found && signs[found] + 1
      end

      def separator?(object)
        object.is_a?(Document::FieldPart) && object.role == "separator"
      end

      def with_words(run, field, text, place)
        objects = run.objects.map { |object| object.equal?(field) ? field.with(cached: text) : object }
        run.with(text: run.text[0...place] + text + run.text[place..], carried: objects.freeze)
      end

      private_class_method :reworded, :put_in, :separator, :separator?, :with_words
    end
  end
end
