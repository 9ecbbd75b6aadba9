# frozen_string_literal: true

module Norvel
  module Intake
    # Texts put into one document: chapters behind the first of them, or a text into a template, in the place of what
    # the template says there. What is before and after that place stays as the file has it, with its title page, fields
    # and controls; the texts are dressed in its styles first, so that styles, numbers of headings and page labels go
    # through.
    class Joined
      NO_WORDS = /[[:space:]#{Document::Run::SIGN}#{Document::Run::OBJECT}]/

      # The place for a text in a template that has front matter: from its first chapter to what follows its last, as
      # Paragraphs: [from, till]. Nil each where there is none.
      def self.place_in(base)
        chapters = Structure::Parts.new(base)["chapters"]
        chapters ? [base.paragraphs[chapters.first], base.paragraphs[chapters.last + 1]] : [nil, nil]
      end

      # base: a Document as its file has it; texts: Documents of any format, in their order
      # from, till: Paragraphs of the base, or nil: the first whose place the texts take, and the first that stays after
      # them. Without from they stand at the end, with both the same they are put before it.
      # apart: does each begin on a new page?
      # chosen: of each text, what Edits::ApplyTemplate takes for styles without namesake
      def initialize(base, texts, from: nil, till: nil, apart: false, chosen: [])
        raise Refused, "There is no text to put in." if texts.empty?
        @base, @texts = in_a_package(base), texts
        if [from, till].compact.any?(&:container)
          raise Refused, "The place for the text is within a table or a box: choose a paragraph that stands outside."
        end
        @places = [from, till].map { |one| one && base.position(one.id) }
        if @places.all? && @places[1] < @places[0]
          raise Refused, "What stays after the text stands before the place where it goes."
        end
        @apart, @chosen = apart, chosen
      end

      # The document that holds all, read from its file: nothing of it has been changed since. The block is told how
      # many steps are done, and of how many. Raises Refused, Unwritable.
      def document(&told)
        @told, @steps = told, 0
        dressed = @texts.each_with_index.map { |text, number| step { in_its_styles(text, @chosen[number] || {}) } }
        from, till = @places
        text = dressed.inject { |now, next_one| step { joined(now, next_one) } }
        made = step { joined(@base, text, from: from || till, till:) }
        return step { brought_up_to_date(made) } if words(made.paragraphs) == words_of_all(dressed)
        raise Unwritable, "The texts could not be joined without words being lost, so nothing was made."
      end

      # What of the base stays before the texts, goes for them, and stays after them: [[Paragraph, …], …].
      def stretches
        from, till = @places
        return [@base.paragraphs, [], []] unless from
        till ||= @base.paragraphs.size
        [@base.paragraphs.first(from), @base.paragraphs[from...till], @base.paragraphs.drop(till)]
      end

      private

      # What is one XML file takes texts in as the package that says the same.
      def in_a_package(base)
        name = Formats[base.format].joined_as or return base
        Formats.read(Formats.write(base, as: name).bytes, name: base.name)
      end

      # Each text is dressed and joined to the others or the base; then what is computed is.
      def step
        @told&.call(@steps, (@texts.size * 2) + 1)
        @steps += 1
        yield
      end

      # One behind the other; with a place, in that of the first.
      def joined(base, text, from: nil, till: nil)
        Formats.read(Formats[base.format].joiner.call(base, text, from:, till:, apart: @apart), name: base.name)
      end

      # The text as a file of the base's format, in its styles.
      def in_its_styles(text, chosen)
        text = written(text) unless text.format == @base.format
        edit = Edits::ApplyTemplate.new(@base, numbering: true, chosen:)
        written(with_own_lists(edit.apply(text).after))
      end

      # A list that a style has counts through a document. Those of headings count on behind those of the base where it
      # numbers them too; all others get a list of their own, so that the text counts as it did.
      def with_own_lists(text)
        fresh = {}
        numbering = text.numbering
        own = lists_of_styles(text) { true } - lists_of_styles(text) { |style| counts_on?(text, style) }
        changed = text.paragraphs.filter_map do |paragraph|
          id, level = text.cascade.list_of(paragraph)
          next unless own.include?(id)
          numbering, fresh[id] = numbering.add(text.numbering.list(id)) unless fresh[id]
          paragraph.with(direct: paragraph.direct.merge(list_id: fresh[id], list_level: level))
        end
        text.replace(changed).with(numbering:)
      end

      def lists_of_styles(text, &)
        text.styles.by_id.values.select(&).filter_map { |style| style.paragraph[:list_id] }
      end

      def counts_on?(text, style)
        Survey::StyleRoles.of_style(text.styles, style).to_s.start_with?("heading") &&
          !@base.styles.named(style.name, style.type)&.paragraph&.[](:list_id).nil?
      end

      def written(document)
        Formats.read(Formats.write(document, as: @base.format).bytes, name: document.name)
      end

      # What is computed (lists of contents, numbers) is so for the whole.
      def brought_up_to_date(document)
        edits = [Edits::RefreshNumbers.new]
        edits << Edits::RefreshLists.new if Structure::ContentsLists.in(document).any?
        edits.inject(document) do |now, edit|
          edit.apply(now)&.after || now
        rescue Refused
          now # a list that has nothing to name stays as it is, and is a finding
        end.then { |now| written(now) }
      end

      # --- proof; that each text came to the base's format whole, its conversion has proven ---

      def words_of_all(texts)
        before, _, after = stretches
        words(before + texts.flat_map(&:paragraphs) + after)
      end

      # The words of paragraphs and the marks of notes, without what fields compute: that may say something else in the
      # whole.
      def words(paragraphs)
        computed = ->(run) { run.within.any?(Document::Field) }
        paragraphs.map { |one| one.runs.reject(&computed).map(&:text).join }.join.gsub(NO_WORDS, "")
      end
    end
  end
end
