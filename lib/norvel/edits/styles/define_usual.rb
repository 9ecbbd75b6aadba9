# frozen_string_literal: true

module Norvel
  module Edits
    # Makes a paragraph style that a document lacks as its pattern says, with the markers of a list where it is a usual
    # one of lists.
    class DefineUsual < StyleEdit
      # pattern: a Pattern; role: what it is for, where that is known
      def initialize(name, pattern: Pattern::PLAIN, role: nil)
        @name = name
        @pattern = pattern
        @role = role
      end

      def change(document)
        values = @pattern.values(document, @name, role: @role)
        values = values.except(:outline_level) if @name.match?(/\Aheading [1-9]\z/i) # its name says it
        with_list(DefineStyle.new(@name, values:, next_id: next_id(document)).change(document))
      end

      def title(_document)
        "Make the style #{@name}"
      end

      private

      # The style that follows it, where the document has that.
      def next_id(document)
        name = Styles::Usual[@name]&.next
        name && document.styles.called(name)&.id
      end

      # None where the list's level is another style's.
      def with_list(document)
        name, form = Styles::Usual[@name]&.list
        return document if name.nil?
        document = DefineListStyle.new(name, form).change(document) unless document.styles.named(name, "numbering")
        list_id = document.styles.named(name, "numbering").paragraph[:list_id]
        taken = document.numbering.level(list_id, 0)&.style_id
        taken ? document : ListOfStyle.new(document.styles.named(@name).id, list_id).change(document)
      end
    end
  end
end
