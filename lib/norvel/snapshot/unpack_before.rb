# frozen_string_literal: true

module Norvel
  module Snapshot
    # What versions 1 and 2 wrote: values without the names of their kinds, runs without what stands in them, images in
    # a list. A run that was read from the file still holds what it held there.
    class UnpackBefore < Unpack
      def paragraph(data, came = @original.paragraphs)
        return came.fetch(data) if data.is_a?(Integer)
        made = super
        was = made.source && came[made.source]
        was ? furnished(made, was) : made
      end

      # Descriptions of images were kept apart from the text.
      def finish(document, others)
        said = (others[:pictures] || []).to_h { |picture| [picture[:id], picture[:description]] }
        changed = document.pictures.select do |picture|
          said.key?(picture.id) && said[picture.id] != picture.description
        end
        return document if changed.empty?
        Edits::DescribePictures.new(changed.to_h { |picture| [picture.id, said[picture.id]] }).change(document)
      end

      def others(data)
        super(data.except(:pictures))
      end

      private

      # With the objects, links and places of the paragraph that came: those of a run go to its pieces in order.
      def furnished(made, was)
        left = was.runs.map { |run| run.objects.dup }
        runs = made.runs.map do |run|
          from = run.source && was.runs[run.source] or next run
          taken = left[run.source].shift(run.text.scan(Document::Run::SIGNS).size)
          Document::Run.new(run.text, run.style_id, run.direct, run.source, (taken.freeze unless taken.empty?),
            from.spans)
        end
        text = runs.map(&:text).join
        Document::Paragraph.new(made.id, made.part, made.section, made.style_id, made.direct, made.mark, runs.freeze,
          made.table,
          made.source, made.holds, was.container, Document::Anchor.moved(was.anchors, was.raw_text, text))
      end

      def other(field, data)
        case field
        when :sections then data.map { |section| section(section) }.freeze
        when :page_styles then data.map { |style| Document::PageStyle.new(**style) }.freeze
        else super
        end
      end

      # A section says here what it was read with beyond what versions 1 and 2 knew.
      def section(data)
        came = @original.sections[data[:source] || 0] || @original.sections.first
        came.with(**data)
      end

      def style(data)
        conditions = data[:conditions].to_h { |name, paragraph, run| [name, [@sets[paragraph], @sets[run]]] }
        Styles::Style.new(**data, paragraph: @sets[data[:paragraph]], run: @sets[data[:run]], conditions:)
      end

      def level(data)
        run = data[:run] ? @sets[data[:run]] : Styles::PropertySet::EMPTY
        Document::ListLevel.new(**data, paragraph: @sets[data[:paragraph]], run:)
      end

      # As version 1 told it, list by list with its levels: those that the file lacks are new ones.
      def numbering(data)
        return super unless data.is_a?(Array)
        data.inject(@original.numbering) do |now, (id, _, levels, starts)|
          next now if now.known?(id)
          now, definition_id = now.define(Document::Numbering::Definition.new(levels(levels)))
          list = Document::Numbering::List.new(definition_id, starts.to_h)
          Document::Numbering.new(now.definitions, now.lists.merge(id => list))
        end
      end
    end
  end
end
