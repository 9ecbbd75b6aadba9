# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Complex fields while a story is read (ISO/IEC 29500-1 17.16.18): what stands between begin and separate is
      # instruction, what stands after it the result. They nest and span paragraphs, so a field is only known at its
      # end; until then its place in the list of objects is held.
      class FieldReader
        Open = Struct.new(:id, :objects, :place, :instruction, :cached, :result)

        def initialize
          @open = []
          @count = 0
        end

        # Is no field open?
        def none?
          @open.empty?
        end

        # Is what is read now the instruction of a field?
        def instruction?
          @open.any? { |field| !field.result }
        end

        # Where a field begins: its place in the run's list of objects.
        def open(objects)
          objects << nil
          @open << Open.new(@count += 1, objects, objects.size - 1, +"", +"", false)
        end

        # The FieldPart of a piece of instruction, which the field that is open takes.
        def instruct(text)
          @open.last.instruction << text if @open.any? && !@open.last.result
          Document::FieldPart.new(role: "instruction")
        end

        # The FieldPart behind which the result of the field that is open stands.
        def separate
          @open.last.result = true if @open.any?
          Document::FieldPart.new(role: "separator")
        end

        # objects: those of the run that is read now, which may hold the whole field
        def end(objects)
          settle(@open.pop, true, objects) if @open.any?
          Document::FieldPart.new(role: "end")
        end

        # Text that is part of every result that is open.
        def cache(text)
          @open.each { |field| field.cached << text if field.result }
        end

        # The innermost result that words stand in now, or nil.
        def result
          return if @open.empty?
          field = @open.reverse_each.find(&:result)
          field && Document::FieldResult.new(field: field.id)
        end

        # A field of one element.
        def simple(instruction, cached)
          FieldInstructions.field(@count += 1, instruction.to_s, cached)
        end

        # The objects of a run that is read: frozen unless a field in it is still open.
        def settled(objects)
          objects && (objects.include?(nil) ? objects : objects.freeze)
        end

        # At the end of the story: fields that are nowhere closed.
        def close
          settle(@open.pop, false) while @open.any?
        end

        private

        def settle(field, closed, unfinished = nil)
          text = field.cached.freeze if closed
          field.objects[field.place] = FieldInstructions.field(field.id, field.instruction.freeze, text)
          field.objects.freeze unless field.objects.equal?(unfinished) || field.objects.include?(nil)
        end
      end
    end
  end
end
