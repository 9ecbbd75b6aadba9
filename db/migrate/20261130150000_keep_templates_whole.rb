# frozen_string_literal: true

# A template that was brought in is kept as it came too, with what it says: its front matter.
class KeepTemplatesWhole < ActiveRecord::Migration[7.1]
  def change
    add_column :templates, :whole, :binary
  end
end
