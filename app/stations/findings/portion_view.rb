# frozen_string_literal: true

# What a plan is for: everything, or what is chosen of it.
module PortionView
  PARTS = {"notes" => "notes", "heads" => "heads and feet", "boxes" => "text boxes", "tables" => "tables"}.freeze

  # As it is chosen. Raises Refused.
  def portion
    pages = %i[from to].map { |name| params[name].to_s.strip }
    pages = nil if pages.all?(&:empty?)
    Norvel::Guide::Portion.new(document, on: params[:on].to_s.empty? ? nil : [params[:on].to_s],
      pages: pages && whole_stretch(*pages), without: Array(params[:leave]))
  end

  # Roles and styles that there are, by how many paragraphs are of them.
  def portion_options
    told = document.working.reject(&:blank?)
    roles = told.group_by { |one| Norvel::Survey.role(document, one) }
    groups = {"What it is" => roles.transform_keys { |role| [role, Norvel::Survey::Roles.words(role)] },
              "Its style" => told.group_by { |one| [document.style_name(one)] * 2 }}
    said = groups.map { |label, of| portion_group(label, of) }.join
    gone = params[:on].to_s unless params[:on].to_s.empty? || said.include?(" selected")
    options([["", "everything"], *([[gone, "#{gone} (0)"]] if gone)], gone) + said
  end

  # Parts that this document has, as they are sent and as they are said.
  def portion_parts
    kinds = document.stories.map(&:kind).uniq + document.paragraphs.map { |one| one.part.to_s }.uniq
    PARTS.select { |name, _| Norvel::Guide::Portion::PARTS.fetch(name).intersect?(kinds) }
  end

  private

  def portion_group(label, of)
    list = of.sort_by { |_, paragraphs| -paragraphs.size }
      .map { |(name, words), paragraphs| [name, "#{words} (#{number(paragraphs.size)})"] }
    %(<optgroup label="#{label}">#{options(list, params[:on])}</optgroup>)
  end

  # From the one label to the other; to the end, or from the beginning, where one is not said.
  def whole_stretch(from, to)
    sheets = Desk.pages_now(manuscript)&.sheets or raise Norvel::Refused, "Its pages can't be worked out."
    [from.empty? ? sheets.first.label : from, to.empty? ? sheets.last.label : to]
  end
end
