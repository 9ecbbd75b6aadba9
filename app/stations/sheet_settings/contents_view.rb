# frozen_string_literal: true

# Contents lists on the Sheets station: what they say, what they should say, and one put in.
module ContentsView
  SHOWN = 40 # entries of a list on the page
  LEADERS = {"dots" => "dots", "dashes" => "dashes", "a line" => "a line", "none" => "nothing"}.freeze

  def contents
    @contents ||= Norvel::Structure::ContentsLists.new(document)
  end

  def contents_words(list)
    return "List of #{list.captions.downcase}s" if list.captions
    (list.levels.size == 1) ? "Contents list, level 1" : "Contents list, levels #{list.levels.min}–#{list.levels.max}"
  end

  # "3 of 44 entries are wrong", in its colour.
  def stale_words(pairs)
    wrong = pairs.count(&:wrong)
    return %(<span class="meets">✓ right on every line</span>) if wrong.zero?
    %(<b class="must">#{wrong} of #{counted(pairs.size, "entry")} wrong</b>)
  end

  # How many lists say something else than they should.
  def stale_lists
    @stale_lists ||= contents.lists.count { |list| contents.stale(list).positive? }
  end

  # Wrong entries before the others, in their order.
  def shown_entries(pairs)
    wrong = pairs.select(&:wrong)
    (wrong.empty? ? pairs : wrong).first(SHOWN)
  end

  # Paragraphs that a list may stand before: headings of the text.
  def contents_places
    list = document.paragraphs.select { |one| one.container.nil? && document.heading_level(one) == 1 }
    list.map { |one| [one.id, cut(one.text.strip, 60)] }
  end

  # Where a list stands if nobody says otherwise: before the first part that comes after contents, as the guide orders
  # the parts, else by custom (title, abstract, contents).
  def usual_contents_place
    asked = manuscript.rules.parts.map { |part| part["part"] }
    order = asked.include?("contents") ? asked : Norvel::Structure::Parts::NAMES
    later = order.drop(order.index("contents") + 1)
    part = Norvel::Structure::Parts.new(document).list.find { |one| later.include?(one.name) && one.heading }
    part&.heading&.id
  end

  # A field of the form that is shown, for keeping what it shows.
  def kept_param(name)
    params[name] ? %(<input type="hidden" name="#{name}" value="#{h params[name]}">) : ""
  end

  # The sheets around the list that a change is about.
  def contents_sheets(whose)
    lists = Norvel::Structure::ContentsLists.in(whose)
    list = params[:number] ? lists[whole(:number)] : (lists.last if whose.equal?(@after))
    id = list ? list.paragraphs(whose).first.id : whole(:before)
    page = Norvel::Layout.pages(whose).sheet_of(id)&.page || 1
    Norvel::Layout.pages(whose).sheets[[page - 2, 0].max, 4]
  end

  # The edit that a form asks for. Raises Refused.
  def contents_edit
    return Norvel::Edits::RefreshLists.new if params[:all]
    return Norvel::Edits::RefreshContents.new(whole(:number)) if params[:number]
    levels = whole(:levels).clamp(1, 9)
    Norvel::Edits::PutInContents.new(whole(:before), levels:, captions: listed_sequence,
      heading: params[:heading].to_s[0, 200], leader: (params[:leader] if LEADERS.key?(params[:leader])))
  end

  # What a list can be of: {"" => "headings", "Figure" => "captions: Figure", …}
  def contents_kinds
    {"" => "headings", **counted_sequences.to_h { |name| [name, "captions: #{name}"] }}
  end

  # The words over a list that is put in, unless others are typed.
  def contents_heading
    params[:heading] || (listed_sequence ? "List of #{listed_sequence.downcase}s" : "Contents")
  end

  # The sequence whose captions are asked for, nil for headings.
  def listed_sequence
    counted_sequences.find { |name| name == params[:of] }
  end
end
