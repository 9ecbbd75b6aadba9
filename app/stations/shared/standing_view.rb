# frozen_string_literal: true

# How the document at hand stands, in the head of every page: what is left to do, and its pages.
module StandingView
  # How a document stands, in the head of every station and at the handover.
  def standing_words(check)
    return "Not checked" if check.fault
    return tidy_words(check.findings.size) if check.guide.none?
    left = check.counts.reject { |_, count| count.zero? }
    return '<span class="meets">✓ Meets the guide</span>' if left.empty?
    left.map { |severity, count| %(<b class="#{severity}">#{number(count)} #{severity}</b>) }.join(" · ")
  end

  # Why more was found after the last change than before it: "12 more: size of heading 1 is 16 pt …"; empty where not.
  def risen_words
    was, now = Desk.check_before(manuscript), manuscript.check
    return "" if was.nil? || was.fault || now.fault || now.findings.size <= was.findings.size
    known = was.groups.to_h { |group| [group.key, group.size] }
    group, more = now.groups.map { |one| [one, one.size - known.fetch(one.key, 0)] }.max_by(&:last)
    return "" unless more&.positive?
    "#{number(more)} more than before: #{h cut(group.first.message, 70)}"
  end

  # How much is left to do where no guide says that anything must be.
  def tidy_words(count)
    return '<span class="meets">✓ Nothing to tidy</span>' if count.zero?
    "<b>#{counted(count, "thing")} to tidy</b>"
  end

  # The pages, or nil while they are being worked out.
  def pages
    @pages ||= Desk.pages(manuscript)
  end

  def no_pages
    Desk.no_pages(manuscript)
  end

  # The head of a station asks again while pages are being worked out: some rules are about them.
  def standing_trigger
    (pages || no_pages) ? "document-changed from:body" : "load delay:700ms, document-changed from:body"
  end
end
