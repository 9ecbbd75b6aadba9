# frozen_string_literal: true

module Norvel
  class Guide
    # What was done by hand made clean, job by job, with no guide: a plan that goes by the document alone.
    class Sweep
      # name: in the command line's JSON; short: as it is asked for; rules: what it goes by; named: is it done only
      # where someone names it?
      Job = Value.define(:name, :short, :rules, :named, named: false)
      JOBS = [
        Job.new(name: "direct_paragraph", short: "direct", rules: ["clean.direct"]),
        Job.new(name: "direct_character", short: "words", rules: ["clean.direct"]),
        Job.new(name: "blank_paragraphs", short: "blanks", rules: ["clean.blank_paragraph"]),
        Job.new(name: "leading_white_space", short: "indents", rules: ["clean.tab_indent", "clean.space_indent",
          "clean.definition"]),
        Job.new(name: "double_spaces", short: "spaces", rules: ["clean.double_space"]),
        Job.new(name: "line_breaks", short: "breaks", rules: ["clean.line_break"]),
        Job.new(name: "typed_numbers", short: "lists", rules: ["clean.typed_list"]),
        Job.new(name: "lead_ins", short: "lead_ins", rules: ["clean.lead_in"]),
        Job.new(name: "near_misses", short: "near_misses", rules: ["clean.near_miss"]),
        Job.new(name: "page_breaks", short: "page_breaks", rules: ["clean.page_break", "clean.empty_page"]),
        Job.new(name: "tables", short: "tables",
          rules: ["accessible.table_header", "clean.caption", "clean.typed_caption"]),
        Job.new(name: "unused_styles", short: "styles", rules: ["clean.unused_style", "clean.doubled_style"]),
        Job.new(name: "typed_capitals", short: "capitals", rules: ["clean.typed_capitals"], named: true),
        Job.new(name: "bare_text", short: "bare_text", rules: [], named: true)
      ].freeze
      USUAL = JOBS.reject(&:named).freeze

      # The Jobs of these names, of either kind. Raises Refused.
      def self.jobs(names)
        names.map do |name|
          JOBS.find { |job| [job.name, job.short].include?(name) } or
            raise Refused, "there is no job “#{name}”: it is one of #{JOBS.map(&:short).join(", ")}"
        end
      end

      # only, also: Jobs, the second though they ask first; on: names of roles, as for Edits::SetValue, or of styles;
      # nil for all
      def initialize(document, only: USUAL, also: [], on: nil)
        @document = document
        @jobs = only | also
        @among = among(on)
        @bare = Edits::BareText.new(@among) if @jobs.any? { |job| job.short == "bare_text" }
        @mends = Guide::MendSafe.new(Guide.none, only: @jobs.flat_map(&:rules).uniq, also: also.flat_map(&:rules).uniq,
          among: @among)
      end

      # The whole as an Edits::Edit of the document.
      def edit
        @bare ? Edits::Several.new([@bare, @mends]) : @mends
      end

      # What is done after the text was made bare, where that was asked for.
      def plan
        @mends.plan(bared)
      end

      # {job's name => places that are clean now}
      def done
        was, is = [plan.first_check, plan.last_check].map { |check| by_job(check).transform_values(&:size) }
        {**bare, **was.to_h { |job, count| [job, count - is.fetch(job, 0)] }}.select { |_, count| count.positive? }
      end

      # [{job:, count:, why:}, …] of what is left, also: true where it could be done all the same.
      def left
        plan.left_by { |finding| {job: job(finding, plan.after).name} }
      end

      private

      def bared
        @bared ||= @bare ? @bare.change(@document) : @document
      end

      def bare
        changed = @document.everything.zip(bared.everything).count { |was, now| !was.equal?(now) }
        {"bare_text" => changed}
      end

      def by_job(check)
        rules = @jobs.flat_map(&:rules)
        check.findings.select { |finding| rules.include?(finding.rule) && in?(finding.paragraph) }
          .group_by { |finding| job(finding, check.document).name }
      end

      # What is set on a paragraph as a whole is one job, what is set on words alone another.
      def job(finding, document)
        fitting = JOBS.select { |job| job.rules.include?(finding.rule) }
        return fitting.first if fitting.one?
        document.paragraph(finding.paragraph).direct.empty? ? fitting.last : fitting.first
      end

      def in?(id)
        @chosen ||= @among&.to_h { |one| [one, true] } || {}
        @among.nil? || @chosen.key?(id)
      end

      # Ids of the paragraphs that it is for, the blank ones among them; nil for all.
      def among(names)
        direct = Guide::Sweep.jobs(%w[direct words]) & @jobs
        return unless names || direct.one?
        chosen = Portion.new(@document, roles: names, styles: names).ids || @document.working.map(&:id)
        return chosen unless direct.one?
        @document.working.select { |one| of_job?(one, direct.first) }.map(&:id) & chosen
      end

      def of_job?(paragraph, job)
        paragraph.by_style_alone? || (job.short == "direct") == !paragraph.direct.empty?
      end
    end
  end
end
