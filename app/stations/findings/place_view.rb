# frozen_string_literal: true

# One finding in its line and on its sheet.
module PlaceView
  AROUND = 2 # paragraphs before and after it

  # [paragraph, …] around the one that a finding is at, with it; [] for one about the page or the document.
  def lines_around(finding)
    return [] unless finding.paragraph && document.include?(finding.paragraph)
    story = document.story_of(finding.paragraph)
    list = story ? story.paragraphs : document.paragraphs
    at = list.index { |one| one.id == finding.paragraph }
    list[[at - AROUND, 0].max..(at + AROUND)]
  end

  # Where the value that is wrong comes from, in words; nil where that is no question.
  def where_from(finding)
    name = finding.rule[/\A(?:role|notes)\.(?:.*\.)?(\w+)\z/, 1]
    return unless finding.paragraph && name && Norvel::Styles::Properties.key?(name)
    property = Norvel::Styles::Properties[name]
    paragraph = document.paragraph(finding.paragraph)
    run = paragraph.letters.first if property.on == :run
    source_words(document.cascade.decided(property.name, paragraph, run), paragraph)
  end

  def source_words(set, paragraph)
    case set.kind
    when :direct then "it was set by hand here"
    when :character then "a character style says so"
    when :list then "the list that it stands in says so"
    when :table then "the table's style says so"
    else "the style #{document.style_name(paragraph)} says so"
    end
  end

  # The sheet it is seen on, nil where pages are not known or it stands on none.
  def sheet_of_finding(finding)
    at = pages && manuscript.check.page(finding) or return
    pages.sheets[at - 1]
  end

  # Exceptions that were granted here and remarks on a finding.
  def remarks_on(finding)
    manuscript.remarks.on(finding)
  end

  # For what an exception can be granted.
  def scope_options(finding)
    scopes = finding.paragraph ? Grant::SCOPES : Grant::SCOPES.slice("rule")
    options(scopes.to_a)
  end
end
