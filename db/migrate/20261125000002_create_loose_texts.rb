# frozen_string_literal: true

# Texts in markup that came without styles: waiting to be dressed, or kept beside the document that was made of them.
class CreateLooseTexts < ActiveRecord::Migration[7.1]
  def change
    create_table :loose_texts do |t|
      t.string :filename, null: false
      t.binary :bytes, null: false
      t.integer :words, null: false
      t.references :manuscript, index: true
      t.timestamps
    end
  end
end
