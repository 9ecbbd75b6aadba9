# frozen_string_literal: true

%w[prose package markup thesis handbook notice minutes gauge house_template].each { |name| require_relative name }

# The demo documents: file name, guide, and what makes the bytes.
module Demo
  DOCUMENTS = [
    ["tide gauge.md", nil, Gauge], ["minutes of 5 February.odt", nil, Minutes],
    ["closing of the sluice.docx", nil, Notice], ["staff handbook.docx", "ravelmouth-house", Handbook],
    ["salt and timber, thesis, last FINAL 3.docx", "ravelmouth-thesis", Thesis]
  ].freeze
end
