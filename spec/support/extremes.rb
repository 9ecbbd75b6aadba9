# frozen_string_literal: true

# Files of extremes, in every format: depth, width, length, repetition. Each as [name, bytes].
module Extremes
  extend Documents

  WORDS = "the tide came in over the flats "
  SPACES = %w[office text table style]
    .map { |name| %(xmlns:#{name}="urn:oasis:names:tc:opendocument:xmlns:#{name}:1.0") }.join(" ")

  module_function

  def flat(body, styles = "")
    %(<office:document #{SPACES} office:version="1.3" office:mimetype="application/vnd.oasis.opendocument.text">) +
      %(<office:styles>#{styles}</office:styles><office:body><office:text>#{body}</office:text></office:body>) +
      %(</office:document>)
  end

  def nested(inside, times, before, after)
    (before * times) + inside + (after * times)
  end

  def rows(count, cell)
    "<w:tbl>#{"<w:tr><w:tc>#{cell}</w:tc></w:tr>" * count}</w:tbl>#{p("")}"
  end

  def formula(inside)
    %(<m:oMath xmlns:m="http://schemas.openxmlformats.org/officeDocument/2006/math">#{inside}</m:oMath>)
  end

  # {kind => ->(size from 0.0 to 1.0) { bytes }}, by format.
  def all
    {
      "md" => {
        brackets: ->(n) { "[" * (n * 200_000).to_i }, quotations: ->(n) { "#{">" * (n * 50_000).to_i} a" },
        emphasis: ->(n) { "*a **b " * (n * 50_000).to_i },
        lists: ->(n) { (0..(n * 1_000).to_i).map { |level| "#{"  " * level}- a\n" }.join },
        ticks: ->(n) { (1..(n * 600).to_i).map { |size| "#{"`" * size} a " }.join },
        comments: ->(n) { "words <!-- " * (n * 200_000).to_i }, links: ->(n) { "[a](b" * (n * 50_000).to_i },
        tags: ->(n) { "<div>" * (n * 20_000).to_i },
        rows: ->(n) { "|a|b|\n|-|-|\n#{"|c|d|\n" * (n * 100_000).to_i}" },
        notes: ->(n) { (1..(n * 3_000).to_i).map { |at| "a[^#{at}]\n\n[^#{at}]: b\n\n" }.join },
        length: ->(n) { WORDS * (n * 500_000).to_i }, front: ->(n) { "---\na: #{"[" * (n * 100_000).to_i}\n---\nx" }
      },
      "txt" => {
        length: ->(n) { WORDS * (n * 500_000).to_i }, word: ->(n) { "a" * (n * 20_000_000).to_i },
        lines: ->(n) { "a\n" * (n * 140_000).to_i },
        titles: ->(n) { "a\n===\n" * (n * 9_000).to_i }, blanks: ->(n) { "#{"\n" * (n * 10_000_000).to_i}a" }
      },
      "html" => {
        depth: ->(n) { "#{"<div>" * (n * 100_000).to_i}a" }, tables: ->(n) { "#{"<table><tr><td>" * (n * 130).to_i}a" },
        bold: ->(n) { "<b>a" * (n * 5_000).to_i },
        spans: ->(n) { "<table>#{"<tr><td colspan=100 rowspan=100>a</td></tr>" * (n * 2_000).to_i}</table>" },
        columns: ->(n) { "<table><tr>#{"<td>a" * (n * 50_000).to_i}</table>" },
        lists: ->(n) { "<ul><li>a" * (n * 120).to_i }, comment: ->(n) { "words #{"<!--" * (n * 1_000_000).to_i}" },
        breaks: ->(n) { "<p>#{"a<br>" * (n * 15_000).to_i}" }
      },
      "docx" => {
        word: ->(n) { package(p(r("a" * (n * 100_000).to_i))) },
        square: ->(n) { package(p(r("漢" * (n * 240_000).to_i))) },
        soft: ->(n) { package(p(r("ab\u00AD" * (n * 50_000).to_i))) },
        flags: ->(n) { package(p(r("\u{1F1E6}" * (n * 50_000).to_i))) },
        marks: ->(n) { package(p(r("a#{"\u0300" * (n * 50_000).to_i}"))) },
        rows: ->(n) { package(rows((n * 10_000).to_i, p(r("a")))) },
        nested: ->(n) {
          package((1..(n * 40).to_i)
                .inject(p(r("a"))) { |inside, _| "<w:tbl><w:tr><w:tc>#{inside}#{p("")}</w:tc></w:tr></w:tbl>" } + p(""))
        },
        based: ->(n) {
          package(p(r("a"), '<w:pStyle w:val="S9"/>'), styles: (0..(n * 12_000).to_i)
            .map { |at| style("S#{at}", "S #{at}", based_on: "S#{at - 1}") }.join)
        },
        chain: ->(n) {
          package(p(r("a"), '<w:pStyle w:val="S9"/>'), styles: (0..(n * 1_500).to_i)
            .map { |at| style("S#{at}", "S #{at}", based_on: "S#{at - 1}") }.join)
        },
        repeated: ->(n) { package(p(r("a line that stands again")) * (n * 6_000).to_i) },
        letters: ->(n) { package(p(r("Yours sincerely,")) * (n * 6_000).to_i) },
        numbered: ->(n) { package((1..(n * 6_000).to_i).map { |at| p(r("#{at}. Item of it")) }.join) },
        wide: ->(n) {
          package("<w:tbl><w:tr>#{"<w:tc>#{p(r("a"))}</w:tc>" * (n * 2_000)
        .to_i}</w:tr></w:tbl>#{p("")}")
        },
        formula: ->(n) { package(p(formula("<m:r><m:t>a+</m:t></m:r>" * (n * 40_000).to_i))) },
        formulas: ->(n) { package(p(formula("<m:r><m:t>x=1</m:t></m:r>")) * (n * 6_000).to_i) },
        roots: ->(n) { package(p(formula(nested("", (n * 110).to_i, "<m:rad><m:e>", "</m:e></m:rad>")))) },
        matrix: ->(n) {
          row = "<m:mr>#{"<m:e><m:r><m:t>x</m:t></m:r></m:e>" * (n * 150).to_i}</m:mr>"
          package(p(formula("<m:m>#{row * (n * 150).to_i}</m:m>")))
        },
        both_ways: ->(n) { package(p(r("(שלום) a 12 " * (n * 15_000).to_i), "<w:bidi/>")) },
        brackets: ->(n) { package(p(r("א#{"(" * (n * 100_000).to_i}"))) },
        joined: ->(n) { package(p(r("بيت البحر " * (n * 15_000).to_i))) },
        item_breaks: ->(n) { package(p(r((["1. oil"] * (n * 70_000).to_i).join("\n")))) },
        last_breaks: ->(n) { package(p(r("a#{"\n" * (n * 200_000).to_i}"))) },
        typed_lists: ->(n) {
          package((p(r("• oil;")) * 2 + p(r("A line of text that stands between."))) * (n * 3_000)
                .to_i)
        },
        controls: ->(n) {
          package(nested(p(r("a")), (n * 3_000).to_i, "<w:sdt><w:sdtContent>",
            "</w:sdtContent></w:sdt>"))
        }
      },
      "fodt" => {
        word: ->(n) { flat("<text:p>#{"a" * (n * 100_000).to_i}</text:p>") },
        spans: ->(n) { flat("<text:p>#{nested("a", (n * 380).to_i, "<text:span>", "</text:span>")}</text:p>") },
        rows: ->(n) {
          flat("<table:table>#{"<table:table-row><table:table-cell><text:p>a</text:p></table:table-cell>" \
        "</table:table-row>" * (n * 10_000).to_i}</table:table><text:p/>")
        },
        repeated_rows: ->(n) {
          flat("<table:table><table:table-row table:number-rows-repeated='#{(n * 99_999)
        .to_i}'><table:table-cell table:number-columns-repeated='20'><text:p>a</text:p></table:table-cell>" \
        "</table:table-row></table:table>")
        },
        lists: ->(n) {
          flat(nested("<text:p>a</text:p>", (n * 180).to_i, "<text:list><text:list-item>",
            "</text:list-item></text:list>"))
        },
        spaces: ->(n) { flat("<text:p>#{"<text:s text:c='10000'/>" * (n * 500).to_i}a</text:p>") },
        styles: ->(n) {
          chain = (0..(n * 12_000).to_i).map do |at|
            %(<style:style style:name="S#{at}" style:family="paragraph" style:parent-style-name="S#{at - 1}"/>)
          end
          flat("<text:p>a</text:p>", chain.join)
        }
      }
    }
  end
end
