# frozen_string_literal: true

module Norvel
  module Report
    # A SignedReport as one page of HTML, in sentences, with a place to sign.
    class SignedPage
      include Paper

      PLACES = 6 # that are told of a cause
      OBJECTS = {image: "image", note_mark: "note", field: "field", link: "link", equation: "equation"}.freeze

      # report: SignedReport#to_h
      def initialize(report)
        @report = report
      end

      # The page.
      def text
        standing_alone(title, [document, standing, left, granted, unchecked, changes, seal, signature].join("\n"))
      end

      # The same as a tagged PDF.
      def pdf
        Pdf.write(Formats.read(text.b, name: "report.html")).bytes
      end

      private

      attr_reader :report

      def title
        "Report on #{report[:title] || report[:file]}"
      end

      def document
        about = [report[:title] ? "the file #{report[:file]}" : nil, report[:author] && "by #{report[:author]}"].compact
        held = OBJECTS.filter_map { |kind, noun| count(report[:objects][kind], noun) if report[:objects][kind] }
        paragraphs("#{[capital(about.join(", ")), day(report[:on])].reject(&:empty?).join(". ")}.",
          "It holds #{listed([count(report[:words], "word"), *held])}.", pages, fonts)
      end

      def capital(text)
        text.sub(/\A\p{Lower}/, &:upcase)
      end

      def pages
        found = report[:pages] or return "Its pages can't be worked out."
        size = found[:size] ? " on #{found[:size]} sheets" : ""
        "It has #{count(found[:count], "page")}#{size}, numbered #{found[:labels].join(", then ")}."
      end

      def fonts
        told = report[:fonts].map do |one|
          "#{one[:font]} (#{percent(one[:share])} of its letters#{", measured in #{one[:set_in]}" if one[:set_in]})"
        end
        told.empty? ? nil : "Its fonts: #{listed(told)}."
      end

      def standing
        return "<h2>Standing</h2>\n#{paragraphs(report[:fault])}" if report[:fault]
        return "<h2>Standing</h2>\n<p>#{open_words} No guide was chosen.</p>" if report[:guide].nil?
        asked, met, broken = %i[asked met broken].map { |name| report[:topics].sum { |one| one[name] } }
        edition = report[:edition] ? ", edition #{report[:edition]}" : ""
        said = "Held against #{report[:guide]}#{edition}: of #{count(asked, "rule")} #{met} are met and #{broken} " \
          "#{(broken == 1) ? "is" : "are"} not."
        beside = "What could not be checked is told below." if report[:unchecked].any?
        rows = report[:topics].map { |one| one.values_at(:topic, :asked, :met, :broken, :open) }
        "<h2>Standing</h2>\n#{paragraphs([said, beside].compact.join(" "), open_words)}" +
          table(["Topic", "Rules", "Met", "Not met", "Open places"], rows)
      end

      def open_words
        counts = report[:counts].reject { |_, number| number.zero? }
        return "Nothing is open." if counts.empty?
        "Open: #{listed(counts.map { |severity, number| "#{Quantity.number(number)} #{severity}" })}."
      end

      def left
        return "" if report[:left].empty?
        rows = report[:left].map do |one|
          [one[:severity], "#{one[:message]}#{" (#{one[:cite]})" if one[:cite]}", one[:rule], one[:count], places(one)]
        end
        "<h2>What is left</h2>\n#{table(%w[Weight What Rule Places Where], rows)}"
      end

      def places(one)
        told = one[:places]
        more = told.size - PLACES
        "#{told.first(PLACES).join("; ")}#{"; #{more} more" if more.positive?}"
      end

      def granted
        return "" if report[:exceptions].empty?
        rows = report[:exceptions].map { |one| [one[:rule], one[:count], one[:because], one[:by], one[:on]] }
        "<h2>Exceptions granted</h2>\n#{table(%w[Rule Places Reason By On], rows)}"
      end

      def unchecked
        return "" if report[:unchecked].empty?
        "<h2>Not checked</h2>\n#{table(%w[Rule Why], report[:unchecked].map { |one| one.values_at(:rule, :why) })}"
      end

      # Changes by what they did; one that was made several times is told once.
      def changes
        return "" if report[:changes].empty?
        days = report[:changes].map { |one| one[:on] }.minmax.uniq.map { |on| day(on) }
        rows = report[:changes].flat_map { |one| [one[:title], *one[:kinds].map { |kind| "– #{kind}" }] }
          .tally.to_a
        "<h2>What was changed</h2>\n<p>#{count(report[:changes].size, "change")}, #{days.join(" to ")}.</p>" +
          table(%w[Change Times], rows)
      end

      def seal
        seal = report[:seal]
        kept = seal[:words_unchanged] ? "The words are those of the file that came." :
          "Words differ from those of the file that came; the parts below say where."
        parts = seal[:parts].map { |one| [one[:name], one[:before], one[:after], one[:same] ? "the same" : "others"] }
        space = seal[:white_space].map { |one| one.values_at(:name, :before, :after) }
        digests = {"words" => seal[:text_digest], "file" => seal[:file_digest]}.compact
        "<h2>Seal</h2>\n<p>#{kept}</p>#{table(["Part", "Words before", "Words now", "They are"], parts)}" \
          "#{table(["White space", "Before", "Now"], space) if space.any?}" \
          "#{digests.map { |name, digest| "<p>Digest of the #{name}: <code>#{digest}</code></p>" }.join}"
      end

      def signature
        "<h2>Seen</h2>\n<table class=\"sign\"><tbody><tr><td>Name and signature</td><td>Place and date</td></tr>" \
          "</tbody></table>"
      end

      def paragraphs(*sentences)
        sentences.compact.reject { |one| one == "." }.map { |one| "<p>#{h one}</p>" }.join("\n")
      end

      def listed(words)
        return words.first.to_s if words.size < 2
        "#{words[..-2].join(", ")} and #{words.last}"
      end

      def percent(share)
        (share < 0.01) ? "less than 1 %" : "#{(share * 100).round} %"
      end

      def count(number, noun)
        Quantity.words(number, noun)
      end

      def day(iso)
        date = Date.iso8601(iso)
        "#{date.day} #{Date::MONTHNAMES[date.month]} #{date.year}"
      end
    end
  end
end
