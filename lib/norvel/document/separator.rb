# frozen_string_literal: true

module Norvel
  class Document
    # What parts a line without being text, so that each kind is told apart where pieces are walked (Run#pieces).
    #   name  "tab", "line", "page", "column", "soft_hyphen", "no_break_hyphen", "no_break_space"
    Separator = Value.define(:name) do
      self::BY_CHARACTER = {
        "\t" => "tab", "\n" => "line", "\f" => "page", "\v" => "column", "\u00AD" => "soft_hyphen",
        "\u2011" => "no_break_hyphen",
        "\u00A0" => "no_break_space"
      }.transform_values { |name| new(name:) }.freeze
    end
  end
end
