# frozen_string_literal: true

# What every page needs: the document at hand, its frame, tokens, and words.
module Page
  STATIONS = [["Survey", "survey"], ["Styles", "styles"], ["Galley", "galley"], ["Sheets", "sheets"],
    ["Findings", "findings"], ["Handover", "handover"]].freeze
  # htmx does nothing that the page's policy forbids, and shows complaints where they are read.
  HTMX = {
    includeIndicatorStyles: false, allowEval: false, selfRequestsOnly: true, historyCacheSize: 0,
    responseHandling: [
      {code: "204", swap: false}, {code: "[23]..", swap: true},
      {code: "[45]..", swap: true, target: "#said", swapOverride: "innerHTML", error: true}
    ]
  }.freeze
  SEVERITIES = {"must" => "◆", "should" => "▲", "advice" => "●"}.freeze

  def manuscript
    @manuscript ||= Manuscript.find(numbered(:id))
  end

  # A number in the address. Raises ActiveRecord::RecordNotFound for anything else.
  def numbered(name)
    raise ActiveRecord::RecordNotFound unless params[name].to_s.match?(/\A\d{1,18}\z/)
    params[name].to_i
  end

  # A number that was sent, 0 for anything else.
  def whole(name)
    params[name].is_a?(String) ? params[name][0, 18].to_i : 0
  end

  def document
    @document ||= manuscript.document
  end

  # The file of a form, {filename:, tempfile:}. Raises Norvel::UnreadableFile.
  def sent_file
    file = params[:file]
    return file if file.is_a?(Hash) && file[:tempfile]
    raise Norvel::UnreadableFile, "No file was chosen: choose a #{Norvel::Formats.spoken} first."
  end

  def station(name, &block)
    @station = name
    manuscript
    body = erb(name, layout: false)
    erb(:frame, locals: {content: body})
  end

  # Pages of a station that have none of their own in the row of stations.
  UNDER = {sheet: "sheets", saving: "sheets", matters: "sheets", heads: "sheets", contents: "sheets",
           captions: "sheets", parts: "sheets", tried: "sheets", found: "galley", placeholders: "galley",
           beside: "galley", plan: "findings", plan_waiting: "findings", plan_moved: "findings", place: "findings",
           outcome: "findings",
           roles: "survey", templates: "styles", carried: "handover", accessible: "handover", submission: "handover",
           drawing: "handover", dividing: "handover", images: "handover", ledger: nil}.freeze

  def here?(path)
    UNDER.fetch(@station, @station.to_s) == path
  end

  # This page as the document is now, without what was typed.
  def here_again
    @refused ? here_path : ""
  end

  # Goes on to a page that says what was done.
  def go_after(said, place)
    env["rack.session"]["said"] = said[0, 300]
    redirect to(place), 303
  end

  def said_before
    env["rack.session"].delete("said")
  end

  def csrf_token
    Rack::Protection::AuthenticityToken.token(env["rack.session"])
  end

  def csrf_field
    %(<input type="hidden" name="authenticity_token" value="#{csrf_token}">)
  end

  # Which state of the document a form was drawn for.
  def version_field
    %(<input type="hidden" name="version" value="#{manuscript.lock_version}">)
  end

  def chosen_if(chosen)
    chosen ? " selected" : ""
  end

  def checked_if(checked)
    checked ? " checked" : ""
  end

  def disabled_if(disabled)
    disabled ? " disabled" : ""
  end

  def current_if(current)
    current ? ' aria-current="true"' : ""
  end

  # The options of a select: words, or [[value, words], …]; the one with the value +chosen+ is selected.
  def options(choices, chosen = nil)
    choices.map do |value, words|
      %(<option value="#{h value.to_s}"#{chosen_if(value.to_s == chosen.to_s)}>#{h((words || value).to_s)}</option>)
    end.join
  end

  # What is said above a station: that something was refused, or what was done on the page before.
  def said_here
    return partial(:complaint, message: @refused) if @refused
    (text = said_before) ? partial(:done, said: text) : ""
  end

  # Which document a page with a station is about, for its scripts.
  def body_data
    return "" unless @manuscript && @station
    %( data-manuscript="#{@manuscript.id}" data-version="#{@manuscript.lock_version}")
  end

  # Taking back answers in place where the galley shows it.
  def in_place_if_galley
    answered = request.env["HTTP_HX_REQUEST"] && params[:loaded]
    return "" unless answered || @station == :galley
    %( hx-post="#{path_to("take_back")}" hx-swap="none")
  end

  # A moment, for the rest of a time element.
  def time(moment, form = "%-d %B, %H:%M")
    %(datetime="#{moment.iso8601}">#{moment.strftime(form)}</time>)
  end

  # The place of a paragraph as a link to it in the galley.
  def place_link(paragraph)
    place = place_words(paragraph.id).delete_prefix("paragraph ")
    %(<a href="#{path_to("galley", at: paragraph.id)}">#{place}</a>)
  end

  # Words as a link to a paragraph in the galley.
  def link_to_place(words, id)
    %(<a href="#{path_to("galley", at: id)}">#{h words}</a>)
  end

  # The beginning of a text, with an ellipsis where it goes on.
  def cut(text, most)
    (text.size > most) ? "#{text[0, most - 1].rstrip}…" : text
  end

  # The head of a form that makes an edit of paragraphs: what changed is answered in place, or as a page where htmx is
  # not there.
  def edit_form(step, ids, **attributes)
    path = path_to("edits", step)
    said = attributes.map { |name, value| %( #{name}="#{h value}") }.join
    ids_field = %(<input type="hidden" name="ids" value="#{id_spans(ids)}">)
    head = %(<form action="#{path}" method="post" hx-post="#{path}" hx-swap="none"#{said}>)
    head + csrf_field + version_field + ids_field
  end

  def path_to(*steps, **query)
    address = ["/manuscripts", manuscript.id, *steps].join("/")
    query.empty? ? address : "#{address}?#{Rack::Utils.build_query(query)}"
  end

  def partial(name, **locals)
    erb(:"_#{name}", layout: false, locals:)
  end

  def h(text)
    ERB::Util.html_escape(text)
  end

  # 28110 as "28,110".
  def number(count)
    Norvel::Quantity.number(count)
  end

  def counted(count, noun)
    Norvel::Quantity.words(count, noun)
  end

  # The sign of a severity: a form of its own, so that it is never told by colour alone.
  def mark(severity)
    %(<span class="mark #{severity}" role="img" aria-label="#{severity}">#{SEVERITIES.fetch(severity)}</span>)
  end

  # Ids told shortly: "1-3,7".
  def id_spans(ids)
    Spans.write(ids)
  end

  # Ids that a page sent: "3,7-12" or a list of fields.
  def chosen_ids
    named = params[:ids].to_s.empty? ? Array(params[:paragraph]).join(",") : params[:ids]
    Spans.read(named, document.working)
  end
end
