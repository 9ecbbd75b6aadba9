# frozen_string_literal: true

module Norvel
  module CLI
    # Applies every safe mend, and reports what changed and that the words did not; or tells the plan alone.
    class Mend < Command
      USAGE = "mend FILE --guide GUIDE --output OUT [--only RULE,RULE] [--also RULE,RULE] [--dry-run] [--json]"

      private

      def options(parser)
        json_option(parser)
        guide_option(parser)
        output_option(parser)
        parser.on("--only RULES", Array, "only these rules") { |rules| @options[:only] = rules }
        parser.on("--also RULES", Array, "these rules or all, though their mends ask first") do |rules|
          @options[:also] = rules.map { |rule| (rule == "all") ? "*" : rule }
        end
        parser.on("--dry-run", "tell the plan and write nothing") { @options[:dry] = true }
      end

      def perform
        path = positional(1)
        output = @options[:dry] ? nil : required(:output)
        Formats.for_path(output) if output
        edit = Guide::MendSafe.new(guide, only: @options[:only], also: @options[:also] || [])
        before = laid_out(read(path))
        after = edit.apply(before).after
        write(after, output) if output
        @options[:json] ? json(edit.plan(before)) : text(edit.plan(before))
        0
      end

      def json(plan)
        told = {mended: plan.mended, left: plan.left, words_unchanged: plan.words_unchanged?,
                text_digest_before: "sha256:#{plan.seals.first.words}",
                text_digest_after: "sha256:#{plan.seals.last.words}", whitespace_removed: plan.white_space_removed}
        told[:plan] = plan.parts.reject(&:off).map { |part| part(part) } if @options[:dry]
        @out.puts JSON.generate(told)
      end

      def part(part)
        told = Guide::PlanWords.new(part)
        part.rules.map { |rule| [rule, part.findings.count { |finding| finding.rule == rule }] }
          .max_by(&:last).then { |rule, _| {kind: part.kind, rule:} }
          .merge(count: part.count, what: told.what, keeps: told.keeps, example: told.example)
      end

      def text(plan)
        plan.done.each { |part| part_line(part) } if @options[:dry]
        plan.mended.each { |entry| @out.puts "mended\t#{entry[:rule]}\t#{entry[:count]}" }
        plan.left.each { |entry| @out.puts "left\t#{entry[:rule]}\t#{entry[:count]}\t#{entry[:why]}" }
        @out.puts(plan.words_unchanged? ? "#{plan.after.word_count} words, unchanged" : "the words changed")
      end

      def part_line(part)
        told = Guide::PlanWords.new(part)
        @out.puts ["plan", told.title, told.keeps].compact.join("\t")
      end
    end
  end
end
