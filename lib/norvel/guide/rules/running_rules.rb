# frozen_string_literal: true

module Norvel
  class Guide
    module Rules
      # running.text, .place: what running heads and feet say at left, in the middle and at right, from the first page
      # of the text or of the body on. Fields stand in braces, words as they are.
      class RunningRules < Family
        RULES = %w[text place].map { |name| Rule.new(name: "running.#{name}", goes_by: :document, stage: :page) }.freeze
        KINDS = {"head" => "header", "foot" => "footer"}.freeze
        SIDES = {"left" => :left, "center" => :middle, "right" => :right}.freeze
        WHY = "it changes what stands at head and foot: look at the pages first"

        def self.asked(guide, _roles)
          (KINDS.keys & (guide.data["running"] || {}).keys).any? ? %w[running.text running.place] : []
        end

        def findings
          return [] if self.class.asked(@guide, nil).empty?
          KINDS.flat_map { |name, kind| running[name] ? judged(kind, wanted(running[name])) : [] }
        end

        private

        def running
          @guide.data["running"]
        end

        # A Running::Line of what is asked for.
        def wanted(lines)
          Running::Line.new(**lines.to_h { |side, words| [SIDES.fetch(side), words] })
        end

        # Sections from the one that the body begins with, or all.
        def sections
          first = (running["from"] == "body") ? Structure::Matters.new(@document).first_chapter&.section || 1 : 1
          (first..@document.sections.size).to_a
        end

        def judged(kind, wanted)
          sections.filter_map do |number|
            story = @document.head(number, kind, "default")
            line = story ? Running::Line.read(story, @document) : Running::Line.new
            next if line == wanted
            found(kind, number, line, wanted)
          end
        end

        # The same words at other places are a finding of the place.
        def found(kind, number, line, wanted)
          moved = line && line.to_a.map(&:strip).reject(&:empty?).sort == wanted.to_a.reject(&:empty?).sort
          name = KINDS.key(kind)
          spoken = line ? quoted(line) : "more than one line"
          finding("running.#{moved ? "place" : "text"}", section: number, asked: quoted(wanted), found: spoken,
            message: "The running #{name} of section #{number} has #{spoken}", cause: [kind, line&.to_a],
            mend: mend(kind, wanted), cite: running["cite"])
        end

        # "“{chapter}” at left, “{page}” at right"
        def quoted(line)
          said = SIDES.filter_map { |side, member| "“#{line[member]}” at #{side}" unless line[member].strip.empty? }
          said.empty? ? "nothing" : said.join(", ")
        end

        def mend(kind, wanted)
          steps = [[:set_running, sections, {"default" => {kind => wanted.to_h}}]]
          Mend.new(name: "set_running", label: "Set it so", safe: false, why: WHY, steps:)
        end
      end
    end
  end
end
