# frozen_string_literal: true

# Help on rules as pages.
module HelpView
  TOPICS = ChosenView::TOPICS

  # [[the words of a topic, [Help::Page, …]], …]
  def help_by_topic
    pages = Norvel::Guide::Help.all.group_by { |page| topic_of_help(page.rule) }
    TOPICS.filter_map { |name, (words, _)| [words, pages[name]] if pages[name] }
  end

  def topic_of_help(rule)
    starts = TOPICS.flat_map { |name, (_, list)| list.map { |start| [start, name] } }
    starts.select { |start, _| rule.start_with?(start) }.max_by { |start, _| start.size }&.last
  end

  # Values that a guide may have for the rule, as it writes them: [[place, what is expected], …]
  def asked_as(rule)
    Norvel::Guide::Catalogue.all.select { |entry| states?(entry, rule) }
      .map { |entry| [entry.place.join(": "), entry.expects] }.first(6)
  end

  private

  def states?(entry, rule)
    name = Norvel::Guide::Rules::RoleRules.name_of(entry.place[1], entry.place.last) if entry.place.first == "roles"
    return name == rule if name
    switch = Norvel::Guide::Rules::ALL.flat_map { |family| family::RULES }.find { |one| one.covers?(rule) }&.switch
    switch == entry.place
  end
end
