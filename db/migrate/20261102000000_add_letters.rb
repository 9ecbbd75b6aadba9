# frozen_string_literal: true

# The letters by which a person puts paragraphs in styles, by style id.
class AddLetters < ActiveRecord::Migration[7.1]
  def change
    add_column :manuscripts, :letters, :text
  end
end
