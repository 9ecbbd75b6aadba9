# frozen_string_literal: true

require "prism"
require "tsort"

# Which folder of the core refers to which, by the constants that stand in its code. A folder and the file of its name
# are one; files that stand alone are folders by themselves.
class References
  FOLDER = File.expand_path("../../lib/norvel", __dir__)

  # Constants that a file reads and defines, each with the modules it stands in.
  class Constants < Prism::Visitor
    attr_reader :read, :defined

    def initialize
      @within = []
      @read, @defined = [], []
      super
    end

    def visit_module_node(node)
      scope(node)
    end

    def visit_class_node(node)
      visit(node.superclass) if node.superclass
      scope(node)
    end

    def visit_constant_write_node(node)
      @defined << [*@within.last, node.name].join("::")
      super
    end

    def visit_constant_read_node(node)
      @read << [node.name.to_s, @within]
    end

    def visit_constant_path_node(node)
      node.slice.match?(/\A[A-Z][\w:]*\z/) ? @read << [node.slice, @within] : super
    end

    private

    def scope(node)
      before = @within
      @within += [[*before.last, node.constant_path.slice].join("::")]
      @defined << @within.last
      visit(node.body) if node.body
      @within = before
    end
  end

  # {folder => {folder it refers to => how many of its files do}}
  def folders
    none = Hash.new { |all, folder| all[folder] = Hash.new(0) }
    @folders ||= constants.each_with_object(none) do |(path, found), all|
      all[folder(path)]
      targets = found.read.filter_map { |name, within| target(name, within) }.map { |other| folder(other) }.uniq
      (targets - [folder(path)]).each { |other| all[folder(path)][other] += 1 }
    end
  end

  # The folders, each after all that it refers to. Raises TSort::Cyclic.
  def order
    TSort.tsort(->(&each) { folders.keys.sort.each(&each) }, ->(name, &each) { folders[name].keys.sort.each(&each) })
  end

  # The folders as a table for docs: a row refers to the columns marked in it.
  def table
    head = ["| |", *order.each_index.map { |place| " #{place + 1} |" }].join
    rows = order.each_with_index.map do |name, place|
      cells = order.first(place).map { |other| folders[name].key?(other) ? " #{folders[name][other]} |" : " |" }
      ["| #{place + 1} `#{name}` |", *cells, " · |", *[" |"] * (order.size - place - 1)].join
    end
    [head, "| --- |#{" :-: |" * order.size}", *rows].join("\n")
  end

  private

  # {path => Constants}
  def constants
    @constants ||= Dir["#{FOLDER}/**/*.rb"].sort.to_h do |path|
      [path, Constants.new.tap { |found| Prism.parse(File.read(path)).value.accept(found) }]
    end
  end

  # {"Norvel::Document" => path}, namespaces in the file that is named for them
  def homes
    @homes ||= constants.each_with_object({}) { |(path, found), all|
      found.defined.each { |name| all[name] = path if all[name].nil? || named_for?(path, name) }
    }.except("Norvel")
  end

  def named_for?(path, name)
    File.basename(path, ".rb").delete("_") == name.split("::").last.downcase
  end

  # The file of the constant that a name means among these modules, nil for others' constants.
  def target(name, within)
    parts = name.split("::")
    scopes = within.reverse.map { |scope| "#{scope}::" } << ""
    scope = scopes.find { |one| homes.key?("#{one}#{parts.first}") || parts.first == "Norvel" && one.empty? } or return
    parts.size.downto(1).filter_map { |size| homes["#{scope}#{parts.first(size).join("::")}"] }.first
  end

  def folder(path)
    path.delete_prefix("#{FOLDER}/").delete_suffix(".rb")[%r{\A[^/]+}]
  end
end
