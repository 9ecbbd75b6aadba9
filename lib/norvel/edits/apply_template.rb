# frozen_string_literal: true

module Norvel
  module Edits
    # Dresses a document in the styles of a template, and in its page set-up when asked. Styles are matched by name, then by the
    # role their name gives; a matched style takes over the template's definition, the others of the template are added. What the
    # template says in its document defaults is said by its root styles here, since defaults of the document reach all text.
    class ApplyTemplate < StyleEdit
      # What a template does to a document's styles: pairs of [style, template's style], added and unmatched styles.
      Match = Struct.new(:pairs, :added, :unmatched)

      # template: a Document; page: take its page set-up too; numbering: and the lists of its styles; chosen: {style id => template's
      # style name} for styles without partner; only: names of the template's styles to take, nil for all
      def initialize(template, page: false, numbering: false, chosen: {}, only: nil, name: nil)
        @template = template
        @page = page
        @numbering = numbering
        @only = only
        @chosen = chosen
        @name = name || template.name
      end

      def change(document)
        document = with_chosen(document)
        @lists, @definitions, @taken = {}, {}, document.numbering
        document = with_sheet(document, dressed(document)).with(numbering: @taken)
        @page ? with_page(document) : document
      end

      def title(_document)
        @only ? "Take #{count(@only.size, "style")} from the template #{@name}" : "Dress in the template #{@name}#{" with its page set-up" if @page}"
      end

      def match(document)
        theirs = @template.sheet.styles.values.select { |style| (style.paragraph? || style.character?) && (@only.nil? || @only.include?(style.name)) }
        pairs = theirs.filter_map { |style| (own = partner(document, style)) && [own, style] }
        own = document.sheet.styles.values.select { |style| style.paragraph? && !document.uses[style.id].zero? }
        Match.new(pairs, theirs - pairs.map(&:last), own - pairs.map(&:first))
      end

      private

      def partner(document, style)
        document.sheet.named(style.name, style.type) || ((style.default && document.sheet.default(style.type)) || nil)
      end

      # Styles that have no partner hand their paragraphs to the one that was chosen for them.
      def with_chosen(document)
        @chosen.inject(document) do |now, (id, name)|
          style = @template.sheet.named(name.to_s, "paragraph") or next now
          target = now.sheet.named(style.name, "paragraph")
          now = now.with(sheet: now.sheet.put(Styles::Style.new(id: now.sheet.free_id(style.name), name: style.name))) unless target
          repoint(now, id, now.sheet.named(style.name, "paragraph").id)
        end
      end

      def dressed(document)
        ids = {}
        taken = document.sheet.styles.dup
        found = match(document)
        found.pairs.each { |own, style| ids[style.id] = own.id }
        found.added.each do |style|
          ids[style.id] = Styles::StyleSheet.new(styles: taken.dup).free_id(style.name)
          taken[ids[style.id]] = nil
        end
        found.pairs.each { |own, style| taken[own.id] = own.with(**definition(document, style, ids)) }
        found.added.each { |style| taken[ids[style.id]] = style.with(id: ids[style.id], default: false, source: nil, **definition(document, style, ids)) }
        taken
      end

      def definition(document, style, ids)
        root = @template.sheet.chain(style).size == 1
        values = %i[paragraph run].to_h { |place| [place, (root && style.paragraph?) ? with_defaults(document, style, place) : style.set(place)] }
        {based_on: ids[style.based_on] || known(document, style.based_on), next_id: ids[style.next_id] || known(document, style.next_id), link: nil, paragraph: listed(values[:paragraph], ids), run: values[:run]}
      end

      # A style that was not taken along is meant by its name here.
      def known(document, id)
        style = @template.sheet[id] and document.sheet.named(style.name, style.type)&.id
      end

      # The style's list under a new id, or none.
      def listed(set, ids)
        list = @template.numbering.list(set[:list_id]) if @numbering && set[:list_id]
        return set.without(:list_id, :list_level) unless list
        set.merge(list_id: @lists[set[:list_id]] ||= taken_list(list, ids))
      end

      def taken_list(list, ids)
        @definitions[list.definition_id] ||= begin
          levels = @template.numbering.definitions[list.definition_id].levels.transform_values { |level| level.with(style_id: ids[level.style_id]) }
          @taken, id = @taken.define(Document::Numbering::Definition.new(levels))
          id
        end
        @taken, id = @taken.with(Document::Numbering::List.new(@definitions[list.definition_id], list.starts, list.overrides))
        id
      end

      # The template's defaults under a root style, and what the document's defaults would add to it taken back.
      def with_defaults(document, style, place)
        field = (place == :paragraph) ? :paragraph_defaults : :run_defaults
        theirs, ours = @template.sheet.public_send(field), document.sheet.public_send(field)
        plain = ours.keys.reject { |slot| theirs.key?(slot) }.filter_map { |slot| (default = Styles::Properties[slot].default).nil? ? nil : [slot, default] }.to_h
        Styles::PropertySet.of(plain).merge(theirs).merge(style.set(place)).without(:language)
      end

      def with_page(document)
        page = @template.sections.first.to_h.slice(:width, :height, :margin_top, :margin_bottom, :margin_left, :margin_right)
        document.with(sections: document.sections.map { |section| section.landscape? ? section : section.with(**page) }.freeze)
      end
    end
  end
end
