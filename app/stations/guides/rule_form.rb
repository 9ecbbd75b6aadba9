# frozen_string_literal: true

# What the form of one rule says: its place in the guide, and the guide's text with what was typed in it.
module RuleForm
  Catalogue = Norvel::Guide::Catalogue
  Examples = Norvel::Guide::Examples
  Rewritten = Norvel::Guide::Rewritten

  # The keys and numbers of a place as a form has them: "parts.0.cite".
  def place_key(place)
    place.join(".")
  end

  # The other way; nil where no rule can stand there.
  def place_of(key)
    steps = key.to_s.split(".").first(6).map { |step| step.match?(/\A\d{1,4}\z/) ? step.to_i : step }
    steps if steps.any? && Catalogue.place?(steps)
  end

  private

  # The text with the rule as it was typed. Raises Norvel::Error.
  def text_with_rule(source)
    place = place_of(params[:place]) or raise Norvel::Refused, "Choose a rule first."
    return Rewritten.new(source).put(place, nil) if params[:step] == "out"
    with_clause(with_severity(Rewritten.new(source).put(place, typed_value(place)), place), place)
  end

  def typed_value(place)
    entry = Catalogue.of(place)
    return Catalogue.value(params[:way].to_s, params[:value]) if entry.members.empty?
    found = Catalogue.members(entry, params[:members] || {})
    found.empty? ? raise(Norvel::Refused, "Say what is asked for: a value.") : found
  end

  # Of every rule that the sentence states; a sentence without any has no weight.
  def with_severity(text, place)
    return text unless params[:severity]
    severity = params[:severity] unless params[:severity].empty?
    rules = rules_at(text, place).reject { |rule| rule.include?("*") }
    rules.inject(text) { |now, rule| stated?(now, rule, severity) ? now : put_severity(now, rule, severity) }
  end

  def put_severity(text, rule, severity)
    Rewritten.new(text).put(["severity", rule], severity)
  end

  def stated?(text, rule, severity)
    guide = Norvel::Guide.new(text)
    severity ? guide.severity(rule) == severity : guide.data.dig("severity", rule).nil?
  end

  def rules_at(text, place)
    sentence = Norvel::Guide::Sentences.new(Norvel::Guide.new(text)).all.find { |one| one.place == place }
    sentence ? sentence.rules : []
  end

  # The clause of the group that the rule stands in.
  def with_clause(text, place)
    group = clause_place(place) or return text
    words = params[:cite].to_s.strip
    return text if params[:cite].nil? || Catalogue.stated(Norvel::Guide.new(text), group).to_s == words
    Rewritten.new(text).put(group, words.empty? ? nil : words)
  end

  # Where the clause of a rule stands; nil where none can.
  def clause_place(place)
    steps = {"roles" => 2, "tables" => (place[1] == "text") ? 2 : 1, "consistent" => nil, "exceptions" => nil,
             "parts" => nil}.fetch(place.first, 1)
    steps && [*place.first(steps), "cite"]
  end
end
