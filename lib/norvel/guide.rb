# frozen_string_literal: true

require "yaml"

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
      @data = checked ? YAML.safe_load(source) : Schema.check(source)
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

    def headings
      data["headings"] || {}
    end

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

    def clean
      data["clean"] || {}
    end

    def accessible
      data["accessible"] || {}
    end

    # What is asked of a role: {"size" => "12pt", …}; empty when the guide says nothing of it.
    def role(name)
      data.dig("roles", name) || {}
    end

    # The Requirement on each property of the table that the guide states for a role.
    def requirements(role)
      @requirements[role] ||= role(role).select { |key, _| Styles::Properties.key?(key) }
        .to_h { |key, asked| [key.to_sym, Requirement.of(Styles::Properties[key], asked)] }.freeze
    end

    # The same of all roles: {"body" => {size: Requirement, …}, …}
    def asked
      @asked ||= (data["roles"] || {}).keys.to_h { |role| [role, requirements(role)] }.freeze
    end

    # must, should or advice for a rule; patterns may end in *.
    def severity(rule)
      found = (data["severity"] || {}).find { |pattern, _| File.fnmatch(pattern, rule) }
      found ? found.last : Rules[rule].severity_in(self)
    end

    # What the guide states and Norvel does not check yet, said instead of passed over.
    def unchecked
      stated = Schema::UNCHECKED.select { |path| data.dig(*path.split(".")) }
      stated + (parts.map { |part| part["part"] } - Structure::Parts::NAMES).map { |name| "parts.#{name}" }
    end

    # [{"rule" => …, "reason" => …}, …]: what it does not ask, and why.
    def exceptions
      data["exceptions"] || []
    end

    # Was it chosen by nobody?
    def none?
      equal?(Guide.none)
    end

    def inspect
      "#<Guide #{name}>"
    end
  end
end
