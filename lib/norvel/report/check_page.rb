# frozen_string_literal: true

module Norvel
  module Report
    # Checks of files as one page of HTML that stands alone and prints well: a table by file, then each file with what
    # was found, what was granted, and what could not be checked.
    class CheckPage
      include Paper

      # guide: of all of them; nil where each has its own
      def initialize(reports, guide)
        @reports = reports
        @guide = guide
      end

      # The page.
      def text
        files = @reports.each_with_index.map { |report, index| file(report, index) }
        standing_alone(title, "#{overview}\n#{files.join}")
      end

      private

      def title
        return "#{Quantity.words(@reports.size, "document")}, each held against its own guide" if @guide.nil?
        against = @guide.none? ? "held against itself" : "held against #{@guide.name}"
        "#{Quantity.words(@reports.size, "file")} #{against}#{edition}"
      end

      def edition
        found = @guide.data["edition"]
        found ? ", edition #{found}" : ""
      end

      def overview
        rows = @reports.each_with_index.map do |report, index|
          link = %(<a href="#file-#{index}">#{h report[:file]}</a>)
          next "<tr><td>#{link}</td><td colspan=\"5\" class=\"fault\">#{h report[:error]}</td></tr>" if report[:error]
          cells = [*report[:counts].values, report[:pages] || "", report[:words]]
          "<tr><td>#{link}</td>#{cells.map { |value| "<td class=\"n\">#{value}</td>" }.join}</tr>"
        end
        head = %w[must should advice pages words].map { |word| "<th scope=\"col\" class=\"n\">#{word}</th>" }.join
        "<table><thead><tr><th scope=\"col\">File</th>#{head}</tr></thead><tbody>\n#{rows.join("\n")}\n</tbody></table>"
      end

      def file(report, index)
        body = report[:error] ? "<p class=\"fault\">#{h report[:error]}</p>" : parts(report)
        "<h2 id=\"file-#{index}\">#{h report[:file]}</h2>\n#{own_guide(report)}#{body}\n"
      end

      # Where each has its own.
      def own_guide(report)
        "<p class=\"muted\">held against #{h(report[:guide] || "itself")}</p>\n" if @guide.nil? && !report[:error]
      end

      def parts(report)
        [findings(report[:findings]), list("Granted exceptions", report[:exceptions]) { |one| granted(one) },
          list("Not checked", report[:unchecked]) { |one| "<b>#{h one[:rule]}</b>: #{h one[:why]}" },
          seal(report)].join("\n")
      end

      # What the report was made of: the words, and the file they stood in.
      def seal(report)
        seal = report[:seal] or return ""
        said = {"words" => Quantity.number(report[:words]), "digest of the words" => seal[:text_digest],
                "digest of the file" => seal[:file_digest]}.compact
        rows = said.map { |name, value| "<tr><th scope=\"row\">#{name}</th><td><code>#{h value}</code></td></tr>" }
        "<h3>Seal</h3>\n<table>#{rows.join}</table>"
      end

      def findings(list)
        return "<p>Nothing was found.</p>" if list.empty?
        rows = list.group_by { |one| one.values_at(:severity, :rule, :message, :expected, :found, :cite) }
          .map { |told, same| row(told, same) }
        "<table><thead><tr><th scope=\"col\">Severity</th><th scope=\"col\">What</th><th scope=\"col\">Asked</th>" \
          "<th scope=\"col\">Found</th><th scope=\"col\">Clause</th><th scope=\"col\">Where</th></tr></thead>" \
          "<tbody>\n#{rows.join("\n")}\n</tbody></table>"
      end

      def row((severity, rule, message, asked, found, cite), same)
        cells = ["<td class=\"#{h severity}\">#{h severity}</td>",
          "<td>#{h message}<br><span class=\"muted\">#{h rule}</span></td>",
          *[asked, found, cite].map { |text| "<td>#{h text}</td>" }, "<td>#{h where(same)}</td>"]
        "<tr>#{cells.join}</tr>"
      end

      PLACES = 8

      # "page 3, 5; 41 more places"
      def where(same)
        pages = same.filter_map { |one| one[:page] }.uniq
        return Quantity.words(same.size, "place") if pages.empty?
        more = (pages.size > PLACES) ? " and #{pages.size - PLACES} more" : ""
        "page #{pages.first(PLACES).join(", ")}#{more}"
      end

      def list(title, entries)
        return "" if entries.empty?
        "<h3>#{title}</h3>\n<ul>#{entries.map { |one| "<li>#{yield(one)}</li>" }.join("\n")}</ul>"
      end

      def granted(one)
        by = [one[:by], one[:on]].compact.join(", ")
        signed = " (#{h by})" unless by.empty?
        "<b>#{h one[:rule]}</b>, #{Quantity.words(one[:count], "place")}: #{h one[:because]}#{signed}"
      end
    end
  end
end
