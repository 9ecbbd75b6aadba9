# frozen_string_literal: true

module Norvel
  class Guide
    # All that a guide can ask, drawn from its schema: each place with what it means, the words that may stand there,
    # and the ways in which a value may be asked for.
    module Catalogue
      # place: keys that lead there; label: what it is, for a list; expects: what may stand there; choices: words that
      # may; free: may others than those?; ways: of WAYS; members: an Entry each of a rule that has several values
      Entry = Value.define(:place, :label, :expects, :choices, :free, :ways, :members)
      # How a value is asked for: {way => what the guide has of it}
      WAYS = {"is" => "is", "any_of" => "is one of", "min" => "is at least", "max" => "is at most",
              "between" => "is between"}.freeze
      GROUPS = %w[headings pagination captions lists tables clean accessible].freeze
      OF_ROLE = {"style" => "style", "case" => "case of letters", "from_words" => "from so many words on",
                 "ending_punctuation" => "mark at the end", "paragraph_break" => "how paragraphs are told apart",
                 "emphasis" => "words set apart"}.freeze
      OF_ONE = {"from_words" => "quote", "paragraph_break" => "body"}.freeze
      BESIDE = %w[page roles pagination parts running count consistent exceptions].freeze # of Sentences::GROUPS
      NOT_ASKED = [%w[pagination matters], %w[tables text]].freeze
      # Members of lists, and what has a shape of its own.
      WHOLE = {%w[parts] => "Part of the document", %w[pagination matters] => "Page numbers of front or body matter",
               %w[exceptions] => "Exception", %w[running head] => "Running head", %w[running foot] => "Running foot"}
        .freeze
      LISTS = [%w[parts], %w[pagination matters], %w[exceptions]].freeze

      module_function

      # Every Entry, by where it stands in a guide; a member of a list has no number yet.
      def all
        @all ||= (pages + roles + groups + notes + rest).freeze
      end

      # The Entry of a label. nil for none.
      def labelled(label)
        @labelled ||= all.to_h { |entry| [entry.label.downcase, entry] }
        @labelled[label.to_s.strip.downcase]
      end

      # What a place expects, whether or not it stands among those that are offered.
      #   Guide::Catalogue.of(%w[clean line_breaks]).choices.first # => "forbid"
      def of(place)
        entry(place, node(place) || {}, label(place))
      end

      # Can a rule stand at this place?
      def place?(place)
        !node(place).nil? && (Sentences::GROUPS.key?(place.first) || BESIDE.include?(place.first)) &&
          (place.size > 1 || place == ["consistent"])
      end

      # What a guide has at a place, nil for nothing.
      def stated(guide, place)
        place.inject(guide.data) do |data, step|
          data[step] if step.is_a?(Integer) ? data.is_a?(Array) : data.is_a?(Hash)
        end
      end

      # The place of a label's entry in a guide: that of a new member where it is one of a list.
      def place_in(guide, entry)
        return entry.place unless LISTS.include?(entry.place)
        [*entry.place, (guide.data.dig(*entry.place) || []).size]
      end

      # What was typed for the members of an entry, as a guide has it; empty ones are left out. Raises Refused.
      def members(entry, typed)
        entry.members.each_with_object({}) do |member, made|
          words = typed[member.place.last].to_s.strip
          made[member.place.last] = plain(words) unless words.empty?
        end
      end

      # The same the other way, for a form: {key => words}
      def typed_members(value)
        (value || {}).transform_values { |one| typed(one).last }
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
      #   Guide::Catalogue.typed("min" => "10pt", "max" => "12pt") # => ["between", "10pt to 12pt"]
      def typed(value)
        return ["is", ""] if value.nil?
        return ["is", value.is_a?(String) ? value : Rewritten.inline(value)] unless value.is_a?(Hash)
        case value.keys.sort
        when %w[any_of] then ["any_of", value["any_of"].join(", ")]
        when %w[max min] then ["between", value.values_at("min", "max").join(" to ")]
        when %w[max], %w[min] then value.first.map(&:to_s)
        else ["is", Rewritten.inline(value)]
        end
      end

      # --- what is asked where ---

      def pages
        sides = %w[top bottom left right inside outside].map { |side| of(["page", "margins", side]) }
        [of(%w[page size]), of(%w[page orientation]), *sides]
      end

      def roles
        keys = Schema.data.dig("$defs", "role", "properties").keys - ["cite"]
        Schema.data.dig("properties", "roles", "properties").keys.product(keys)
          .reject { |role, key| OF_ONE.fetch(key, role) != role }.map { |role, key| of(["roles", role, key]) }
      end

      def notes
        (Schema.data.dig("properties", "notes", "properties").keys - ["cite"]).map { |key| of(["notes", key]) }
      end

      def rest
        whole = [%w[running head], %w[running foot]].map { |place| of(place) } + LISTS.map { |place| member_of(place) }
        [%w[fonts allowed], %w[fonts embedded], %w[count pages], %w[count words]].map { |place| of(place) } + whole
      end

      def member_of(place)
        entry(place, node([*place, 0]), WHOLE.fetch(place))
      end

      def groups
        found = GROUPS.flat_map { |group| [group].product(Schema.data.dig("properties", group, "properties").keys) }
        (found.reject { |_, key| key == "cite" } - NOT_ASKED).map { |place| of(place) }
      end

      def entry(place, schema, label)
        alone = schema["type"] == "object"
        members = alone ? schema.fetch("properties", {}).map { |key, one| member([*place, key], one) } : []
        Entry.new(place:, label:, expects: schema["description"].to_s, choices: choices(schema), free: free?(schema),
          ways: ways(schema), members:)
      end

      def member(place, schema)
        schema = followed(schema)
        entry(place, schema.except("properties"), place.last.tr("_", " "))
      end

      def label(place)
        return of_role(place[1], place.last) if place.first == "roles" && place.size == 3
        return of_role("note", place.last) if place.first == "notes"
        return WHOLE[place.grep(String)] if WHOLE.key?(place.grep(String))
        return "Margin, #{place.last}" if place[1] == "margins"
        return "Sheets: #{place.last}" if place.first == "page"
        of_switch(place)
      end

      # "Every image has a description" is what is switched on.
      def of_switch(place)
        said = Sentences::SWITCHES.dig(*place)
        words = said ? format(said["says"], "…") : place.map { |one| one.to_s.tr("_", " ") }.join(", ")
        "#{words[0].upcase}#{words[1..]}#{" (accessibility)" if place.first == "accessible"}"
      end

      def of_role(role, key)
        kind = Survey::Roles.words(role)
        property = Styles::Properties[key].label.downcase if Styles::Properties.key?(key)
        "#{kind[0].upcase}#{kind[1..]}: #{property || OF_ROLE.fetch(key, key.tr("_", " "))}"
      end

      # The schema of a place, its references followed.
      def node(place)
        found = place.inject(Schema.data) do |schema, step|
          schema = followed(schema) || {}
          step.is_a?(Integer) ? schema["items"] : property(schema, step)
        end
        followed(found)
      end

      def property(schema, name)
        [schema, *one_of(schema)].filter_map { |one| one.dig("properties", name) }.first
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

      # May something stand there that is none of its choices?
      def free?(schema)
        return false if schema["enum"] || schema["type"] == "boolean"
        kinds = one_of(schema)
        kinds.empty? || kinds.any? { |one| (one["type"] == "object") ? !bounds?(one) : free?(one) }
      end

      def bounds?(schema)
        (schema["properties"].keys & BOUNDS).any?
      end

      BOUNDS = %w[any_of min max].freeze

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
        raise Refused, error.message.sub(/\ALine \d+: /, "That can't be read: ")
      end

      def scalar(words)
        return words == "true" if %w[true false].include?(words)
        return words.to_i if words.match?(/\A\d{1,9}\z/)
        words.match?(/\A\d{1,6}\.\d{1,6}\z/) ? words.to_f : words.delete_prefix('"').delete_suffix('"')
      end

      private_class_method :pages, :roles, :notes, :rest, :member_of, :groups, :entry, :member, :label, :of_switch,
        :of_role, :node, :property, :followed, :choices, :free?, :bounds?, :one_of, :ways, :between, :plain, :scalar
    end
  end
end
