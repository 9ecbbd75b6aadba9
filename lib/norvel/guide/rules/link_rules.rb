# frozen_string_literal: true

require "yaml"

module Norvel
  class Guide
    module Rules
      # accessible.link_text: the words of a link say where it leads (WCAG 2.2, 2.4.4): "here" and "click here" don't,
      # since links are read out one after the other. An address that is shown as it is says so itself.
      class LinkRules < Family
        RULE = "accessible.link_text"
        RULES = [Rule.new(name: RULE, goes_by: :paragraph, stage: :text, switch: %w[accessible link_texts])].freeze
        # In six languages (common practice).
        EMPTY = ["here", "click here", "this", "this link", "link", "more", "read more", "hier", "hier klicken", "mehr",
          "dieser link", "ici", "cliquez ici", "lien", "en savoir plus", "aquí", "haga clic aquí", "más", "enlace",
          "aqui", "clique aqui", "mais", "ligação", "qui", "clicca qui", "più", "collegamento"].freeze

        def on(paragraph)
          return [] unless asked?(RULE)
          links(paragraph).filter_map { |words| judged(words, paragraph) }
        end

        private

        # The words of each link that leads out of the document.
        def links(paragraph)
          Document::LinkedWords.of(paragraph).select { |one| one.link.address }.map(&:words)
        end

        def judged(words, paragraph)
          return unless words.empty? || EMPTY.include?(words.downcase.gsub(/[[:punct:]…]/, "").strip)
          finding(RULE, paragraph:, asked: "words that say where it leads",
            message: words.empty? ? "A link has no words" : "The words of a link don't say where it leads",
            found: words.empty? ? "no words" : "“#{words}”", cause: [words.downcase], cite: @guide.accessible["cite"])
        end
      end
    end
  end
end
