# frozen_string_literal: true

# Files that were sent and are not read yet; and what the shelf shows of texts in markup, kept when they come.
class CreateArrivals < ActiveRecord::Migration[7.1]
  def change
    create_table :arrivals do |t|
      t.references :original, null: false
      t.string :filename, null: false
      t.string :guide, null: false
      t.text :fault
      t.timestamps
    end
    add_column :loose_texts, :title, :string
  end
end
