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

  # How a guide asks for the rule, as an example; nil for none.
  def example_of(rule)
    Norvel::Guide::Examples.of(rule)
  end
end
