# frozen_string_literal: true

# The person's unit: one for all lengths, in fields, rulers and words alike. Sizes of letters and spaces are in points.
module Units
  BARE = /\A[+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)\z/
  BARE_STOP = /-?\d+(?:[.,]\d+)?(?=\s*(?:\z|;|,\s|with\b))/ # "right 15 with dots, 6"

  def unit
    Preference.unit
  end

  # A length of a page as it is read.
  def length_words(points)
    Norvel::Length.spoken(points, unit)
  end

  # What was typed for a property; a number without a unit is in the one that stands in its field. Raises
  # Norvel::Refused.
  def typed_property(property, text)
    return property.type.typed(text.to_s.gsub(BARE_STOP) { "#{_1} #{unit}" }) if property.name == :tabs
    length = property.type.instance_of?(Norvel::Styles::Types::Length) && !property.name.start_with?("space_")
    property.type.typed(length ? with_unit(text) : text)
  end

  # A length in points, typed in a field that speaks the person's unit. Raises Norvel::Refused.
  def typed_length(text)
    Norvel::Length.typed(with_unit(text))
  end

  def with_unit(text)
    BARE.match?(text.to_s.strip) ? "#{text.to_s.strip} #{unit}" : text
  end
end
