# frozen_string_literal: true

module Norvel
  class Guide
    # Reads a guide's YAML, checks it against guides/guide.schema.json (JSON Schema 2020-12) and says the line of a
    # fault.
    module Schema
      PATH = File.join(FOLDER, "guide.schema.json")
      # Stated by some guides, not checked by this edition of Norvel.
      UNCHECKED = %w[
        headings.numbering headings.typed_numbers headings.case headings.ending_punctuation
        headings.max_level
        clean.looks_per_role accessible.contrast accessible.heading_order
        accessible.bookmarks accessible.empty_headings
      ].freeze

      module_function

      # The guide as plain data. Raises UnusableGuide.
      def check(source)
        raise UnusableGuide, "The guide is larger than a guide can be (1 MB)." if source.bytesize > 1_000_000
        raise UnusableGuide, "The guide is not UTF-8 text." unless source.valid_encoding?
        tree = Psych.parse(source)
        data = YAML.safe_load(source)
        unless data.is_a?(Hash)
          raise UnusableGuide, "The guide is empty: it must at least say norvel_guide: 1 and a name."
        end
        fault = schemer.validate(data).first and raise UnusableGuide, sentence(fault, tree)
        data
      rescue Psych::SyntaxError => error
        raise UnusableGuide, "Line #{error.line}: the guide is not YAML (#{error.problem})."
      rescue Psych::DisallowedClass, Psych::BadAlias
        raise UnusableGuide, "The guide uses YAML that is not plain data (dates, aliases or objects): write it as text."
      end

      def schemer
        require "json_schemer"
        @schemer ||= JSONSchemer.schema(JSON.parse(File.read(PATH)))
      end

      def sentence(fault, tree)
        pointer = fault["data_pointer"]
        place = pointer.delete_prefix("/").tr("/", ".")
        where = "“#{place}” " unless place.empty?
        "Line #{line(tree.root, pointer.split("/").drop(1))}: #{where}#{expectation(fault)}."
      end

      def expectation(fault)
        schema = described(fault)
        return "must be #{schema["description"]}, not #{fault["data"].inspect}" if fault["schema_pointer"]
          .include?("/anyOf")
        case fault["type"]
        when "required" then "lacks #{fault.dig("details", "missing_keys")&.join(", ")}"
        when "enum" then "must be one of #{schema["enum"].join(", ")}, not #{fault["data"].inspect}"
        when "const" then "must be #{schema["const"].inspect}"
        when "schema" then "is not a rule that guides have"
        else "must be #{schema["description"] || fault["type"]}, not #{fault["data"].inspect}"
        end
      end

      # The schema that the fault is about; of several alternatives the one that holds them and describes them together.
      def described(fault)
        return fault["schema"].is_a?(Hash) ? fault["schema"] : {} unless fault["schema_pointer"].include?("/anyOf")
        fault["schema_pointer"].split("/anyOf").first.split("/").drop(1).inject(fault["root_schema"]) do |schema, step|
          schema[step]
        end
      end

      # The line where a place of the data stands in the text.
      def line(node, steps)
        return node.start_line + 1 if steps.empty?
        case node
        when Psych::Nodes::Mapping
          key, value = node.children.each_slice(2).find { |k, _|
            k.value == steps.first.gsub("~1", "/").gsub("~0", "~")
          }
          return (key || node).start_line + 1 if key.nil? || steps.size == 1
          line(value, steps.drop(1))
        when Psych::Nodes::Sequence then line(node.children[steps.first.to_i] || node, steps.drop(1))
        else node.start_line + 1
        end
      end
    end
  end
end
