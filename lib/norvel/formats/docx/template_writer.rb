# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # A document's package without its text: styles, page set-up, headers and footers stay, and one sample paragraph of each
      # style shows what it is.
      class TemplateWriter
        def initialize(document)
          @document = document
          @container = Container.new(Docx.write(document))
        end

        def bytes
          package = Package.new(@container)
          main = package.main
          body = main.child(main.root, "body")
          last = main.children(body, "sectPr").last&.unlink
          body.children.each(&:unlink)
          styles.each { |style| body.add_child(sample(main, style)) }
          body.add_child(last) if last
          Archive.write(@container, {main.path => main.bytes})
        end

        private

        def styles
          @document.sheet.styles.values.select { |style| style.paragraph? && (!style.hidden || @document.uses[style.id].positive?) }
        end

        def sample(part, style)
          paragraph = part.create("p")
          part.set(part.place(part.place(paragraph, "pPr"), "pStyle"), "val", style.id)
          run = paragraph.add_child(part.create("r"))
          text = part.create("t")
          text.content = "#{style.name}: this paragraph shows the style."
          run.add_child(text)
          paragraph
        end
      end
    end
  end
end
