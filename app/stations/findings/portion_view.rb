# frozen_string_literal: true

# What a plan is for: everything, or what is chosen of it.
module PortionView
  PARTS = {"notes" => "notes", "heads" => "heads and feet", "boxes" => "text boxes", "tables" => "tables"}.freeze
  KINDS = {roles: "What it is", styles: "Its style"}.freeze

  # As it is chosen. Raises Refused.
  def portion
    pages = %i[from to].map { |name| params[name].to_s.strip }
    pages = pages.all?(&:empty?) ? nil : whole_stretch(*pages)
    Norvel::Guide::Portion.new(document, pages:, without: Array(params[:leave]), **portion_on)
  end

  # Roles and styles that there are, by how many paragraphs are of them; what was chosen stays though it is gone.
  def portion_options
    told = document.working.reject(&:blank?)
    counts = {roles: told.map { |one| Norvel::Survey.role(document, one) },
              styles: told.map { |one| document.style_name(one) }}.transform_values(&:tally)
    portion_on.each { |kind, names| names.each { |name| counts[kind][name] ||= 0 } }
    options([["", "everything"]], params[:on]) + KINDS.map { |kind, label| portion_group(kind, label, counts) }.join
  end

  # Parts that this document has, as they are sent and as they are said.
  def portion_parts
    kinds = document.stories.map(&:kind).uniq + document.paragraphs.map { |one| one.part.to_s }.uniq
    PARTS.select { |name, _| Norvel::Guide::Portion::PARTS.fetch(name).intersect?(kinds) }
  end

  private

  # {roles: ["body"]}, {styles: ["Normal"]} or {}, of "roles:body" or "styles:Normal".
  def portion_on
    kind, name = params[:on].to_s.split(":", 2)
    KINDS.key?(kind&.to_sym) ? {kind.to_sym => [name]} : {}
  end

  def portion_group(kind, label, counts)
    list = counts[kind].sort_by { |_, count| -count }.map do |name, count|
      words = (kind == :roles) ? Norvel::Survey::Roles.words(name) : name
      ["#{kind}:#{name}", "#{words} (#{number(count)})"]
    end
    %(<optgroup label="#{label}">#{options(list, params[:on])}</optgroup>)
  end

  # From the one label to the other; to the end, or from the beginning, where one is not said.
  def whole_stretch(from, to)
    sheets = Desk.pages_now(manuscript)&.sheets or raise Norvel::Refused, "Its pages can't be worked out."
    [from.empty? ? sheets.first.label : from, to.empty? ? sheets.last.label : to]
  end
end
