# frozen_string_literal: true

module Norvel
  module CLI
    # Cleans what was done by hand, no guide needed, and reports what changed and that the words did not.
    class Sweep < Command
      USAGE = "sweep FILE --output OUT [--only JOB,JOB] [--also JOB,JOB] [--on ROLE|STYLE,…] [--dry-run] [--json]"

      private

      def options(parser)
        json_option(parser)
        output_option(parser)
        parser.on("--only JOBS", Array, "only these jobs") do |names|
          @options[:only] = Norvel::Guide::Sweep.jobs(names)
        end
        parser.on("--also JOBS", Array, "these jobs though they ask first") do |names|
          @options[:also] = Norvel::Guide::Sweep.jobs(names)
        end
        parser.on("--on NAMES", Array, "on paragraphs of these roles or styles") { |names| @options[:on] = names }
        parser.on("--dry-run", "tell what would be done and write nothing") { @options[:dry] = true }
      end

      def perform
        path = positional(1)
        output = @options[:dry] ? nil : required(:output)
        Formats.for_path(output) if output
        before = laid_out(read(path))
        sweep = Norvel::Guide::Sweep.new(before, **@options.slice(:only, :also, :on))
        after = sweep.edit.apply(before).after
        write(after, output) if output
        @options[:json] ? json(sweep) : text(sweep)
        0
      end

      def json(sweep)
        plan = sweep.plan
        @out.puts JSON.generate(done: sweep.done.map { |job, count| {job:, count:} }, left: sweep.left,
          words_unchanged: plan.words_unchanged?, text_digest_before: "sha256:#{plan.seals.first.words}",
          text_digest_after: "sha256:#{plan.seals.last.words}", whitespace_removed: plan.white_space_removed)
      end

      def text(sweep)
        sweep.plan.done.each { |part| @out.puts "plan\t#{Guide::PlanWords.new(part).title}" } if @options[:dry]
        sweep.done.each { |job, count| @out.puts "done\t#{job}\t#{count}" }
        sweep.left.each { |entry| @out.puts "left\t#{entry[:job]}\t#{entry[:count]}\t#{entry[:why]}" }
        @out.puts "#{sweep.plan.after.word_count} words#{", unchanged" if sweep.plan.words_unchanged?}"
      end
    end
  end
end
