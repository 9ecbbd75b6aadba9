# frozen_string_literal: true

# A document may be held against no guide, and may have a template whose styles it takes when they are first used.
class LetGuidesBeChosen < ActiveRecord::Migration[7.1]
  def change
    %i[manuscripts arrivals].each do |table|
      change_column_null table, :guide, true
      add_column table, :template, :string
    end
  end
end
