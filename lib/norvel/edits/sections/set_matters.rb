# frozen_string_literal: true

module Norvel
  module Edits
    # Divides the document into matters: stretches with one page numbering, each a section or more. Where a matter
    # begins within a section, a section begins there; sections that begin within a matter stay, and count on.
    class SetMatters < Edit
      include Dividing

      # paragraph: id of the first of a matter; format: of its labels; start: the number of its first page, nil to count
      # on; shown_first: does its first page show its label? begins: how its first section starts; place: where its
      # labels stand ("bottom_center"), nil for where they do
      Matter = Value.define(:paragraph, :format, :start, :shown_first, :begins, :place, format: "decimal",
        shown_first: true, begins: "next_page")

      # matters: in order; the first begins with the document
      def initialize(matters)
        @matters = matters
      end

      def change(document)
        raise Refused, "A document has at least one matter." if @matters.empty?
        now = @matters.drop(1).inject(document) { |made, matter| divided(made, matter.paragraph) }
        placed(labelled(now))
      end

      def title(_document)
        said = @matters.map do |matter|
          labels = Document::Numerals.write(matter.start || 1, matter.format)
          "#{labels}, …"
        end
        "Number pages #{said.join("; ")}"
      end

      # A page break becomes the end of a section.
      def removes_white_space?
        true
      end

      def changes_heads?(_document)
        @matters.any?(&:place)
      end

      private

      # Labels of each matter where they are to stand.
      def placed(document)
        firsts = @matters.map { |matter| section_of(document, matter) }
        ends = firsts.drop(1).map { |number| number - 1 } << document.sections.size
        @matters.zip(firsts, ends).inject(document) do |made, (matter, first, last)|
          matter.place ? labels_at(made, (first..last).to_a, matter.place) : made
        end
      end

      def labels_at(document, sections, place)
        ways = Running::LabelPlace.new(document, sections).lines(place) or
          raise Refused, "Something else stands at the " \
          "#{place.tr("_", " ")} of section #{sections.first}: say what stands there first."
        ways.inject(document) { |made, (which, lines)| SetRunning.new(sections, lines, which:).change(made) }
      end

      # Each section with the numbering of the matter it belongs to.
      def labelled(document)
        @headed = headed(document)
        opening = @matters.to_h { |matter| [section_of(document, matter), matter] }
        current = nil
        sections = document.sections.each.with_index(1).map do |section, number|
          matter = opening[number]
          current = matter || current
          next section unless current
          matter ? opened(section, matter, number) : section.with(number_format: current.format, number_start: nil)
        end
        document.with(sections: sections.freeze)
      end

      # {number => true} of sections with heads or feet that a first page could be without.
      def headed(document)
        saying = document.stories.select { |one| one.head? && !one.paragraphs.all?(&:blank?) }
          .to_h { |story| [story.id, true] }
        told = document.sections.map { |section| section.heads.values.flat_map(&:values).any? { |id| saying[id] } }
        (1..told.size).to_h { |number| [number, told.first(number).any?] }
      end

      def section_of(document, matter)
        matter.equal?(@matters.first) ? 1 : document.paragraph(matter.paragraph).section
      end

      def opened(section, matter, number)
        section.with(number_format: matter.format, number_start: matter.start,
          title_page: (!matter.shown_first && @headed[number]) || kept_first?(section),
          starts: (number == 1) ? section.starts : matter.begins)
      end

      # A first page that has a head or foot of its own keeps it.
      def kept_first?(section)
        section.title_page && section.heads.each_value.any? { |which| which[:first] }
      end
    end
  end
end
