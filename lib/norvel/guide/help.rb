# frozen_string_literal: true

require "yaml"

module Norvel
  class Guide
    # Help on rules, in plain words.
    module Help
      # rule: its name; title; means, why, how: sentences
      Page = Value.define(:rule, :title, :means, :why, :how)
      TEXTS = YAML.safe_load_file(File.join(__dir__, "help.yml")).freeze

      module_function

      # The Page of a rule, from its most exact pattern; nil for no rule.
      #   Guide::Help.of("page.size").title # => "The size of the sheets"
      def of(rule)
        pattern = Guide.most_exact(TEXTS.keys.select { |name| File.fnmatch(name, rule) }) or return
        return if pattern.include?("*") && !Rules.names.include?(rule) && !TEXTS.key?(rule)
        words = about(rule)
        Page.new(rule:, **TEXTS[pattern].to_h { |key, text| [key.to_sym, capital(format(text, **words))] })
      end

      # All pages, a pattern as a page of its own: [Page, …]
      def all
        TEXTS.keys.map { |name| of(name) }
      end

      # What a rule of a kind of paragraph is about, in words.
      def about(rule)
        role, name = rule[/\Arole\.(\w+)\./, 1], rule[/\w+\z/]
        property = Styles::Properties[name].label if name && Styles::Properties.key?(name)
        {kind: role ? Survey::Roles.words(role) : "a kind of paragraph", property: property || "a value"}
      end

      def capital(text)
        "#{text[0].upcase}#{text[1..]}"
      end

      private_class_method :about, :capital
    end
  end
end
