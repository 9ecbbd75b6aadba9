# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Where sections begin: the master page and the number that the style of their first paragraph names
      # (ISO/IEC 26300-1 16.27.15 style:master-page-name, 20.326 style:page-number).
      class PageStarts
        # Parts that were changed.
        attr_reader :touched

        # made: the elements of new paragraphs by their ids
        def initialize(document, original, reader, automatic, made)
          @document = document
          @original = original
          @reader = reader
          @automatic = automatic
          @made = made
          @touched = []
        end

        # Moves them where the paragraph that a section began with is gone, or another.
        def move
          return if @document.paragraphs.equal?(@original.paragraphs)
          @reader.text.page_starts.each do |number, name, page|
            at = @document.sections.index { |section| section.source == number - 1 } or next goes_on(number)
            was, now = first_of(@original, number), first_of(@document, at + 1)
            next if now.nil? || was.nil? || was.id == now.id
            start(at + 1, name, page)
            unset(was) if @document.include?(was.id)
          end
        end

        # Puts the beginning of a section on its first paragraph.
        def start(number, name, page)
          paragraph = first_of(@document, number) or return
          restyled(paragraph) do |part, style|
            part.set(style, "style:master-page-name", name)
            holder = part.child(style, "style:paragraph-properties")
            next if page.nil? && holder.nil?
            holder ||= style.prepend_child(part.create("style:paragraph-properties"))
            page ? part.set(holder, "style:page-number", page) : part.unset(holder, "style:page-number")
          end
        end

        private

        # Where a section began that was joined to the one before, none begins now.
        def goes_on(number)
          was = first_of(@original, number)
          unset(@document.paragraph(was.id)) if was && @document.include?(was.id)
        end

        def first_of(document, number)
          (@firsts ||= {}.compare_by_identity)[document] ||= document.paragraphs.select { |one| one.container.nil? }
            .group_by(&:section).transform_values(&:first)
          @firsts[document][number]
        end

        def unset(paragraph)
          restyled(paragraph) do |part, style|
            part.unset(style, "style:master-page-name")
            holder = part.child(style, "style:paragraph-properties") and part.unset(holder, "style:page-number")
          end
        end

        def restyled(paragraph)
          part = @reader.package.content
          node = element(paragraph) or return
          style = @reader.package.section(part, "office:automatic-styles").element_children.find do |one|
            part.attr(one, "style:family") == "paragraph" &&
              part.attr(one, "style:name") == part.attr(node, "text:style-name")
          end
          parent = style ? part.attr(style, "style:parent-style-name") : part.attr(node, "text:style-name")
          name = @automatic[part].paragraph(style, parent) { |made| yield(part, made) }
          name ? part.set(node, "text:style-name", name) : part.unset(node, "text:style-name")
          @touched << part
        end

        def element(paragraph)
          paragraph.source ? @reader.text.nodes.paragraphs[paragraph.source] : @made[paragraph.id]
        end
      end
    end
  end
end
