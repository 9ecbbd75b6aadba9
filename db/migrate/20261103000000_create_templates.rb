# frozen_string_literal: true

# Templates that a person saved.
class CreateTemplates < ActiveRecord::Migration[7.1]
  def change
    create_table :templates do |t|
      t.string :name, null: false
      t.binary :bytes, null: false
      t.timestamps
    end
  end
end
