# frozen_string_literal: true

module Norvel
  class Guide
    # All that a guide can ask, drawn from its schema: each place with what it means, the words that may stand there,
    # and the ways in which a value may be asked for.
    module Catalogue
      # place: keys that lead there; label: what it is, for a list; expects: what may stand there; choices: words, []
      # where any value may; ways: of WAYS
      Entry = Value.define(:place, :label, :expects, :choices, :ways)
      # How a value is asked for: {way => what the guide has of it}
      WAYS = {"is" => "is", "any_of" => "is one of", "min" => "is at least", "max" => "is at most",
              "between" => "is between"}.freeze
      GROUPS = %w[headings pagination captions lists tables clean accessible].freeze
      OF_ROLE = {"style" => "Style", "case" => "Case", "from_words" => "From so many words on",
                 "ending_punctuation" => "Mark at the end", "paragraph_break" => "How paragraphs are told apart",
                 "emphasis" => "Words set apart"}.freeze
      NOT_ASKED = [%w[pagination matters], %w[lists markers], %w[tables text], %w[headings case]].freeze

      module_function

      # Every Entry, by where it stands in a guide.
      def all
        @all ||= (pages + roles + groups + [of(%w[fonts allowed]), of(%w[count pages]), of(%w[count words])]).freeze
      end

      # The Entry of a label. nil for none.
      def labelled(label)
        @labelled ||= all.to_h { |entry| [entry.label.downcase, entry] }
        @labelled[label.to_s.strip.downcase]
      end

      # What a place expects, whether or not it stands among those that are offered.
      #   Guide::Catalogue.of(%w[clean line_breaks]).choices.first # => "forbid"
      def of(place)
        schema = node(place) || {}
        Entry.new(place:, label: label(place), expects: schema["description"].to_s, choices: choices(schema),
          ways: ways(schema))
      end

      # A value that was typed in one of the ways, as a guide has it. Raises Refused.
      #   Guide::Catalogue.value("between", "10pt to 12pt") # => {"min" => "10pt", "max" => "12pt"}
      def value(way, text)
        words = text.to_s.strip
        raise Refused, "Say what is asked for: a value." if words.empty?
        case way
        when "any_of" then {"any_of" => words.split(/\s*(?:,|\bor\b)\s*/).map { |one| scalar(one) }}
        when "min", "max" then {way => scalar(words)}
        when "between" then between(words)
        else plain(words)
        end
      end

      # [way, words] of a value that stands in a guide, for a form.
      def typed(value)
        return ["is", Rewritten.inline(value).delete_prefix('"').delete_suffix('"')] unless value.is_a?(Hash)
        return ["any_of", value["any_of"].join(", ")] if value.keys == ["any_of"]
        return ["between", value.values_at("min", "max").join(" to ")] if value.keys.sort == %w[max min]
        return value.first.map(&:to_s) if value.size == 1 && %w[min max].include?(value.keys.first)
        ["is", Rewritten.inline(value)]
      end

      # --- what is asked where ---

      def pages
        sides = %w[top bottom left right inside outside].map { |side| of(["page", "margins", side]) }
        [of(%w[page size]), of(%w[page orientation]), *sides]
      end

      def roles
        keys = Schema.data.dig("$defs", "role", "properties").keys - ["cite"]
        Schema.data.dig("properties", "roles", "properties").keys.flat_map do |role|
          (keys - ((role == "body") ? [] : ["paragraph_break"])).map { |key| of(["roles", role, key]) }
        end
      end

      def groups
        found = GROUPS.flat_map { |group| [group].product(Schema.data.dig("properties", group, "properties").keys) }
        (found.reject { |_, key| key == "cite" } - NOT_ASKED).map { |place| of(place) }
      end

      def label(place)
        return of_role(*place.drop(1)) if place.first == "roles"
        return "Margin, #{place.last}" if place[1] == "margins"
        said = Sentences::SWITCHES.dig(*place)&.fetch("says")
        return place.map { |one| one.to_s.tr("_", " ") }.join(", ") unless said
        words = format(said, "…")
        "#{words[0].upcase}#{words[1..]}#{" (accessibility)" if place.first == "accessible"}"
      end

      def of_role(role, key)
        kind = Survey::Roles.words(role)
        property = Styles::Properties.key?(key) ? Styles::Properties[key].label : OF_ROLE.fetch(key, key.tr("_", " "))
        "#{property} of #{kind}"
      end

      # The schema of a place, its references followed.
      def node(place)
        found = place.inject(Schema.data) do |schema, step|
          schema = followed(schema) || {}
          step.is_a?(Integer) ? schema["items"] : schema.dig("properties", step)
        end
        followed(found)
      end

      def followed(schema)
        return schema unless schema&.key?("$ref")
        place = schema["$ref"].delete_prefix("#/").split("/")
        followed(Schema.data.dig(*place).merge(schema.except("$ref")))
      end

      def choices(schema)
        return schema["enum"] if schema["enum"]
        return [true, false] if schema["type"] == "boolean"
        one_of(schema).flat_map { |one| (one["type"] == "object") ? [] : choices(one) }
      end

      def one_of(schema)
        (schema["anyOf"] || []).map { |one| followed(one) }
      end

      def ways(schema)
        keys = one_of(schema).flat_map { |one| (one["properties"] || {}).keys }
        ["is", *(%w[any_of min max] & keys), *("between" if (%w[min max] - keys).empty?)]
      end

      def between(words)
        least, most = words.split(/\s*(?:\bto\b|\band\b|–|,)\s*/, 2)
        raise Refused, "Say two values: 10pt to 12pt." if least.to_s.empty? || most.to_s.empty?
        {"min" => scalar(least), "max" => scalar(most)}
      end

      # A list or map as YAML has it, else one value.
      def plain(words)
        return scalar(words) unless words.match?(/\A[\[{]/)
        YamlText.new("value: #{words}").data["value"]
      rescue UnusableGuide => error
        raise Refused, error.message.sub(/\ALine 1: /, "That can't be read: ")
      end

      def scalar(words)
        return words == "true" if %w[true false].include?(words)
        return words.to_i if words.match?(/\A\d{1,9}\z/)
        words.match?(/\A\d{1,6}\.\d{1,6}\z/) ? words.to_f : words.delete_prefix('"').delete_suffix('"')
      end
    end
  end
end
