# frozen_string_literal: true

module Norvel
  # The rules a document must meet, as data: a YAML file that an office can read aloud (docs/guide-format.md).
  class Guide
    FOLDER = File.join(ROOT, "guides")
    ROLES = Survey::Roles::STATED

    class << self
      # Names of the guides that ship, with their Guide: files that stand still while the program runs.
      def shipped
        @shipped ||= Dir[File.join(FOLDER, "*.yml")].sort
          .to_h { |path| [File.basename(path, ".yml"), load(path, checked: true)] }.freeze
      end

      # A shipped guide's name, or a path to a YAML file. Raises UnusableGuide.
      def find(name)
        path = File.join(FOLDER, "#{File.basename(name)}.yml")
        return load(path, checked: true) if !name.include?("/") && File.file?(path)
        unless File.file?(name)
          raise UnusableGuide, "There is no guide “#{name}”: `norvel guides` lists those that ship, or give the " \
            "path of a YAML file."
        end
        load(name)
      end

      # What a document is held against where no guide is chosen: itself, with nothing asked of any kind of paragraph.
      def none
        @none ||= load(File.join(__dir__, "guide", "none.yml"), checked: true)
      end

      # The same of its agreement with itself alone.
      def itself
        @itself ||= new("norvel_guide: 1\nname: no guide\nconsistent: advice\n", checked: true)
      end

      # Of several patterns the one with the most letters that are no *, the later of two alike; nil for none.
      def most_exact(patterns)
        patterns.each_with_index.max_by { |pattern, at| [pattern.delete("*").size, pattern.include?("*") ? 0 : 1, at] }
          &.first
      end

      UNIT = /\A\s*[-+]?[\d.,]+\s*(pt|in|cm|mm|pc|")\s*\z/i

      # The unit that a finding is told in: the one that whoever reads chose, else the one that the guide writes a value
      # in, the first of several; nil where it has none.
      #   Guide.unit("min" => "25mm") # => "mm"
      def unit(asked)
        Length.unit || stated_unit(asked)
      end

      # The unit that a guide writes a value in, the first of several; nil where it has none.
      def stated_unit(asked)
        values = asked.is_a?(Hash) ? asked.values.flatten : [asked]
        found = values.filter_map { |value| value.to_s[UNIT, 1] }.first
        (found == "\"") ? "in" : found&.downcase
      end

      # +checked+: the guides that ship meet their schema, as a test makes sure; the schema's library takes long to
      # start.
      def load(path, checked: false)
        new(File.read(path, encoding: "UTF-8"), id: File.basename(path, ".*"), checked:)
      end
    end

    attr_reader :id, :source, :data

    # +source+: the YAML text. Raises UnusableGuide with the line and what was expected.
    def initialize(source, id: "guide", checked: false)
      @id = id
      @source = source
      @data = (checked ? YamlText.new(source) : Schema.check(source)).data
      @requirements = {}
    end

    # What the guide is called.
    def name
      data["name"]
    end

    # What it asks of pages, {} for nothing; likewise the others below.
    def page
      data["page"] || {}
    end

    # What it asks of headings.
    def headings
      data["headings"] || {}
    end

    # What it asks of page ends.
    def pagination
      data["pagination"] || {}
    end

    # What is asked of the labels of front and body matter: [{"matter" => "front", "label" => …}, …]
    def matters
      pagination["matters"] || []
    end

    # What is asked of the parts of the document, in their order: [{"part" => "contents", "required" => true}, …]
    def parts
      data["parts"] || []
    end

    # The same of one of them; nil for nothing.
    def part(name)
      parts.find { |part| part["part"] == name }
    end

    # What is asked of captions: {"figure" => "below", …}
    def captions
      data["captions"] || {}
    end

    # What it calls cleanliness.
    def clean
      data["clean"] || {}
    end

    # What it asks for those who read otherwise.
    def accessible
      data["accessible"] || {}
    end

    # What is asked of a role: {"size" => "12pt", …}; empty when the guide says nothing of it. The text of tables and
    # notes have places of their own.
    def role(name)
      @roles ||= {**(data["roles"] || {}), "table_text" => table_text, "note" => note}
      @roles[name] || {}
    end

    # The Requirement on each property of the table that the guide states for a role.
    def requirements(role)
      @requirements[role] ||= role(role).select { |key, _| Styles::Properties.key?(key) }
        .to_h { |key, asked| [key.to_sym, Requirement.of(Styles::Properties[key], asked)] }.freeze
    end

    # The same of all roles: {"body" => {size: Requirement, …}, …}
    def asked
      @asked ||= [*ROLES, "note"].reject { |role| role(role).empty? }.to_h { |role| [role, requirements(role)] }.freeze
    end

    # must, should or advice for a rule; of several patterns that fit the most exact, then the later one.
    def severity(rule)
      stated = data["severity"] || {}
      found = Guide.most_exact(stated.keys.select { |pattern| File.fnmatch(pattern, rule) })
      found ? stated[found] : Rules[rule].severity_in(self)
    end

    # The granted exceptions: [{"rule" => …, "where" => …, "because" => …, "by" => …, "on" => …}, …]
    def exceptions
      data["exceptions"] || []
    end

    # What it asks and no rule can say: [{"what" => …, "cite" => …}, …]
    def not_checked
      data["not_checked"] || []
    end

    # The same with further exceptions, granted for one document: {"rule" =>, "because" =>, "by" =>, "on" =>, "where" =>
    # {"paragraph" => id, "found" => words, and the kinds that a guide knows}}
    def granting(list)
      return self if list.empty?
      dup.tap { |guide| guide.grant(self, list) }
    end

    # What two guides share that ask the same and grant the same.
    def signature
      [source, @granted]
    end

    # Was it chosen by nobody?
    def none?
      (@base || self).equal?(Guide.none)
    end

    def inspect
      "#<Guide #{name}>"
    end

    protected

    # Takes these exceptions over those that stand in it.
    def grant(base, list)
      @base = base
      @granted = list
      @data = base.data.merge("exceptions" => base.exceptions + list)
    end

    private

    def table_text
      {**(data.dig("roles", "table_text") || {}), **(data.dig("tables", "text") || {})}
    end

    def note
      (data["notes"] || {}).except("number_format")
    end
  end
end
