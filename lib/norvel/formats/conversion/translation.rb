# frozen_string_literal: true

module Norvel
  module Formats
    # A document in the terms of another format: its styles under the names and ids that are usual there, values in the
    # slots that it has, and every paragraph and word looking as it did by that format's own rules of how levels
    # combine. What stands in the text is the same.
    class Translation
      STRUCTURE = %i[outline_level list_id list_level list_continues tabs].freeze
      # Slots that say a property in a way of one format alone.
      OWN = (Styles::Properties.all.select(&:part_of).map(&:name) -
        %i[list_id list_level list_continues size_complex bold_complex italic_complex]) +
        %i[others_paragraph others_run]

      # target: a Format
      def initialize(document, target)
        @document = document
        @target = target
        @terms = target.terms
      end

      # The document in the terms of the other format.
      def document
        return @document if @document.format == @target.name || @document.conventions == @target.conventions
        @document = Hyphenated.told(@document, @target.conventions)
        @came = renamed
        bare = @came.with(format: @target.name, conventions: @target.conventions, styles: named_sheet,
          numbering:)
        settled = bare.with(styles: settled_sheet(bare))
        fitting = Edits::Fitting.new(@came, settled)
        everything = broken(@came.everything).map { |paragraph| paragraph(aligned(paragraph), fitting) }
        settled.with_everything(everything).with(tables:)
      end

      private

      # Where the other format has no break after a paragraph, the next begins a page.
      def broken(paragraphs)
        return paragraphs if @terms.slots(:paragraph).include?(:page_break_after)
        breaking = false
        paragraphs.map do |paragraph|
          begins, breaking = breaking, @came.look(paragraph)[:page_break_after]
          begins ? paragraph.with(direct: paragraph.direct.merge(page_break_before: true)) : paragraph
        end
      end

      # Where the other format has no lines of their own for formulas, their paragraph is aligned as they were.
      def aligned(paragraph)
        return paragraph if paragraph.plain? || @terms.formula_lines?
        own = paragraph.equations.values.flatten.find(&:display)
        own ? paragraph.with(direct: paragraph.direct.merge(align: own.align)) : paragraph
      end

      def styles
        @styles ||= @document.styles.by_id.values
          .select { |style| @terms.types.include?(style.type) && @terms.keeps?(style) }
      end

      # {old id => new id}
      def ids
        @ids ||= begin
          taken = {}
          styles.to_h do |style|
            id = @terms.id(name(style), style, taken)
            taken[id.downcase] = true
            [style.id, id]
          end
        end
      end

      # The document as it is with the other ids.
      def renamed
        sheet = @document.styles.with(styles: @document.styles.by_id.values.to_h { |style|
          made = style.with(id: to(style.id), based_on: to(style.based_on), next_id: to(style.next_id),
            link: to(style.link))
          [made.id, made]
        })
        @document.with(styles: sheet, numbering:).with_everything(@document.everything.map { |one| repointed(one) })
      end

      def repointed(paragraph)
        runs = paragraph.runs.map { |run| run.style_id ? run.with(style_id: to(run.style_id)) : run }
        paragraph.with(style_id: to(paragraph.style_id), runs: runs.freeze)
      end

      def to(id)
        ids.fetch(id, id)
      end

      # What people call it there. A name that two kinds of style share is told apart where names must be unique.
      def name(style)
        @names ||= names
        @names[style.id]
      end

      def names
        taken = {}
        styles.to_h do |style|
          wanted = @terms.name(Styles::Equivalents::NAMES, style.name, style.default && style.paragraph?)
          found = [wanted, "#{wanted} Char", *(2..99).map { |number| "#{wanted} #{number}" }]
            .find { |one| !taken[[@terms.shared_names? || style.type, one.downcase]] }
          taken[[@terms.shared_names? || style.type, found.downcase]] = true
          [style.id, found]
        end
      end

      def named_sheet
        made = styles.map do |style|
          Styles::Style.new(id: ids[style.id], name: name(style), type: style.type, based_on: ids[style.based_on],
            next_id: ids[style.next_id], link: (ids[style.link] if @terms.linked?),
            paragraph: set(style.paragraph, :paragraph), run: set(style.run, :run), default: style.default,
            priority: style.priority, hidden: style.hidden, custom: !Styles::BuiltIn.name?(name(style)), bands: [1, 1])
        end
        paragraph, run = %i[paragraph run].map do |place|
          Styles::PropertySet.of(unsaid(place)).merge(set(@document.styles.defaults(place), place))
        end
        Styles::StyleSheet.new(styles: @terms.defaults(made).to_h { |style| [style.id, style] },
          paragraph_defaults: paragraph, run_defaults: run)
      end

      # What a format means by saying nothing is said.
      def unsaid(place)
        {paragraph: {widow_control: true}, run: {size: Styles::Properties[:size].default,
                                                 font: Styles::Properties[:font].default}}.fetch(place)
      end

      # A set without the slots of its format; lengths that follow another are settled by what is seen.
      def set(set, place)
        names = @terms.slots(place)
        values = set.values.select { |slot, value| names.include?(slot) && !Length.share?(value) }
        Styles::PropertySet.of(values)
      end

      # Every style looks as it did, the bases first, those that stand on as many at once.
      def settled_sheet(bare)
        levels = styles.select(&:paragraph?).group_by { |style| @document.styles.chain(style).size }.sort.map(&:last)
        levels.inject(bare.styles) do |sheet, level|
          now = bare.with(styles: sheet)
          made = level.to_h { |style| [ids[style.id], settled(now, sheet[ids[style.id]], @came.styles[ids[style.id]])] }
          sheet.with(styles: sheet.by_id.merge(made))
        end
      end

      def settled(now, style, was)
        %i[paragraph run].inject(style) do |made, place|
          seen = @came.cascade.of_style(was, place)
          look = now.cascade.of_style(style, place)
          names = seen.differences(look, place).map(&:name) - %i[list outline_level]
          changed = names.inject(made.set(place)) { |set, name| Edits::Setting.put(set, name, seen[name], look) }
          made.with(place => changed)
        end
      end

      def paragraph(was, fitting)
        fitted = fitting.fit(whole(was), known(was.style_id))
        level = was.direct.slice(:outline_level)
        runs = fitted.runs.map do |run|
          run.with(style_id: known(run.style_id), direct: set(run.direct, :run), source: nil)
        end
        direct = without_marker(fitted, fitted.direct.merge(level), fitting)
        fitted.with(direct: set(direct, :paragraph), mark: set(fitted.mark, :run), runs: runs.freeze, table: nil,
          source: nil)
      end

      # What goes on in an entry of a list without a marker of its own is in no list where a format can't say that; it
      # stands where it stood.
      def without_marker(paragraph, direct, fitting)
        return direct if !direct.key?(:list_continues) || @terms.slots(:paragraph).include?(:list_continues)
        bare = direct.without(:list_continues, :list_level).merge(list_id: 0)
        seen = fitting.after.look(paragraph)
        look = fitting.after.look(paragraph.with(direct: bare))
        %i[indent_left first_line].inject(bare) { |set, name| Edits::Setting.put(set, name, seen[name], look) }
      end

      # An id that names a style, else nil.
      def known(id)
        id if (@known ||= ids.invert).key?(id)
      end

      # Without lengths that follow others: they are what they are.
      def whole(paragraph)
        runs = paragraph.runs.map do |run|
          direct = settled_set(run.direct) { @came.run_look(run, paragraph) }
          direct.equal?(run.direct) ? run : run.with(direct:)
        end
        paragraph.with(direct: settled_set(paragraph.direct) { @came.look(paragraph) }, runs: runs.freeze,
          mark: settled_set(paragraph.mark) { @came.run_look(Document::Run.new("", nil, paragraph.mark), paragraph) })
      end

      def settled_set(set)
        shares = set.values.select { |_, value| Length.share?(value) }
        shares.empty? ? set : set.merge(yield.values.slice(*shares.keys))
      end

      def tables
        @document.tables.map { |table| table.with(style_id: nil) }.freeze
      end

      def numbering
        @numbering ||= begin
          names = @terms.definition_ids(@document.numbering.definitions.keys)
          definitions = @document.numbering.definitions.to_h do |id, definition|
            levels = definition.levels.to_h { |number, level| [number, level(level, bound_to(id, number))] }
            [names[id], definition.with(levels:, style_id: ids[definition.style_id])]
          end
          lists = @document.numbering.lists.transform_values do |list|
            Document::Numbering::List.new(names[list.definition_id], list.starts,
              list.overrides.transform_values { |level| level(level, level.style_id) })
          end
          Document::Numbering.new(definitions, lists)
        end
      end

      def level(level, style_id)
        level.with(style_id: ids[style_id], paragraph: set(level.paragraph, :paragraph), run: set(level.run, :run))
      end

      # The style that a level numbers: as it says, or the heading style that is at this level of it.
      def bound_to(definition_id, number)
        own = @document.numbering.definitions[definition_id].levels[number].style_id and return own
        @document.styles.by_id.values.find { |style|
          style.paragraph? && style.paragraph[:outline_level] == number + 1 && style.paragraph[:list_level] == number &&
            @document.numbering.list(style.paragraph[:list_id])&.definition_id == definition_id
        }&.id
      end
    end
  end
end
