# frozen_string_literal: true

# Guides that people made: a row an edition, which never changes once it is kept, so that a document keeps the one it
# was held against; the newest of a lineage may be one that is still being worked on.
class CreateGuides < ActiveRecord::Migration[7.1]
  def change
    create_table :guides do |t|
      t.integer :lineage, index: true # id of its first edition
      t.string :name, null: false
      t.string :origin # what it was made from, in words
      t.text :source, null: false
      t.boolean :kept, null: false, default: true
      t.datetime :created_at, null: false
    end
  end
end
