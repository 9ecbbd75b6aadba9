# frozen_string_literal: true

module Norvel
  module Edits
    # Dresses a document in the styles of a template, and in its page set-up and numbering when asked. Styles are
    # matched by name; a style in use that has no namesake gives its text to the template's style of the role that its
    # text plays. Running text in the file's base style goes in the template's style for it, where that is another.
    # Lists and numbers that the template has no word on stay. A matched style takes over the template's definition,
    # the others of the template are added. What the template says in its document defaults is said by its root styles
    # here, since defaults of the document reach all text.
    class ApplyTemplate < StyleEdit
      # What a template does to a document's styles: pairs of [style, template's style], added styles, and styles in use
      # without a namesake; roles: {style id => [template's style, role]} for those of them that a role matches; text:
      # [ids of running text in the base style, the template's style for it], nil where it stays.
      Match = Struct.new(:pairs, :added, :unmatched, :roles, :text)

      # template: a Document; page: take its page set-up too; numbering: and the lists of its styles; chosen: {style id
      # => template's style name, nil to stay} for styles without namesake, instead of what their role says; only: names
      # of the template's styles to take, nil for all
      def initialize(template, page: false, numbering: false, chosen: {}, only: nil, name: nil)
        @template = template
        @page = page
        @numbering = numbering
        @only = only
        @chosen = chosen
        @name = name || template.name
      end

      def change(document)
        @taken, @lists, @definitions = document.numbering, {}, {}
        text = running_text(document)
        document = with_partners(document)
        document = with_sheet(document, dressed(document)).with(numbering: @taken)
        document = with_text(document, *text) if text
        @page ? with_page(document) : document
      end

      def title(_document)
        return "Take #{count(@only.size, "style")} from the template #{@name}" if @only
        "Dress in the template #{@name}#{" with its page set-up" if @page}"
      end

      # Which style of the template each of the document's becomes: by role, name and choice.
      def match(document)
        pairs = theirs.filter_map { |style| (own = partner(document, style)) && [own, style] }
        unmatched = document.styles.by_id.values.select { |style|
          style.paragraph? && !document.uses[style.id]
            .zero?
        } - pairs.map(&:first)
        Match.new(pairs, theirs - pairs.map(&:last), unmatched, @only ? {} : by_role(document, unmatched),
          running_text(document))
      end

      # What a change of numbers would print otherwise: [[Paragraph, its marker, the one then], …].
      def renumbered(document)
        after = change(document)
        document.paragraphs.filter_map do |paragraph|
          was, now = document.markers[paragraph.id], after.markers[paragraph.id]
          [paragraph, was, now] unless was == now
        end
      end

      private

      # The template's styles that come along.
      def theirs
        kinds = @numbering ? %w[paragraph character numbering] : %w[paragraph character]
        @template.styles.by_id.values.select do |style|
          kinds.include?(style.type) && (@only.nil? || @only.include?(style.name)) &&
            (style.paragraph? || !style.default)
        end
      end

      def partner(document, style)
        document.styles.named(style.name, style.type) || ((style.default && document.styles.default(style.type)) || nil)
      end

      # Running text that stands in the base style, and the template's style for such text where it has one beside its
      # own base style.
      def running_text(document)
        style = @only ? nil : body_style
        base = document.styles.default
        return if style.nil? || base.nil? || document.styles.named(style.name, "paragraph").equal?(base)
        ids = document.paragraphs.select { |one| document.style_of(one).equal?(base) && text?(document, one) }.map(&:id)
        [ids, style] unless ids.empty?
      end

      def text?(document, paragraph)
        Survey.role(document, paragraph) == "body" && Survey.sure?(document, paragraph)
      end

      # The one its own text wears, or of that name where it has no text.
      def body_style
        made = @template.styles.by_id.values.select do |style|
          style.paragraph? && !style.default && Survey::StyleRoles.of_style(@template.styles, style) == "body"
        end
        uses = @template.uses
        worn = made.max_by { |style| uses[style.id] }
        return if worn.nil? || uses[worn.id] < uses[@template.styles.default&.id]
        uses[worn.id].positive? ? worn : made.find { |style| style.name == Survey::Roles["body"].style }
      end

      def with_text(document, ids, style)
        id = document.styles.named(style.name, "paragraph").id
        document.replace(ids.map { |one| document.paragraph(one).with(style_id: id) })
      end

      # The role that most paragraphs of a style play, and the template's style of that role: one made for it before the
      # default.
      def by_role(document, styles)
        offered = Survey::StyleRoles.best(@template)
        played = document.paragraphs.reject(&:blank?).group_by { |paragraph| document.style_of(paragraph)&.id }
        styles.filter_map do |style|
          role = (played[style.id] || []).map { |paragraph| Survey::Suggestions.of(document).role(paragraph.id) }.tally
            .max_by(&:last)&.first
          found = role && offered[role]
          [style.id, [found, role]] if found
        end.to_h
      end

      # Styles without a namesake hand their paragraphs to the one that was chosen for them, or that their role gives.
      def with_partners(document)
        by_role = match(document).roles.transform_values { |style, _| style.name }
        by_role.merge(@chosen).inject(document) do |now, (id, name)|
          style = name && @template.styles.named(name, "paragraph") or next now
          target = now.styles.named(style.name, "paragraph")
          unless target
            fresh = Styles::Style.new(id: now.free_style_id(style.name), name: style.name)
            now = now.with(styles: now.styles.put(fresh))
          end
          repoint(now, id, now.styles.named(style.name, "paragraph").id)
        end
      end

      def dressed(document)
        taken = document.styles.by_id.dup
        found = match(document)
        ids = found.pairs.to_h { |own, style| [style.id, own.id] }
        found.added.each do |style|
          ids[style.id] = document.with(styles: Styles::StyleSheet.new(styles: taken.dup)).free_style_id(style.name)
          taken[ids[style.id]] = nil
        end
        listed = found.pairs.select { |_, style| @numbering && @template.numbering.list(style.paragraph[:list_id]) }
        @taken = listed.inject(@taken) { |now, (own, _)| now.without_style(own.id) }
        found.pairs.each { |own, style| taken[own.id] = own.with(**definition(document, style, ids, own)) }
        found.added.each do |style|
          taken[ids[style.id]] = style.with(id: ids[style.id], default: false, source: nil,
            **definition(document, style, ids, nil))
        end
        taken
      end

      def definition(document, style, ids, own)
        root = @template.styles.chain(style).size == 1
        paragraph, run = %i[paragraph run].map do |place|
          (root && style.paragraph?) ? with_defaults(document, style, place) : style.set(place)
        end
        based_on, next_id = [style.based_on, style.next_id].map { |id| ids[id] || known(document, id) }
        {based_on:, next_id:, link: ids[style.link] || own&.link, paragraph: listed(paragraph, ids, own), run:}
      end

      # A style that was not taken along is meant by its name here.
      def known(document, id)
        style = @template.styles[id] and document.styles.named(style.name, style.type)&.id
      end

      # With the list that the template's style has, under a new id; else with the one that the document's style had.
      def listed(set, ids, own)
        list = @numbering && @template.numbering.list(set[:list_id])
        return set.merge(list_id: @lists[set[:list_id]] ||= taken_list(list, ids)) if list
        set.without(:list_id, :list_level).merge(own ? own.paragraph.slice(:list_id, :list_level) : {})
      end

      def taken_list(list, ids)
        definition = @template.numbering.definitions[list.definition_id]
        definition_id = @definitions[list.definition_id] ||= taken_definition(definition, ids)
        overrides = list.overrides.transform_values { |level| level.with(style_id: ids[level.style_id]) }
        @taken, id = @taken.add(Document::Numbering::List.new(definition_id, list.starts, overrides))
        id
      end

      def taken_definition(definition, ids)
        levels = definition.levels.transform_values { |level| level.with(style_id: ids[level.style_id]) }
        @taken, id = @taken.define(Document::Numbering::Definition.new(levels, ids[definition.style_id]))
        id
      end

      # The template's defaults under a root style, and what the document's defaults would add to it taken back.
      def with_defaults(document, style, place)
        theirs, ours = @template.styles.defaults(place), document.styles.defaults(place)
        plain = (ours.keys - theirs.keys).to_h { |slot| [slot, Styles::Properties[slot].default] }.compact
        Styles::PropertySet.of(plain).merge(theirs).merge(style.set(place)).without(:language)
      end

      def with_page(document)
        page = Document::PageStyle.of(@template.sections.first, nil).set_up.except(:columns)
        added = @template.page_styles.reject { |style| document.page_styles.any? { |own| own.name == style.name } }
        sections = document.sections.map { |section| section.landscape? ? section : section.with(**page) }
        document.with(sections: sections.freeze, page_styles: (document.page_styles + added).freeze)
      end
    end
  end
end
