# frozen_string_literal: true

# What a bulk change did, by kind: a JSON list of sentences.
class AddDetails < ActiveRecord::Migration[7.1]
  def change
    add_column :ledger_entries, :details, :text
  end
end
