# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # parts.missing, .order, .length: which parts a guide asks for, in which order, and how long they may be. A
      # missing contents list is told by contents.missing.
      class PartRules < Family
        RULES = %w[missing order length].map { |name|
          Rule.new(name: "parts.#{name}", goes_by: :document, stage: :document)
        }.freeze
        # Where a part is asked for if there is something of its kind.
        IF = {"figures" => :figure, "tables" => :table}.freeze
        WHY = "it adds a heading: what stands below it is yours to write"

        def self.asked(guide, _roles)
          parts = guide.parts
          needed = (parts - [guide.part("contents")]).any? { |part| part["required"] || part["required_if"] }
          [("parts.missing" if needed), ("parts.order" if parts.size > 1),
            ("parts.length" if parts.any? { |part| part["max_words"] || part["min_words"] })].compact
        end

        def findings
          return [] if @guide.parts.empty?
          @parts = Structure::Parts.new(@document)
          missing + order + lengths
        end

        private

        def missing
          wanted = @guide.parts.reject { |part| part["part"] == "contents" || @parts[part["part"]] }
          wanted.select { |part| part["required"] || there?(part["required_if"]) }.map do |part|
            words = Structure::Parts::LABELS.fetch(part["part"], part["part"])
            finding("parts.missing", message: "Missing: #{words}", asked: words, found: "none",
              cause: [part["part"]], cite: part["cite"], mend: put_in(part["part"]))
          end
        end

        def there?(condition)
          kind = IF[condition] or return false
          Structure::Captions.of(@document).list.any? { |caption| caption.kind == kind }
        end

        def put_in(name)
          return unless Edits::PutInPart.possible?(name)
          Mend.new(name: "put_in_part", label: "Put it in", safe: false, why: WHY,
            steps: [[:put_in_part, name, @guide.parts.map { |part| part["part"] }]])
        end

        # The first part that stands after one that should follow it.
        def order
          ranks = @guide.parts.each_with_index.to_h { |part, rank| [part["part"], rank] }
          known = @parts.list.select { |part| ranks.key?(part.name) }
          known.each_cons(2).filter_map { |one, other|
            next unless ranks[one.name] > ranks[other.name]
            before, after = [other, one].map { |part| Structure::Parts::LABELS.fetch(part.name, part.name) }
            finding("parts.order", message: "Out of order: #{before} after #{after}", found: "after",
              asked: "#{before} before #{after}", cause: [other.name], paragraph: first_of(other),
              cite: @guide.part(other.name)["cite"])
          }
        end

        def lengths
          @guide.parts.filter_map do |asked|
            part = @parts[asked["part"]] or next
            words = @parts.words(part)
            said = bound(asked, words) or next
            found = Quantity.words(words, "word")
            label = Structure::Parts::LABELS.fetch(part.name, part.name).capitalize
            finding("parts.length", message: "#{label}: #{found}, #{said} are asked for", asked: said, found:,
              cause: [part.name], paragraph: first_of(part), cite: asked["cite"])
          end
        end

        # "at most 350", where that is not met.
        def bound(asked, words)
          most, least = asked.values_at("max_words", "min_words")
          return "at most #{most}" if most && words > most
          "at least #{least}" if least && words < least
        end

        def first_of(part)
          part.heading || @document.paragraphs[part.first]
        end
      end
    end
  end
end
