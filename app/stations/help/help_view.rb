# frozen_string_literal: true

# Help on rules as pages.
module HelpView
  # [[the words of a topic, [Help::Page, …]], …]
  def help_by_topic
    pages = Norvel::Guide::Help.all.group_by { |page| Norvel::Guide::RuleTopics.of(page.rule) }
    Norvel::Guide::RuleTopics.words.filter_map { |name, words| [words, pages[name]] if pages[name] }
  end

  # How a guide asks for the rule, as an example; nil for none.
  def example_of(rule)
    Norvel::Guide::Examples.of(rule)
  end
end
