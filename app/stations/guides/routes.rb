# frozen_string_literal: true

# Guides: read aloud rule by rule, changed in place with what a change would find, made from what there is.
class GuidesStation < Station
  helpers CarryingOut, GalleyRow, GuideMaking, GuidesView, RuleForm, SentFiles

  get("/guides") { list_of_guides }

  post("/guides") do
    make = guide_maker
    next offers_of(make.call) if params[:from] == "manual"
    carry_out("Make a guide", back: "/guides") do
      made = make.call
      ["Made the guide #{made.name}", guide_path(made.key)]
    end
  rescue Norvel::Error => error
    @complaint = error.message
    status 422
    list_of_guides
  end

  get("/guides/:key/text.yml") do
    guide = SavedGuide.rules(params[:key])
    content_type "application/yaml", charset: "utf-8"
    attachment "#{guide.name.gsub(/[^[:alnum:] ,-]/, "")[0, 80]}.yml"
    guide.source
  end

  get("/guides/:key/manual") do
    look_at_guide
    own_guide
    @title = "From a manual's text, #{@guide.name}"
    erb :manual
  end

  # The sentences of a manual that state a value; nothing is a rule by that.
  post("/guides/:key/manual") do
    look_at_guide
    offers_of(own_guide)
  end

  post("/guides/:key/offers") do
    look_at_guide
    chosen = offered(params[:text].to_s).values_at(*Array(params[:hit]).map(&:to_i)).compact
    raise Norvel::Refused, "No rule is ticked." if chosen.empty?
    row = own_guide.change(Norvel::Guide::FromManual.write(chosen, onto: @row.source), seen: params[:seen])
    go_after "Put #{counted(chosen.size, "rule")} in. Keep the guide, and documents can be held against it.",
      guide_path(row.key)
  end

  get("/guides/:key") do
    look_at_guide
    guide_page
  end

  # Tries a rule as it is typed, puts it in, or takes it out.
  post("/guides/:key/rule") do
    look_at_guide
    own_guide
    text = text_with_rule(@row.source)
    next tried(text) if params[:step] == "try"
    row = @row.change(text, seen: params[:seen])
    go_after "Changed the guide", guide_path(row.key, topic: @topic)
  rescue Norvel::Error => error
    raise if request.env["HTTP_HX_REQUEST"] || @row.nil?
    refused_here(error)
  end

  # The whole text; where it can't be a guide, it stays as it was typed, with the line that is at fault.
  post("/guides/:key/text") do
    look_at_guide
    own_guide
    row = @row.change(params[:text].to_s.gsub("\r\n", "\n"), seen: params[:seen])
    go_after "Put the text in", guide_path(row.key, topic: @topic)
  rescue Norvel::Error => error
    raise if @row.nil?
    @typed = params[:text].to_s
    refused_here(error)
  end

  post("/guides/:key/keep") do
    own_guide.keep_changes(seen: params[:seen])
    go_after "Kept as edition #{@row.number} of #{@row.name}", guide_path(@row.key)
  end

  post("/guides/:key/drop") do
    before = own_guide.drop_changes(seen: params[:seen])
    next go_after "The guide #{@row.name} is gone, as it was never kept", "/guides" unless before
    go_after "The changes are dropped", guide_path(before.key)
  end

  post("/guides/:key/discard") do
    own_guide
    @row.discard
    go_after "Took the guide #{@row.name} off", "/guides"
  end

  private

  def list_of_guides
    @title = "Guides"
    erb :guides
  end

  # The guide of the address, and the document that it is read with, if any.
  def look_at_guide
    @key = params[:key]
    @guide = SavedGuide.rules(@key)
    @row = SavedGuide.named(@key)
    @manuscript = Manuscript.find_by(id: whole(:document)) || companion
    @sentences = Norvel::Guide::Sentences.new(@guide).by_topic
    @topic = topic_named(params[:topic]) || @sentences.keys.first || :page
    open_rule
  end

  # The rule that is open, by its place or by the label of what is to be asked.
  def open_rule
    return @open = place_of(params[:rule]) unless params[:ask]
    entry = RuleForm::Catalogue.labelled(params[:ask]) or raise Norvel::Refused,
      "“#{cut(params[:ask], 60)}” is none of the rules that can be asked: choose one of the list."
    @open = RuleForm::Catalogue.place_in(@guide, entry)
    @topic = Norvel::Guide::Sentences.topic(@open)
  end

  def own_guide
    @row ||= SavedGuide.named(params[:key]) or raise Norvel::Refused,
      "This guide ships with Norvel and stays as it is: copy it, and change the copy."
  end

  def guide_page
    @title = "Guide: #{@guide.name}"
    erb :guide
  end

  # What a changed text would find, in the document at hand.
  def tried(text)
    guide = SavedGuide.read(text)
    @what_if = @manuscript && Norvel::Guide::WhatIf.new(*[@guide, guide].map { |one| Trial.check(@manuscript, one) })
    return partial(:tried) if request.env["HTTP_HX_REQUEST"]
    @open = place_of(params[:place])
    guide_page
  end

  def refused_here(error)
    @refusal = error.message
    @open = place_of(params[:place])
    status 422
    guide_page
  end

  def offers_of(row)
    @row = row
    @guide = SavedGuide.rules(row.key)
    @manual = manual_text
    @offers = offered(@manual)
    @title = "Rules found in the manual"
    erb :offers
  end

  def offered(text)
    Norvel::Guide::FromManual.new(text).offers
  end

  # Pasted, or the words of a file.
  def manual_text
    file = params[:file]
    return params[:text].to_s unless file.is_a?(Hash) && file[:tempfile]
    Manuscript::WRITERS.ask(:words, file[:tempfile].read, file[:filename])
  end
end
