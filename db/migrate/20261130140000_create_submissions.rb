# frozen_string_literal: true

# Files handed in to the trial office, with what it answered.
class CreateSubmissions < ActiveRecord::Migration[7.1]
  def change
    create_table :submissions do |t|
      t.references :manuscript, null: false, index: true
      t.string :office, null: false
      t.integer :version, null: false # of the document that was handed in
      t.text :answer # JSON, nil while it waits
      t.string :fault # why it could not be looked at
      t.datetime :created_at, null: false
    end
  end
end
