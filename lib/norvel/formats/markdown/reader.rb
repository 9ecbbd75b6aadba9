# frozen_string_literal: true

require "kramdown"
require "kramdown-parser-gfm"
require "date"
require "yaml"

module Norvel
  module Formats
    module Markdown
      # Markdown to Markup::Text: by kramdown to HTML, which is read as any other. Front matter says title, author, date
      # and language.
      class Reader
        FRONT = /\A---\s*\n(.*?\n)(?:---|\.\.\.)\s*\n/m
        OPTIONS = {input: "GFM", hard_wrap: false, auto_ids: false, smart_quotes: "apos,apos,quot,quot",
                   syntax_highlighter: nil, math_engine: nil, html_to_native: false, typographic_symbols:
                     {hellip: "...", mdash: "---", ndash: "--", laquo: "<<", raquo: ">>", laquo_space: "<< ",
                      raquo_space: " >>"}}.freeze
        INFO = {"title" => :title, "author" => :author, "date" => :date, "lang" => :language, "language" => :language,
                "subtitle" => :subtitle}.freeze

        def self.text(source)
          new(source).text
        end

        def initialize(source)
          @source = source.delete_prefix("\uFEFF").gsub(/\r\n?/, "\n")
        end

        def text
          front = FRONT.match(@source)
          body = front ? front.post_match : @source
          read = Html::Reader.fragment(Kramdown::Document.new(body, OPTIONS).to_html)
          read.with(info: front ? info(front[1]) : {})
        end

        private

        # Only what is told in plain words; anything else in it is no matter of the text.
        def info(yaml)
          said = YAML.safe_load(yaml, permitted_classes: [Date, Time])
          return {} unless said.is_a?(Hash)
          said.filter_map { |key, value|
            field = INFO[key.to_s.downcase]
            text = value.is_a?(Array) ? value.join(", ") : value.to_s
            [field, Characters.legal(text).strip] if field && !text.strip.empty?
          }.to_h
        rescue Psych::Exception
          {}
        end
      end
    end
  end
end
