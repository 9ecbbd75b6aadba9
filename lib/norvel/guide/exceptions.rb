# frozen_string_literal: true

module Norvel
  class Guide
    # The exceptions that a guide grants, held against the findings of a check. Of several that fit the most exact
    # pattern wins, then the later one.
    class Exceptions
      # granted: as the guide has it; findings: what it takes out of the count
      Granted = Value.define(:granted, :findings) do
        # The name of the rule that an exception is from.
        def rule
          granted["rule"]
        end

        # Why it was granted.
        def because
          granted["because"]
        end

        # Who granted it and when, in words; nil where the guide does not say.
        def signed
          [granted["by"], granted["on"]].compact.join(", ").then { |words| words unless words.empty? }
        end
      end

      def initialize(check)
        @check = check
        @document = check.document
        @stated = check.guide.exceptions
      end

      # Does the guide state any?
      def any?
        @stated.any?
      end

      # The place of the one that a finding falls under, nil for none.
      def of(finding)
        fitting = @stated.each_index.select { |at| fits?(@stated[at], finding) }
        return fitting.first if fitting.size < 2
        best = Guide.most_exact(fitting.map { |at| @stated[at]["rule"] })
        fitting.reverse.find { |at| @stated[at]["rule"] == best }
      end

      # [Granted, …] of all, those too that nothing falls under.
      def granted(findings)
        by_place = findings.group_by(&:exception)
        @stated.each_with_index.map { |one, at| Granted.new(granted: one, findings: by_place.fetch(at, [])) }
      end

      private

      def fits?(exception, finding)
        File.fnmatch(exception["rule"], finding.rule) && (exception["where"] || {}).all? do |kind, wanted|
          case kind
          when "found" then finding.found == wanted
          when "paragraph" then finding.paragraph == wanted
          else finding.paragraph && there?(kind, wanted, @document.paragraph(finding.paragraph))
          end
        end
      end

      def there?(kind, wanted, paragraph)
        case kind
        when "style" then @document.style_name(paragraph) == wanted
        when "role" then @check.role(paragraph) == wanted
        when "words" then paragraph.text.include?(wanted)
        when "part" then part_of(paragraph) == wanted
        end
      end

      # The name of the part that a paragraph of the text stands in.
      def part_of(paragraph)
        return if Document::Story.id?(paragraph.id)
        at = @document.position(paragraph.id)
        @parts ||= Structure::Parts.new(@document).list
        @parts.find { |part| at.between?(part.first, part.last) }&.name
      end
    end
  end
end
