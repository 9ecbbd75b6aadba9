# frozen_string_literal: true

# Documents on the shelf: the file as it came, its state now, and the ledger of what was changed.
class CreateShelf < ActiveRecord::Migration[7.1]
  def change
    create_table :originals do |t|
      t.binary :bytes, null: false
      t.string :digest, null: false
      t.timestamps
    end
    create_table :manuscripts do |t|
      t.references :original, null: false, foreign_key: true
      t.string :title, null: false
      t.string :filename, null: false
      t.string :guide, null: false
      t.binary :head
      t.integer :lock_version, null: false, default: 0
      t.integer :words, null: false, default: 0
      t.integer :paragraphs, null: false, default: 0
      t.integer :must, :should, :advice, :rules_met, :rules_asked
      t.integer :standing_version
      t.timestamps
    end
    create_table :ledger_entries do |t|
      t.references :manuscript, null: false, foreign_key: true
      t.string :title, null: false
      t.integer :touched, null: false, default: 0
      t.boolean :words_changed, null: false, default: false
      t.binary :way_back, null: false
      t.datetime :created_at, null: false
    end
  end
end
