# frozen_string_literal: true

# docs/rules.md: every rule with what it means, why, how, and an example, drawn from the code.
class RulePages
  HEAD = <<~MARKDOWN
    # The rules

    Every rule that a guide can state, with an example of its text; the application has the same under “Help on rules”.
    Drawn from the code by `rake rules`. `*` stands for a kind of paragraph, a side or a property.
  MARKDOWN

  def text
    HEAD + Norvel::Guide::Help.all.map { |page| section(page) }.join
  end

  private

  def section(page)
    example = Norvel::Guide::Examples.of(page.rule)
    words = "\n## `#{page.rule}`\n#{page.title}. #{page.means} #{page.why} #{page.how}\n"
    example ? "#{words}\n```yaml\n#{example}```\n" : words
  end
end
