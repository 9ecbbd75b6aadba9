# frozen_string_literal: true

require "cgi"
require "digest"

module Norvel
  module Report
    # Pages of HTML that stand alone and print well: the look that reports share.
    module Paper
      STYLE = <<~CSS
        body { font: 15px/1.5 "Source Sans 3", "Noto Sans", sans-serif; color: #16202a; }
        body { margin: 2rem auto; max-width: 62rem; padding: 0 1rem; }
        table { border-collapse: collapse; width: 100%; margin: .5rem 0 1.5rem; }
        th, td { text-align: left; vertical-align: top; padding: .25rem .75rem .25rem 0; }
        th, td { border-bottom: 1px solid #c9d1d6; }
        td.n, th.n { text-align: right; font-variant-numeric: tabular-nums; }
        .must { color: #a62a1b; font-weight: 600; } .should { color: #7d5700; font-weight: 600; }
        .muted { color: #4d5b66; } .fault { color: #a62a1b; }
        .sign td { height: 3.5rem; vertical-align: bottom; width: 50%; }
        h2 { margin-top: 2.5rem; break-after: avoid; } tr { break-inside: avoid; }
        @media print { body { margin: 0; max-width: none; } }
      CSS

      # The digest by which a page's policy lets this style in, and no other (CSP 3, 6.7.3.3).
      DIGEST = "'sha256-#{[Digest::SHA256.digest("\n#{STYLE}")].pack("m0")}'".freeze

      private

      # The whole page. title: as text; body: as HTML
      def standing_alone(title, body)
        <<~HTML
          <!doctype html>
          <html lang="en">
          <head>
          <meta charset="utf-8">
          <title>#{h title}</title>
          <style>
          #{STYLE}</style>
          </head>
          <body>
          <main>
          <h1>#{h title}</h1>
          #{body}
          </main>
          </body>
          </html>
        HTML
      end

      # Rows of text under heads; columns that hold numbers stand at the right.
      def table(heads, rows)
        numbers = heads.each_index.select { |at| rows.any? && rows.all? { |row| row[at].is_a?(Numeric) } }
        cell = lambda do |name, more, text, at|
          said = text.is_a?(Numeric) ? Quantity.number(text) : text
          "<#{name}#{more}#{" class=\"n\"" if numbers.include?(at)}>#{h said}</#{name}>"
        end
        head = heads.each_with_index.map { |text, at| cell["th", " scope=\"col\"", text, at] }
        body = rows.map { |row| "<tr>#{row.each_with_index.map { |text, at| cell["td", "", text, at] }.join}</tr>" }
        "<table><thead><tr>#{head.join}</tr></thead><tbody>\n#{body.join("\n")}\n</tbody></table>"
      end

      def h(text)
        CGI.escapeHTML(text.to_s)
      end
    end
  end
end
