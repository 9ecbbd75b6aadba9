# frozen_string_literal: true

# Why a document could not be held against its guide, in a sentence.
class AddFault < ActiveRecord::Migration[7.1]
  def change
    add_column :manuscripts, :fault, :text
  end
end
