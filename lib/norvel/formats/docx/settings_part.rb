# frozen_string_literal: true

module Norvel
  module Formats
    module Docx
      # The settings part to Settings, and what differs back (ISO/IEC 29500-1 17.15.1).
      module SettingsPart
        FLAGS = {
          mirrored: "mirrorMargins", gutter_at_top: "gutterAtTop", even_and_odd: "evenAndOddHeaders",
          hyphenated: "autoHyphenation"
        }.freeze
        SUMMED = "doNotUseHTMLParagraphAutoSpacing" # spaces add up instead of overlapping (17.15.3.21, common practice)
        EMPTY = Names.empty("settings").freeze
        # Children of CT_Settings in their sequence, as far as places are told by them.
        ORDER = %w[writeProtection view zoom embedTrueTypeFonts embedSystemFonts saveSubsetFonts mirrorMargins
          alignBordersAndEdges gutterAtTop hideSpellingErrors hideGrammaticalErrors proofState
          attachedTemplate linkStyles documentType mailMerge revisionView trackRevisions
          documentProtection autoFormatOverride defaultTabStop autoHyphenation consecutiveHyphenLimit
          hyphenationZone doNotHyphenateCaps showEnvelope summaryLength clickAndTypeStyle
          defaultTableStyle evenAndOddHeaders bookFoldPrinting drawingGridHorizontalSpacing
          characterSpacingControl footnotePr endnotePr compat docVars rsids mathPr themeFontLang
          clrSchemeMapping shapeDefaults decimalSymbol listSeparator].freeze

        module_function

        # The Document::Settings that the part tells; of none the usual.
        def read(part)
          return Document::Settings.new unless part
          flags = FLAGS.transform_values { |name| on?(part, part.root, name) }
          compat = part.child(part.root, "compat")
          stop = part.child(part.root, "defaultTabStop")
          Document::Settings.new(**flags, sum_spaces: compat ? on?(part, compat, SUMMED) : false,
            compatibility: mode(part, compat),
            default_tab_stop: (stop && part.length(part.attr(stop, "val").to_s, "twip")) || 36.0)
        end

        def on?(part, node, name)
          child = part.child(node, name)
          child ? part.on?(child) : false
        end

        def mode(part, compat)
          found = compat && part.children(compat, "compatSetting").find { |node|
            part.attr(node, "name") == "compatibilityMode"
          }
          found && part.attr(found, "val").to_i
        end

        # Writes what differs. What it was written for (compatibility, summed spaces) is a fact of the file that came.
        def write(part, was, now)
          FLAGS.each { |field, name| flag(part, name, now[field]) unless was[field] == now[field] }
          return if was.default_tab_stop == now.default_tab_stop
          part.set(place(part, "defaultTabStop"), "val", Length.whole(now.default_tab_stop, "twip"))
        end

        def flag(part, name, on)
          part.drop(part.root, name)
          place(part, name) if on
        end

        # The child of the root of this name, made at its place in the sequence: before the first that comes after it.
        def place(part, name)
          found = part.child(part.root, name) and return found
          rank = ORDER.index(name)
          following = part.root.element_children.find { |child| (at = ORDER.index(child.name)) && at > rank }
          made = part.create(name)
          following ? following.add_previous_sibling(made) : part.root.add_child(made)
          made
        end

        private_class_method :on?, :mode, :flag, :place
      end
    end
  end
end
