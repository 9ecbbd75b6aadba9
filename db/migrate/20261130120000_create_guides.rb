# frozen_string_literal: true

# Guides that people made: a row an edition, which never changes, so that a document keeps the one it was held against.
class CreateGuides < ActiveRecord::Migration[7.1]
  def change
    create_table :guides do |t|
      t.integer :lineage, index: true # id of its first edition
      t.string :name, null: false
      t.string :origin # what it was made from, in words
      t.text :source, null: false
      t.datetime :created_at, null: false
    end
  end
end
