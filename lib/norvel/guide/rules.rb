# frozen_string_literal: true

module Norvel
  class Guide
    # The families of rules, one class each: given a Check they return findings. Each says what its rules are in RULES.
    module Rules
      ALL = [PageRules, PaginationRules, BlankPageRules, MatterRules, RunningRules, PartRules, PartLanguageRules,
        CountRules, ContentsRules, CaptionRules, NumberRules, CaseRules, EndMarkRules, EmphasisRules,
        ParagraphBreakRules, NoteRules, RoleRules, HeadingRules, HeadingNumberRules, ListRules, FontRules, LookRules,
        BlankRules, CleanRules, LineBreakRules, TypedListRules, DefinitionRules, PageStartRules, NearMissRules,
        LeadInRules, CapitalRules, TableRules, PlaceholderRules, UnusedStyleRules, DoubledStyleRules, DirectRules,
        AccessibleRules, ContrastRules, LinkRules, ConsistentRules].freeze

      # Does a pattern of names fit a rule, or could it?
      def self.fits?(pattern)
        names.any? { |name| File.fnmatch(pattern, name) || (name.include?("*") && File.fnmatch(name, pattern)) }
      end

      # Every name of a rule; those of properties and of consistency written out.
      def self.names
        @names ||= ALL.flat_map { |family| family::RULES.map(&:name) }.flat_map { |name| written_out(name) }.freeze
      end

      # The names that a name with a star stands for.
      def self.written_out(name)
        return [name] unless name.include?("*")
        return ROLES.map { |role| name.sub("*", role) } if name.start_with?("role.*.")
        return %w[top bottom left right].map { |side| name.sub("*", side) } if name.start_with?("page")
        properties = %i[paragraph run].flat_map { |place| Styles::Properties.public_on(place) }.map(&:name)
        return properties.map { |property| name.sub("*", property.to_s) } unless name == "role.*"
        ROLES.product(properties).map { |role, property| "role.#{role}.#{property}" }
      end
      private_class_method :written_out

      # The Rule of this name: the first that covers it.
      def self.[](name)
        (@known ||= {})[name] ||= ALL.lazy.flat_map { |family| family::RULES }.find { |rule| rule.covers?(name) } or
          raise KeyError, "no family declares the rule #{name}"
      end
    end
  end
end
