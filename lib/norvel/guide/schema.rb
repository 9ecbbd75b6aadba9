# frozen_string_literal: true

module Norvel
  class Guide
    # Reads a guide's YAML, checks it against guides/guide.schema.json (JSON Schema 2020-12) and says the line of a
    # fault.
    module Schema
      PATH = File.join(FOLDER, "guide.schema.json")
      SHOWN = 60 # letters of what stands there

      module_function

      # A YamlText that is a guide. Raises UnusableGuide.
      def check(source)
        text = YamlText.new(source)
        fault = schemer.validate(text.data).first(50).min_by { |one| text.line(steps(one["data_pointer"])) }
        raise UnusableGuide, sentence(fault, text) if fault
        place, words = Soundness.new(text.data).faults.min_by { |where, _| text.line(where) }
        raise UnusableGuide, "Line #{text.line(place)}: #{words}." if place
        text
      end

      def schemer
        require "json_schemer"
        @schemer ||= JSONSchemer.schema(data)
      end

      # The schema itself.
      def data
        @data ||= JSON.parse(File.read(PATH)).freeze
      end

      def sentence(fault, text)
        place = steps(fault["data_pointer"])
        where = "“#{place.join(".")}” " unless place.empty?
        "Line #{text.line(place)}: #{where}#{expectation(fault)}."
      end

      # "/parts/0/part" as ["parts", 0, "part"] (RFC 6901).
      def steps(pointer)
        pointer.split("/").drop(1).map do |step|
          step.match?(/\A\d+\z/) ? step.to_i : step.gsub("~1", "/").gsub("~0", "~")
        end
      end

      def expectation(fault)
        schema = described(fault)
        return "must be #{schema["description"]}, not #{shown(fault["data"])}" if
          fault["schema_pointer"].include?("/anyOf")
        case fault["type"]
        when "required" then "lacks #{fault.dig("details", "missing_keys")&.join(", ")}"
        when "enum" then "must be one of #{schema["enum"].join(", ")}, not #{shown(fault["data"])}"
        when "const" then "must be #{schema["const"].inspect}"
        when "schema" then "is not a rule that guides have"
        else "must be #{schema["description"] || fault["type"]}, not #{shown(fault["data"])}"
        end
      end

      # What stands there, as the guide has it.
      def shown(data)
        return "nothing" if data.nil?
        text = JSON.generate(data)
        (text.size > SHOWN) ? "#{text[0, SHOWN - 1]}…" : text
      end

      # The schema that the fault is about; of several alternatives the one that holds them and describes them together.
      def described(fault)
        return fault["schema"].is_a?(Hash) ? fault["schema"] : {} unless fault["schema_pointer"].include?("/anyOf")
        fault["schema_pointer"].split("/anyOf").first.split("/").drop(1).inject(fault["root_schema"]) do |schema, step|
          schema[step]
        end
      end

      private_class_method :schemer, :sentence, :steps, :expectation, :shown, :described
    end
  end
end
