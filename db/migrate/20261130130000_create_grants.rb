# frozen_string_literal: true

# What a person says of findings: exceptions that are granted in one document, and notes of their own; and how many
# findings were open after a change.
class CreateGrants < ActiveRecord::Migration[7.1]
  def change
    create_table :grants do |t|
      t.references :manuscript, null: false, index: true
      t.string :rule, null: false
      t.text :where, null: false # JSON: {"paragraph": 4, "found": "9 pt"}
      t.text :because, null: false
      t.string :by
      t.string :on, null: false
      t.datetime :created_at, null: false
    end

    create_table :remarks do |t|
      t.references :manuscript, null: false, index: true
      t.string :rule, null: false
      t.integer :paragraph # nil for one about the document
      t.text :text, null: false
      t.datetime :created_at, null: false
    end

    add_column :ledger_entries, :open_findings, :integer
  end
end
