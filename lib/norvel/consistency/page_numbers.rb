# frozen_string_literal: true

module Norvel
  module Consistency
    # Sections without a page number among ones that have it, numbers at another position or in another form, numbers
    # that start again within the body, numbers that were typed. Roman front matter before arabic pages is lawful, and
    # so are first pages and a title page without a number.
    class PageNumbers < Subject
      RULE = "page_numbers"
      FORMS = {"decimal" => "1, 2, 3", "lower_roman" => "i, ii, iii", "upper_roman" => "I, II, III",
               "lower_letter" => "a, b, c", "upper_letter" => "A, B, C"}.freeze
      # How a section shows its number: place, ["footer", :middle], nil for none; typed: is it a number that was typed?
      Shown = Struct.new(:number, :section, :place, :typed)

      def odds
        @shown = @document.sections.each.with_index(1).reject { |section, _| section.starts == "continuous" }
          .map { |section, number| shown(section, number) }
        with = @shown.select(&:place)
        return typed if with.empty?
        [*typed, *missing(with.first.number), *misplaced(with), *reformed(with), *restarted(with)]
      end

      private

      def shown(section, number)
        places = %w[header footer].filter_map do |kind|
          story = @document.head(number, kind, "default") and place(kind, story)
        end
        words = %w[header footer].filter_map { |kind| @document.head(number, kind, "default")&.text&.strip }
        typed = places.empty? && words.any? { |text| text.match?(/\A\D{0,8}\d{1,3}\z/) }
        Shown.new(number, section, places.first, typed)
      end

      # Where a field for the page stands, nil where there is none.
      def place(kind, story)
        line = Running::Line.read(story, @document)
        return line.place_of("page")&.then { |side| [kind, side] } if line
        [kind, :somewhere] if story.paragraphs.any? { |one| one.anchors.any? { |a| page?(a.object) } || field?(one) }
      end

      def page?(object)
        object.is_a?(Document::Field) && object.does == "page"
      end

      def field?(paragraph)
        paragraph.runs.any? { |run| (run.within + run.pieces).any? { |piece| page?(piece) } }
      end

      def typed
        @shown.select(&:typed).map do |one|
          odd(section: one.number, usual: "a number that counts", found: "a typed number",
            message: "The page number of section #{one.number} was typed: each page shows the same")
        end
      end

      # After the first that has one.
      def missing(first)
        @shown.select { |one| one.number > first && one.place.nil? && !one.typed }.map do |one|
          odd(section: one.number, message: "Section #{one.number} shows no page number, the sections before it do",
            usual: "a page number", found: "none")
        end
      end

      def misplaced(with)
        with.group_by { |one| one.section.number_format }.values.flat_map do |group|
          place = usual(group.map(&:place)) or next []
          group.reject { |one| one.place == place }.map do |one|
            odd(section: one.number, usual: place_words(place), found: place_words(one.place),
              message: "The page number of section #{one.number} stands #{place_words(one.place)}, elsewhere " \
                "#{place_words(place)}")
          end
        end
      end

      def place_words(place)
        kind, side = place
        where = (kind == "header") ? "at the head" : "at the foot"
        side = {left: " left", middle: " in the middle", right: " right"}[side]
        "#{where}#{side}"
      end

      # A form that was left comes again, or letters and romans after arabic ones.
      def reformed(with)
        runs = with.chunk_while { |one, other| one.section.number_format == other.section.number_format }.to_a
        runs.each_with_index.filter_map do |run, at|
          format = run.first.section.number_format
          next if at.zero? || runs.first(at).none? { |before| before.first.section.number_format == format }
          odd(section: run.first.number, usual: FORMS[runs[at - 1].first.section.number_format].to_s,
            found: FORMS[format].to_s,
            message: "Page numbers change to #{FORMS[format]} again in section #{run.first.number}")
        end
      end

      # Where most sections begin anew, they are numbered so on purpose.
      def restarted(with)
        again = with.each_cons(2).select do |before, one|
          one.section.number_start && one.section.number_format == before.section.number_format
        end
        return [] if again.size * 2 > with.size && with.size > 2
        again.map do |_, one|
          start = one.section.number_start
          odd(section: one.number, usual: "going on from the section before", found: "starting at #{start}",
            message: "Page numbers start again at #{start} in section #{one.number}")
        end
      end
    end
  end
end
