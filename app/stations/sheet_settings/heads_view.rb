# frozen_string_literal: true

# Heads and feet on the Sheets station: what each matter shows, and what it is to show.
module HeadsView
  WAYS = {"default" => "every page", "even" => "left pages", "first" => "its first page",
          "openings" => "the first page of each section"}.freeze
  KINDS = {"header" => "head", "footer" => "foot"}.freeze
  SIDES = %w[left middle right].freeze
  TOKENS = {"page" => "page number", "pages" => "number of pages", "chapter" => "chapter", "title" => "title",
            "author" => "author"}.freeze
  NOTHING_SAID = Norvel::Running::Line.new

  # The matters by number, from 0.
  def headed_matters
    @headed_matters ||= matters.read
  end

  # Raises Refused where the document has nothing that could have a head.
  def chosen_matter
    headed_matters[whole(:matter).clamp(0, [headed_matters.size - 1, 0].max)] or
      raise Norvel::Refused, "There is no text in this document that could have heads and feet."
  end

  def head_way
    head_ways.include?(params[:which]) ? params[:which] : "default"
  end

  # Those that the chosen matter can have: chapters that are sections open on pages of their own.
  def head_ways
    (chosen_matter.sections.size > 1) ? WAYS.keys : WAYS.keys - ["openings"]
  end

  # "right pages" where left ones differ.
  def way_words(way)
    (way == "default" && document.settings.even_and_odd) ? "right pages" : WAYS.fetch(way)
  end

  # Has a matter heads of its own for such pages?
  def way_set?(matter, way)
    case way
    when "even" then document.settings.even_and_odd
    when "first" then document.sections[matter.sections.first - 1].title_page
    when "openings" then matter.sections.drop(1).any? { |number| document.sections[number - 1].title_page }
    else true
    end
  end

  # The Story that a matter shows, nil for none; of all pages where such pages have none of their own.
  def running_story(matter, kind, way)
    return document.head(matter.sections.first, kind, "default") unless way_set?(matter, way)
    return document.head(matter.sections.first, kind, way) unless way == "openings"
    opening = matter.sections.drop(1).find { |number| document.sections[number - 1].title_page }
    document.head(opening, kind, "first")
  end

  # What a head or foot says: Running::Line, or nil where it is set otherwise.
  def running_line(matter, kind, way)
    story = running_story(matter, kind, way)
    story ? Norvel::Running::Line.read(story, document) : NOTHING_SAID
  end

  # The three parts in words: ["", "page number", ""]; the text of one that is set otherwise.
  def running_words(matter, kind, way)
    line = running_line(matter, kind, way)
    return [cut(running_story(matter, kind, way).text.split.join(" "), 50), "", ""] unless line
    line.to_a.map { |part| part.gsub(Norvel::Running::Line::TOKEN) { TOKENS.fetch($1) } }
  end

  def matter_words(matter)
    own = pages.sheets.select { |sheet| matter.sections.include?(sheet.section) }.map(&:label).reject(&:empty?)
    labels = [own.first, own.last].compact.uniq.join("–")
    [MattersView::NAMES.fetch(matter.name), (labels unless labels.empty?)].compact.join(", pages ")
  end

  # What stands in a field of the form.
  def head_value(kind, side)
    sent = params[:"#{kind}_#{side}"] and return sent
    (running_line(chosen_matter, kind, head_way) || NOTHING_SAID)[side].to_s
  end

  # The edit that the form asks for: heads and feet that are others now. Raises Refused.
  def heads_edit
    return Norvel::Edits::JoinRunning.new("even") if params[:join] == "even"
    return Norvel::Edits::JoinRunning.new("first", chosen_matter.sections.first) if params[:join] == "first"
    lines = KINDS.keys.to_h { |kind| [kind, sent_line(kind)] }.reject { |kind, line| said_already?(kind, line) }
    raise Norvel::Refused, "Head and foot say that already." if lines.empty?
    openings = head_way == "openings"
    Norvel::Edits::SetRunning.new(chosen_matter.sections, lines, which: openings ? "first" : head_way, each: openings)
  end

  # The first sheets of the matter as they are and as they would be: [[before, after], …]
  def headed_pairs
    sheets = pages.sheets.select { |sheet| chosen_matter.sections.include?(sheet.section) && !sheet.blank }
    sheets = sheets.select(&:opens) if head_way == "openings"
    pairs = sheets.first(3).map { |sheet| [sheet, Norvel::Layout.pages(@after).sheets[sheet.page - 1]] }
    pairs.select(&:last)
  end

  BESIDE = 26 # points of the text that are seen beside a head or foot

  # The head and the foot of a sheet as boxes to be seen in: {"head" => "0 0 595 106", …}
  def strip_boxes(sheet, whose)
    section = whose.sections[sheet.section - 1] || whose.sections.last
    top, bottom = sheet.frame.top + BESIDE, section.height - sheet.frame.bottom + BESIDE
    {"head" => "0 0 #{fine(section.width)} #{fine(top)}",
     "foot" => "0 #{fine(section.height - bottom)} #{fine(section.width)} #{fine(bottom)}"}
  end

  private

  def sent_line(kind)
    Norvel::Running::Line.new(**SIDES.to_h { |side| [side.to_sym, params[:"#{kind}_#{side}"].to_s[0, 300].strip] })
  end

  # Is it what such pages show? What is set otherwise stays unless words are typed for it.
  def said_already?(kind, line)
    was = running_line(chosen_matter, kind, head_way)
    was ? was == line && way_set?(chosen_matter, head_way) : line.blank?
  end
end
