# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # One OpenDocument text with the text of another in it: Docx::Joining for this format. Automatic styles, places,
      # notes and pictures of the other get names that nothing had before (ISO/IEC 26300-1 3.15.3, 19.847, 19.914).
      class Joining
        # What stands before all text, and is told of once for the whole.
        DECLARED = %w[tracked-changes variable-decls sequence-decls user-field-decls].freeze
        BEFORE = [*DECLARED, "forms", "dde-connection-decls", "alphabetical-index-auto-mark-file"].freeze

        # As Docx::Joining has them.
        def initialize(base, text, from: nil, till: nil, apart: false)
          @base, @text = [base, text].map { |one| reader(one) }
          @styles = JoiningStyles.new(@base, @text)
          @names = JoiningNames.new(@base, @text)
          @place = JoiningPlace.new(@base, from:, till:)
          @pages = JoiningPages.new(@base, @text, @place.section)
          @apart = apart
        end

        # The bytes of the file that holds both.
        def bytes
          before, nodes = body.partition { |node| BEFORE.include?(node.name) }
          @names.rename(before + nodes)
          @styles.rename(nodes)
          begin_with(nodes.first) if %w[p h].include?(nodes.first&.name)
          take_in_styles
          declare(before)
          take_in_forms(before)
          @place.put(nodes)
          resume if @pages.ends_across? && @place.following
          faces
          package.packed([package.content, package.styles, @names.manifest].compact, files: @names.files)
        end

        private

        def reader(document)
          Reader.new(Package.new(document.source), name: document.name, keep_nodes: true).tap(&:document)
        end

        def package
          @base.package
        end

        def body
          @text.package.text.element_children.to_a
        end

        def take_in_styles
          @styles.automatic.each { |node| @pages.settle(node) }
          @styles.common.each { |node| @pages.settle(node) }
          automatic = package.section(package.content, "office:automatic-styles")
          @styles.automatic.each { |node| automatic.add_child(node) }
          common = package.section(package.styles, "office:styles")
          @styles.common.each { |node| common.add_child(node) }
        end

        # The first paragraph begins the pages that the place began, or a page of its own.
        def begin_with(paragraph)
          part = @text.package.content
          style = @styles.of_its_own(paragraph)
          @pages.begin_with(style, @place.begins?)
          return if part.attr(style, "style:master-page-name") || !@apart
          part.set(part.place(style, "style:paragraph-properties"), "fo:break-before", "page")
        end

        # What stays after a text whose last sheets lie across stands on those of the place again.
        def resume
          PageBegin.put(package, @place.following, @pages.name)
        end

        # Names that the text counts by, once; what was changed in it.
        def declare(before)
          here = package.content
          before.select { |node| DECLARED.include?(node.name) }.each do |holder|
            own = here.child(package.text, "text:#{holder.name}")
            next package.text.prepend_child(holder) unless own
            known = own.element_children.filter_map { |node| here.attr(node, "text:name") }
            holder.element_children.each do |node|
              own.add_child(node) unless known.include?(@text.package.content.attr(node, "text:name"))
            end
          end
        end

        # The forms whose controls stand in the text (ISO/IEC 26300-1 13.1), beside those there are.
        def take_in_forms(before)
          forms = before.find { |node| node.name == "forms" } or return
          own = package.content.child(package.text, "office:forms") or return package.text.prepend_child(forms)
          forms.element_children.each { |form| own.add_child(form) }
        end

        # Fonts are told of in both parts.
        def faces
          [[package.content, @text.package.content], [package.styles, @text.package.styles]].each do |here, there|
            theirs = there&.child(there.root, "office:font-face-decls") or next
            own = package.section(here, "office:font-face-decls")
            known = own.element_children.map { |node| here.attr(node, "style:name") }
            theirs.element_children.each do |node|
              own.add_child(node.dup) unless known.include?(there.attr(node, "style:name"))
            end
          end
        end
      end
    end
  end
end
