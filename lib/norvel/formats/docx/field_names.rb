# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # Fields that name styles: a contents list with styles of its own (TOC \\t "Name,1,Other,2", ISO/IEC 29500-1
      # 17.16.5.68) and the text of the nearest paragraph in a style (STYLEREF "Name", 17.16.5.59). A renamed style is
      # renamed in them.
      module FieldNames
        LISTED = /(?<=\\t\s)\s*"[^"]*"|(?<=\\t\s)\s*\S+/
        REFERRED = /\A(\s*STYLEREF\s+)("[^"]*"|\S+)/i

        module_function

        # names: {old => new}. Returns whether the part was changed.
        def rename(part, names)
          holders(part).count { |holder|
            (now = renamed(holder.content, names)) != holder.content &&
              holder.content = now
          }.positive?
        end

        def holders(part)
          part.root.xpath(".//*[local-name()='instrText'] | .//*[local-name()='fldSimple']/@*[local-name()='instr']")
        end

        # An instruction with the styles that it names by other names.
        def renamed(instruction, names)
          case instruction
          when /\A\s*TOC\b/i then instruction.gsub(LISTED) { |list|
            list.gsub(/[^",;]+/) { |name| names.fetch(name.strip, name) }
          }
          when REFERRED then instruction.sub(REFERRED) { |_| "#{$1}#{quoted($2, names)}" }
          else instruction
          end
        end

        def quoted(name, names)
          (now = names[name.delete("\"")]) ? "\"#{now}\"" : name
        end

        private_class_method :holders, :quoted
      end
    end
  end
end
