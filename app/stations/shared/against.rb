# frozen_string_literal: true

# What a document is held against: nothing, a guide, or a template whose styles it takes. Chosen by a person, who is
# asked once; what was chosen last stands in the next form.
module Against
  NOTHING = "nothing yet"

  # What a form said: {guide:, template:}, each nil where it is not meant. Raises Norvel::Refused.
  def against(sent = params[:against])
    kind, name = sent.to_s.split(":", 2)
    chosen = {guide: (name if kind == "guide"), template: (name if kind == "template")}
    raise Norvel::Refused, "There is no such guide." if chosen[:guide] && !SavedGuide.key?(chosen[:guide])
    if chosen[:template] && !SavedTemplate.all_by_key.key?(chosen[:template])
      raise Norvel::Refused, "There is no such template."
    end
    env["rack.session"]["against"] = sent.to_s[0, 200]
    chosen
  end

  # The options of that form. chosen: as it is sent; by default what was chosen last
  def against_options(chosen = env["rack.session"]["against"])
    guides = SavedGuide.all_by_key.map { |key, words| ["guide:#{key}", words] }
    guides |= [[chosen, older_words(chosen)]] if chosen.to_s.start_with?("guide:own:") && !guides.to_h.key?(chosen)
    templates = SavedTemplate.all_by_key.map { |key, name| ["template:#{key}", name] }
    groups = [["Guides", guides], ["Templates: their styles", templates]].map do |label, list|
      %(<optgroup label="#{label}">#{options(list, chosen)}</optgroup>)
    end
    options([["", NOTHING]], chosen) + groups.join
  end

  # An edition that is not the newest, where a document is held against it.
  def older_words(chosen)
    key = chosen.delete_prefix("guide:")
    SavedGuide.key?(key) ? "#{SavedGuide.words(SavedGuide.rules(key))} (an earlier edition)" : "a guide that is gone"
  end

  # How a manuscript's choice is sent.
  def against_key(item = manuscript)
    return "guide:#{item.guide}" if item.guide
    item.template ? "template:#{item.template}" : ""
  end

  # "Ravelmouth Graduate Office, thesis format 2026", "the template Short notice", "no guide".
  def against_words(item = manuscript)
    return SavedGuide.full_name(item.guide) if item.guide
    name = item.template && SavedTemplate.all_by_key[item.template]
    name ? "the template #{name}" : "no guide"
  end

  # The same of the document at hand, in the head of its pages: a guide can be read.
  def held_against
    return "no guide chosen" if against_key.empty?
    return "held against #{h against_words}" unless manuscript.guide
    %(held against <a href="#{rules_path(manuscript.guide)}">#{h against_words}</a>)
  end

  def rules_path(key)
    "/guides/#{ERB::Util.url_encode(key)}?document=#{manuscript.id}"
  end

  # The edition that came after the one that the document is held against; nil for none.
  def newer_edition
    SavedGuide.named(manuscript.guide)&.newer
  end

  # The address of the page that is seen, also where a piece of it is asked for.
  def here_path
    home = params[:id] ? path_to("galley") : "/"
    seen = env["HTTP_HX_CURRENT_URL"] and return URI(seen).request_uri
    request.get? ? request.fullpath : home
  rescue URI::InvalidURIError
    home
  end

  def guided?
    !manuscript.rules.none?
  end
end
