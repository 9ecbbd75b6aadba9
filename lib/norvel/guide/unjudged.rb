# frozen_string_literal: true

module Norvel
  class Guide
    # Stands for a check that a fault of Norvel's own prevented. It answers what pages ask of a check, with no findings,
    # and has a sentence; it is never met by a guide.
    Unjudged = Struct.new(:guide, :document, :error) do
      # Why it could not be judged, as a sentence.
      def fault
        "This document could not be held against #{guide.name}: Norvel made a mistake of its own (#{error.class}). " \
          "Nothing of the document is lost, and every change can be taken back."
      end

      # Findings, and all that are lists of them: none.
      def findings
        []
      end
      alias_method :groups, :findings
      alias_method :on_document, :findings
      alias_method :rules_asked, :findings
      alias_method :rules_met, :findings
      alias_method :granted, :findings
      alias_method :unchecked, :findings

      # The findings at a paragraph: none.
      def at(_id)
        []
      end
      alias_method :on, :at

      # The role that a paragraph's style gives it.
      def role(paragraph)
        Survey::StyleRoles.role(document, paragraph)
      end

      # Is what it reads as only a suggestion?
      def suggested?(_paragraph)
        false
      end

      # {severity => 0}
      def counts
        Check::SEVERITIES.to_h { |severity| [severity, 0] }
      end

      # Does the document meet the guide? Nobody knows.
      def meets?
        false
      end
    end
  end
end
