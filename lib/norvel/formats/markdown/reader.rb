# frozen_string_literal: true

require "commonmarker"
require "date"
require "yaml"

module Norvel
  module Formats
    module Markdown
      # Markdown to Markup::Text: by cmark-gfm, in linear time, to HTML, which is read as any other. Front matter says
      # title, author, date and language.
      class Reader
        FRONT = /\A---\s*\n(.*?\n)(?:---|\.\.\.)\s*\n/m
        MOST_FRONT = 4_000 # letters that front matter may have
        OPTIONS = %i[UNSAFE FOOTNOTES STRIKETHROUGH_DOUBLE_TILDE].freeze # HTML in it is the HTML reader's to judge
        EXTENSIONS = %i[table strikethrough tasklist].freeze
        INFO = {"title" => :title, "author" => :author, "date" => :date, "lang" => :language, "language" => :language,
                "subtitle" => :subtitle}.freeze

        # The Markup::Text of the source.
        def self.text(source)
          new(source).text
        end

        def initialize(source)
          @source = source.delete_prefix("\uFEFF").gsub(/\r\n?/, "\n")
        end

        # The Markup::Text of the source.
        def text
          front = FRONT.match(@source[0, MOST_FRONT])
          body = front ? @source[front.end(0)..] : @source
          read = Html::Reader.fragment(CommonMarker.render_html(body, OPTIONS, EXTENSIONS))
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
