# frozen_string_literal: true

# What every page needs: the document at hand, its frame, tokens, and words.
module Page
  STATIONS = [["Survey", "survey"], ["Styles", "styles"], ["Galley", "galley"], ["Findings", "findings"],
    ["Handover", "handover"]].freeze
  SEVERITIES = {"must" => "◆", "should" => "▲", "advice" => "●"}.freeze

  def manuscript
    @manuscript ||= Manuscript.find(params[:id])
  end

  def document
    @document ||= manuscript.document
  end

  def station(name, &block)
    @station = name
    manuscript
    body = erb(name, layout: false)
    erb(:frame, locals: {content: body})
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
    count.to_s.reverse.scan(/\d{1,3}/).join(",").reverse
  end

  def counted(count, noun)
    "#{number(count)} #{noun}#{"s" unless count == 1}"
  end

  # The sign of a severity: a form of its own, so that it is never told by colour alone.
  def mark(severity)
    %(<span class="mark #{severity}" role="img" aria-label="#{severity}">#{SEVERITIES.fetch(severity)}</span>)
  end

  def unit
    "cm"
  end

  # Ids told shortly: "1-3,7".
  def id_spans(ids)
    Spans.write(ids)
  end

  # Ids that a page sent: "3,7-12" or a list of fields.
  def chosen_ids
    named = params[:ids].to_s.empty? ? Array(params[:paragraph]).join(",") : params[:ids]
    Spans.read(named, document.paragraphs)
  end
end
