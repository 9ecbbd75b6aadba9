# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # Title, author and language: office:meta (ISO/IEC 26300-1 4.3). The author is who began it; dc:creator is who
      # changed it last.
      module Information
        FIELDS = {title: "dc:title", author: "meta:initial-creator", subject: "dc:subject", language: "dc:language"}
          .freeze
        KEYWORD = "meta:keyword"

        module_function

        # {title:, author:, …} of meta.xml, nil where it says none.
        def read(part)
          meta = part&.child(part.root, "office:meta")
          found = FIELDS.transform_values { |name| text(part, meta, name) }
          found[:author] ||= text(part, meta, "dc:creator")
          words = part ? part.children(meta, KEYWORD).map { |node| node.content.strip } : []
          found.merge(keywords: (words.join(", ") unless words.empty?))
        end

        def text(part, meta, name)
          said = meta && part.child(meta, name)&.content.to_s.strip
          said unless said.nil? || said.empty?
        end

        # Writes what differs between two infos.
        def write(part, meta, was, now)
          FIELDS.each { |field, name| say(part, meta, name, now[field]) unless was[field] == now[field] }
          return if was[:keywords] == now[:keywords]
          part.children(meta, KEYWORD).each(&:remove)
          now[:keywords].to_s.split(/\s*,\s*/).each { |word| say_another(part, meta, word) }
        end

        def say(part, meta, name, text)
          return part.child(meta, name)&.remove unless text
          part.place(meta, name).content = text
        end

        def say_another(part, meta, word)
          meta.add_child(part.create(KEYWORD)).content = word
        end

        private_class_method :text, :say, :say_another
      end
    end
  end
end
