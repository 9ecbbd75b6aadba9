# frozen_string_literal: true

# What the shelf keeps of a document, so that it need not open it: plain values, for columns of a Manuscript. Needs the
# core alone.
module Standing
  module_function

  def counts(document)
    {words: document.word_count, paragraphs: document.paragraphs.size}
  end

  # How it stands by a check.
  def of(check)
    {**check.counts.transform_keys(&:to_sym), rules_asked: check.rules_asked.size, rules_met: check.rules_met.size,
                                              fault: check.fault}
  end
end
