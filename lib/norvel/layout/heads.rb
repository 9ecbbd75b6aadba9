# frozen_string_literal: true

module Norvel
  module Layout
    # Running heads and feet: which one a sheet shows, how high it is, and what it says there.
    class Heads
      NOTHING = FieldValues::OnSheet.new({}, ->(_) {})

      def initialize(document, stories)
        @document = document
        @stories = stories
        @heights = {}
      end

      # The Story at head or foot of a sheet, nil for none. kind: "header" or "footer"
      def story(section, kind, opens:, number:)
        told = @document.sections[section - 1]
        which = if told.title_page && opens then "first"
        else
          (@document.settings.even_and_odd && number.even?) ? "even" : "default"
        end
        @document.head(section, kind, which)
      end

      # How high it is, whatever its fields say.
      def height(section, kind, opens:, number:)
        story = story(section, kind, opens:, number:) or return 0.0
        @heights[[story.kind, story.id, section]] ||= begin
          set = column(story, section, NOTHING)
          set.height + after(set)
        end
      end

      # The stories at head and foot of a sheet; a page left blank shows none.
      def stories(sheet)
        return [] if sheet.blank
        %w[header footer].filter_map { |kind| story(sheet.section, kind, opens: sheet.opens, number: sheet.number) }
      end

      # [[story, x, y, Column], …] of a sheet of a Result.
      def on(sheet, result)
        told = @document.sections[sheet.section - 1]
        values = values(sheet, result)
        stories(sheet).map do |story|
          set = column(story, sheet.section, values)
          y = (story.kind == "header") ? told.header : told.height - told.footer - set.height - after(set)
          [story, sheet.frame.left, y, set]
        end
      end

      private

      def column(story, section, values)
        measure = [@document.sections[section - 1].measure, LineBreaker::LEAST].max
        @stories.head(story, measure, values).whole
      end

      def after(column)
        column.pieces.last&.block&.space_after || 0.0
      end

      def values(sheet, result)
        info = {"title" => @document.info[:title], "author" => @document.info[:author]}.compact
          .transform_values { |text| FieldValues::Value.new(nil, text) }
        said = FieldValues.of_sheet(sheet, result).merge(info)
        FieldValues::OnSheet.new(said, ->(wanted) { RunningTitle.new(result).on(sheet, wanted) })
      end
    end
  end
end
