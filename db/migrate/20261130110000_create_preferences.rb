# frozen_string_literal: true

# What a person likes, by name: the unit of lengths.
class CreatePreferences < ActiveRecord::Migration[7.1]
  def change
    create_table :preferences do |t|
      t.string :name, null: false, index: {unique: true}
      t.string :value, null: false
    end
  end
end
