# frozen_string_literal: true

module Norvel
  class Guide
    # A document held against a guide.
    class Check
      SEVERITIES = %w[must should advice].freeze

      attr_reader :guide, :document

      # A whole check with every finding worked out; Unjudged where a fault of Norvel's own prevents it, so that nobody
      # is locked out of a document by its check. Arguments as for new.
      def self.attempt(guide, document, before: nil, reached: nil, told: nil)
        before = nil if before&.fault
        new(guide, document, before:, reached:, told:).tap(&:findings)
      rescue => error
        Unjudged.new(guide, document, error)
      end

      # +before+: a check of an earlier state of the document; what it found on paragraphs that are still the same is
      # kept. +reached+: ids of the styles whose looks differ between the two states, none when their styles are the
      # same. +told+: is called with how much is judged, from 0 to 1, as it goes
      def initialize(guide, document, before: nil, reached: nil, told: nil)
        @guide = guide
        @document = document
        @reached = reached
        @before = before if before && (reached ? before.guide.signature == guide.signature : before.comparable?(self))
        @settled = {}
        judge(told)
        @before = nil
      end

      # The Check of a later state; only what can have changed is judged anew, and its pages are known where these are.
      def of_later(now)
        reached = now.numbering.equal?(document.numbering) ? Styles.reached(document, now) : nil
        Check.new(guide, laid_out(now), before: self, reached:)
      end

      # The number of the sheet that a finding is seen on, where pages are known: of its paragraph, else of the first
      # of its section.
      def page(finding)
        pages = Layout.pages(document) or return
        return pages.sheet_of(finding.paragraph)&.page if finding.paragraph
        finding.section && pages.sheets.find { |sheet| sheet.section == finding.section }&.page
      end

      # Every Finding: those on the page set-up and the document, then paragraph by paragraph; granted exceptions left
      # out.
      def findings
        @findings ||= on_document + counted(by_paragraph.values.flatten(1))
      end

      # What the guide grants, as Exceptions::Granted, with the findings it takes out of every count.
      def granted
        @granted ||= exceptions.granted((all_on_document + by_paragraph.values.flatten(1)).select(&:exception))
      end

      # What it states and could not be judged, as Unchecked::Entry.
      def unchecked
        @unchecked ||= Unchecked.new(self).entries
      end

      # The findings at the paragraph with this id.
      def at(id)
        counted(by_paragraph.fetch(id, [])) + on_document_at.fetch(id, [])
      end

      # Those that are about the paragraph alone.
      def on(id)
        counted(by_paragraph[id])
      end

      # The same with granted ones.
      def all_on(id)
        by_paragraph[id]
      end

      # Those of them that stay as long as the paragraph does, whatever its style looks like.
      def settled(id)
        @settled[id]
      end

      # Those on the page set-up and the document.
      def on_document
        counted(all_on_document)
      end

      # Would this check have found the same on the same paragraphs?
      def comparable?(other)
        guide.signature == other.guide.signature && document.styles.equal?(other.document.styles) &&
          document.numbering.equal?(other.document.numbering)
      end

      # Findings by cause, worst first, then largest.
      def groups
        @groups ||= findings.group_by(&:cause).values.map { |list| Group.new(list) }.sort_by
          .with_index { |group, index| [SEVERITIES.index(group.severity), -group.size, index] }
      end

      # Findings by severity: {"must" => 3, "should" => 0, "advice" => 12}.
      def counts
        @counts ||= SEVERITIES.to_h { |severity| [severity, findings.count { |f| f.severity == severity }] }
      end

      # Is nothing left that the guide says must be?
      def meets?
        counts["must"].zero?
      end

      # Why it could not be made: of a check that was, nil.
      def fault
      end

      # The rules the guide states, by name, for this document's roles.
      def rules_asked
        @rules_asked ||= Rules::ALL.flat_map { |rule| rule.asked(guide, roles) }.uniq
      end

      # Those that hold: what could not be checked is not met.
      def rules_met
        @rules_met ||= rules_asked - findings.map(&:rule) - unchecked.map(&:rule)
      end

      # The roles that paragraphs play.
      def roles
        @roles ||= document.paragraphs.map { |paragraph| role(paragraph) }.uniq
      end

      # What the paragraph is, settled for this check.
      def role(paragraph)
        settled_roles.role(paragraph)
      end

      # Is that sure enough for a change that nobody looks at?
      def sure?(paragraph)
        settled_roles.sure?(paragraph)
      end

      # How sure it is, from 0 to 1.
      def confidence(paragraph)
        settled_roles[paragraph].confidence
      end

      # The roles of all paragraphs in a style that hold something.
      def roles_in(id)
        @roles_in ||= document.paragraphs.reject(&:blank?).group_by { |paragraph| document.style_of(paragraph)&.id }
          .transform_values { |list| list.map { |paragraph| role(paragraph) } }
        @roles_in.fetch(id, [])
      end

      # The roles of the text that depends on each style, being in it or in one based on it: {style id => [roles]};
      # what stands in heads, feet and notes counts as :beside.
      def wearers
        @wearers ||= begin
          worn = document.paragraphs.group_by { |paragraph| document.style_of(paragraph)&.id }
            .transform_values { |list| list.map { |paragraph| role(paragraph) }.uniq - ["blank"] }
          document.stories.flat_map(&:paragraphs).each { |one| (worn[document.style_of(one)&.id] ||= []) << :beside }
          worn.each_with_object(Hash.new([].freeze)) do |(id, roles), all|
            document.styles.chain(document.styles[id]).each { |style| all[style.id] |= roles }
          end
        end
      end

      # Would a paragraph print another number, or one where it prints none, in the style of this name?
      def renumbers?(paragraph, name)
        style = document.styles.called(name)
        place = document.cascade.list_of(paragraph)
        return !place.nil? && !paragraph.direct[:list_id]&.nonzero? if style.nil?
        bare = Edits::FormattingRemoval.without_list(document.styles, style, paragraph.direct)
        document.cascade.list_of(paragraph.with(style_id: style.id, direct: bare)) != place
      end

      RENUMBERS = "they would print other numbers, or none"

      # Does its style say otherwise, or nothing?
      def suggested?(paragraph)
        @suggested ||= {}
        @suggested.fetch(paragraph.id) do |id|
          @suggested[id] = Survey::StyleRoles.role(document, paragraph) != role(paragraph)
        end
      end

      protected

      def settled_roles
        @settled_roles ||= Survey::SettledRoles.of(document)
      end

      private

      def laid_out(now)
        Layout.of(now, known: Layout.pages(document)) if Layout.pages(document)
        now
      rescue Layout::Defeated
        now
      end

      def families
        @families ||= Rules::ALL.map { |rule| rule.new(self) }
      end

      # Those whose findings follow from looks, and those that stay as long as the paragraph does.
      def looking
        @looking ||= families.partition { |family| family.class.looks? }
      end

      def on_document_at
        @on_document_at ||= on_document.group_by(&:paragraph)
      end

      STEP = 200 # paragraphs between two words of how far it is

      def judge(told)
        all = document.working
        @by_paragraph = all.each_with_index.to_h do |paragraph, done|
          told&.call(done.fdiv(all.size)) if (done % STEP).zero?
          [paragraph.id, found(paragraph)]
        end
      end

      attr_reader :by_paragraph

      # What was found before stays where nothing can have changed it.
      def found(paragraph)
        Thread.pass # one of thousands: who has little to do goes before
        same = same_as_before?(paragraph)
        @settled[paragraph.id] = same ? @before.settled(paragraph.id) : judged(paragraph, looking.last)
        return @before.all_on(paragraph.id) if same && !reached?(paragraph)
        judged(paragraph, looking.first) + @settled[paragraph.id]
      end

      def same_as_before?(paragraph)
        return false unless @before&.document&.same_paragraph?(paragraph)
        was, now = @before.settled_roles, settled_roles
        (was.equal?(now) || was[paragraph] == now[paragraph]) &&
          (same_names? || @before.suggested?(paragraph) == suggested?(paragraph))
      end

      # Are the styles called and based as before, so that they tell the same of what is in them?
      def same_names?
        return @same_names unless @same_names.nil?
        names = [@before.document, document].map do |one|
          one.styles.by_id.transform_values { |style| [style.name, style.based_on] }
        end
        @same_names = names.first <= names.last
      end

      def reached?(paragraph)
        return false unless @reached
        @reached[document.style_of(paragraph)&.id] ||
          paragraph.runs.any? { |run| run.style_id && @reached[run.style_id] }
      end

      def judged(paragraph, families)
        families.flat_map { |family| family.on(paragraph) }.each { |finding| except(finding) }
      end

      def all_on_document
        @all_on_document ||= families.flat_map(&:findings).each { |finding| except(finding) }
      end

      def exceptions
        @exceptions ||= Exceptions.new(self)
      end

      def except(finding)
        finding.exception = exceptions.of(finding) if exceptions.any?
      end

      # Those that no exception was granted for: the very same list where none was.
      def counted(findings)
        exceptions.any? ? findings&.reject(&:exception) : findings
      end
    end
  end
end
