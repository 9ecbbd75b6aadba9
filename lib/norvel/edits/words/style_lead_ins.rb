# frozen_string_literal: true

module Norvel
  module Edits
    # Puts lead-ins in a character style that looks as they do, made where there is none; a style for each look.
    class StyleLeadIns < Edit
      NAME = "Lead-in"

      def initialize(ids)
        @ids = ids
      end

      def change(document)
        found(document).group_by(&:look).inject(document) do |now, (look, list)|
          now, name = styled(now, look)
          list.inject(now) { |after, one| StyleWords.new(one.paragraph.id, one.range, name).change(after) }
        end
      end

      def title(document)
        "Put the lead-ins of #{count(found(document).size)} in #{NAME}"
      end

      private

      def found(document)
        wanted = @ids.to_h { |id| [id, true] }
        Survey::LeadIns.new(document).all.select { |one| wanted[one.paragraph.id] }
      end

      # [the document with a style of this look, its name]
      def styled(document, look)
        number = (1..).find do |n|
          style = document.styles.named(name(n), "character")
          style.nil? || (document.styles[style.id] && style.run.values.slice(*look.keys) == look)
        end
        return [document, name(number)] if document.styles.named(name(number), "character")
        [DefineStyle.new(name(number), type: "character", values: look).change(document), name(number)]
      end

      def name(number)
        (number == 1) ? NAME : "#{NAME} #{number}"
      end
    end
  end
end
