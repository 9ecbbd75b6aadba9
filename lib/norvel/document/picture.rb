# frozen_string_literal: true

module Norvel
  class Document
    # An image or drawing of the text (ISO/IEC 29500-1 20.4). A value.
    #   id           its ordinal in the file, from 1; paragraph: the id of the paragraph that holds it
    #   description  what is announced instead of it (20.4.2.5 descr), nil for none
    #   decorative   is it marked as not worth announcing?
    #   path         of its bytes in the package, nil when it is no image or lies outside
    Picture = Value.define(:id, :paragraph, :description, :decorative, :path) do
      # Does assistive technology have nothing to say of it?
      def mute?
        description.nil? && !decorative
      end
    end
  end
end
