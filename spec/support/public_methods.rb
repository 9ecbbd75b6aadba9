# frozen_string_literal: true

# The public methods of the core, and those of them that no line says the purpose of: neither over the method itself nor
# over the one of an ancestor that it stands for.
class PublicMethods
  ROOT = File.expand_path("../..", __dir__)
  PLAIN = %i[inspect == eql? hash to_s with start_mapping start_sequence].freeze # said by Ruby, Value and Psych

  def initialize
    @lines = Hash.new { |files, path| files[path] = File.readlines(path) }
  end

  # [[its place, its name], …] of all that a def makes.
  def all
    @all ||= modules(Norvel, {}.compare_by_identity).flat_map { |one| [one, one.singleton_class] }.flat_map { |holder|
      holder.public_instance_methods(false).map { |name| holder.instance_method(name) }.select { |one| own?(one) }
    }
  end

  # Places and names of those without a purpose.
  def bare
    all.reject { |method| PLAIN.include?(method.name) || told?(method) || told_above?(method) }
      .map { |method| "#{method.source_location.join(":").delete_prefix("#{ROOT}/")} #{method.name}" }.uniq
  end

  private

  # Modules may have names and constants of their own, so that Ruby's are asked.
  def modules(one, seen)
    seen[one] = true
    Module.instance_method(:constants).bind_call(one, false).each do |name|
      found = one.const_get(name)
      next unless found.is_a?(Module) && !seen[found]
      modules(found, seen) if Module.instance_method(:name).bind_call(found).to_s.start_with?("Norvel::")
    end
    seen.keys
  end

  def own?(method)
    path, line = method.source_location
    path.to_s.start_with?("#{ROOT}/lib/") && @lines[path][line - 1].match?(/^\s*def /)
  end

  def told?(method)
    path, line = method.source_location
    File.file?(path.to_s) && line > 1 && @lines[path][line - 2].match?(/^\s*#/)
  end

  def told_above?(method)
    method.owner.ancestors.drop(1).any? do |above|
      above.method_defined?(method.name, false) && told?(above.instance_method(method.name))
    end
  end
end
