# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # pagination.label, .restart, .shown_from, .place: what a guide asks of the labels of front and body matter;
      # pagination.chapter_start: where chapters begin. All held against the pages.
      class MatterRules < Family
        RULES = %w[label restart shown_from place chapter_start].map { |name|
          Rule.new(name: "pagination.#{name}", goes_by: :document, stage: :page)
        }.freeze
        FORMS = {"decimal" => "1, 2, 3", "lower_roman" => "i, ii, iii", "upper_roman" => "I, II, III",
                 "lower_letter" => "a, b, c", "upper_letter" => "A, B, C", "none" => "none"}.freeze
        PLACES = {"header" => "top", "footer" => "bottom"}.freeze
        WHY = "it divides the document into sections: look at the pages before and after"
        KEYS = {"label" => "label", "restart" => "restart", "shown_from" => "shown_from", "place" => "place"}.freeze

        def self.asked(guide, _roles)
          stated = guide.matters.flat_map(&:keys)
          labels = KEYS.filter_map { |rule, key| "pagination.#{rule}" if stated.include?(key) }
          guide.pagination["chapters_start"] ? [*labels, "pagination.chapter_start"] : labels
        end

        def findings
          return [] unless Layout.pages(@document)
          stretches.flat_map { |matter, sheets| judged(matter, sheets) }.compact + chapter_starts
        end

        private

        # [[what the guide asks, the sheets it is asked of], …]: those before the first chapter are front matter.
        def stretches
          chapter = Structure::Matters.new(@document).first_chapter
          at = chapter ? Layout.pages(@document).sheet_of(chapter.id).page - 1 : 0
          all = Layout.pages(@document).sheets
          sheets = {"front" => all.first(at), "body" => all.drop(at)}
          @guide.matters.filter_map { |matter|
            own = sheets[matter["matter"]]
            [matter, own] if own&.any? { |sheet| !sheet.blank }
          }
        end

        def judged(matter, sheets)
          [label(matter, sheets), typed(matter, sheets), restart(matter, sheets.first), shown(matter, sheets),
            place(matter, sheets)]
        end

        # A number that was typed at head or foot, the same on every page.
        def typed(matter, sheets)
          return unless matter["label"]
          sections = sections_of(sheets)
          ways = Running::LabelPlace.new(@document, sections).typed
          return if ways.empty?
          found("label", sheets.first, asked: FORMS[matter["label"]], found: "a number that was typed",
            message: "Pages of the #{matter["matter"]} matter all show the same number, which was typed",
            mend: to_running(ways, sections, "Let every page show its own number", safe: true))
        end

        def sections_of(sheets)
          sheets.map(&:section).uniq
        end

        def to_running(ways, sections, label, safe:)
          plain = ways.transform_values { |lines| lines.transform_values(&:to_h) }
          Mend.new(name: "set_running", label:, safe:, steps: [[:set_running, sections, plain]],
            why: (safe ? nil : "it changes what stands at head and foot: look at the pages first"))
        end

        def label(matter, sheets)
          asked = matter["label"] or return
          odd = sheets.find { |sheet| format_of(sheet) != asked } or return
          found("label", odd, asked: FORMS[asked], found: FORMS.fetch(format_of(odd), format_of(odd)),
            message: "Pages of the #{matter["matter"]} matter are not numbered #{FORMS[asked]}")
        end

        def restart(matter, sheet)
          asked = matter["restart"] or return
          return if sheet.number == asked
          found("restart", sheet, asked: "from #{asked}", found: "from #{sheet.number}",
            message: "The #{matter["matter"]} matter does not begin at #{asked}")
        end

        # Sheets before the one asked for show no label.
        def shown(matter, sheets)
          from = matter["shown_from"] or return
          early = sheets.first(from - 1).find { |sheet| label_on(sheet) } or return
          found("shown_from", early, asked: "from page #{from} on", found: "on page #{early.label}",
            message: "Page #{early.label} shows its label")
        end

        def place(matter, sheets)
          asked = matter["place"] or return
          shown = sheets.drop(matter.fetch("shown_from", 1) - 1).reject(&:blank)
          odd = shown.find { |sheet| !labels_on(sheet).include?(asked) } or return
          seen = label_on(odd) || "nowhere"
          ways = Running::LabelPlace.new(@document, sections_of(sheets)).lines(asked)
          mend = to_running(ways, sections_of(sheets), "Put it at the #{words(asked)}", safe: false) if ways&.any?
          found("place", odd, asked: words(asked), found: words(seen), mend:,
            message: "The label of page #{odd.label} does not stand at the #{words(asked)}")
        end

        def words(place)
          place.tr("_", " ")
        end

        # Where the label of a sheet stands: "bottom_center"; nil where it shows none.
        def label_on(sheet)
          labels_on(sheet).first
        end

        # Some have it at head and foot. Told once for each part.
        def labels_on(sheet)
          @labels ||= Hash.new { |places, story| places[story] = place_in(story) }.compare_by_identity
          Layout.pages(@document).running(sheet).filter_map { |story| @labels[story] }
        end

        def place_in(story)
          line = Running::Line.read(story, @document) and return Running::LabelPlace.of(line, story.kind)
          paragraph = story.paragraphs.find { |one|
            Document::Field.in(one).any? { |field| field.does == "page" }
          } or return
          side = @document.look(paragraph)[:align]
          "#{PLACES.fetch(story.kind)}_#{(side == "justify") ? "left" : side}"
        end

        # --- chapters ---

        def chapter_starts
          asked = @guide.pagination["chapters_start"] or return []
          Structure::Matters.new(@document).headings.filter_map { |heading| chapter_start(heading, asked) }
        end

        def chapter_start(heading, asked)
          sheet = Layout.pages(@document).sheet_of(heading.id) or return
          opens = sheet.lines.find { |line| !line.text.strip.empty? }&.block&.paragraph.equal?(heading)
          return if opens && (asked == "new_page" || sheet.side == "right")
          page = (asked == "new_page") ? "a new page" : "a new right page"
          seen = opens ? "on a left page" : "within page #{sheet.label}"
          finding("pagination.chapter_start", paragraph: heading, asked: page, found: seen,
            message: "“#{heading.text.strip[0, 60]}” does not begin on #{page}", cause: [opens],
            cite: @guide.pagination["cite"], mend: (asked == "new_page") ? begin_on_page : begin_chapters)
        end

        # All of them, since where one begins is up to those before it.
        def begin_chapters
          Mend.new(name: "begin_chapters", label: "Begin them on a right page", safe: false, why: WHY,
            steps: [[:begin_chapters, Structure::Matters.new(@document).headings.map(&:id)]])
        end

        def begin_on_page
          Mend.new(name: "begin_on_page", label: "Begin them on a new page", safe: true, steps: [[:begin_on_page]])
        end

        def format_of(sheet)
          @document.sections[sheet.section - 1].number_format
        end

        def found(rule, sheet, asked:, found:, message:, mend: to_matters)
          finding("pagination.#{rule}", paragraph: sheet.paragraphs.first, section: sheet.section, asked:, found:,
            message:, cause: [mend&.steps], cite: @guide.pagination["cite"], mend:)
        end

        # All matters as the guide asks for them.
        def to_matters
          @to_matters ||= Mend.new(name: "set_matters", label: "Number the pages so", safe: false, why: WHY,
            steps: [[:set_matters, wanted.map(&:to_h)]])
        end

        def wanted
          chapter = Structure::Matters.new(@document).first_chapter
          places = {"front" => (@document.paragraphs.first if chapter), "body" => chapter || @document.paragraphs.first}
          @guide.matters.filter_map do |matter|
            first = places[matter["matter"]] or next
            Edits::SetMatters::Matter.new(paragraph: first.id, format: matter["label"] || "decimal",
              start: matter["restart"], shown_first: matter.fetch("shown_from", 1) == 1,
              place: place_for(first, matter["place"]))
          end
        end

        # Where nothing else stands in the way.
        def place_for(paragraph, place)
          place if place && Running::LabelPlace.new(@document, [paragraph.section]).lines(place)
        end
      end
    end
  end
end
