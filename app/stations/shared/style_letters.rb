# frozen_string_literal: true

# The letters for putting paragraphs in styles: the person's own, and for the usual roles one from the start.
module StyleLetters
  USUAL = Norvel::Survey::Roles.letters.freeze
  RESERVED = %w[j k x u g].freeze

  # {"q" => style id}
  def own_letters
    JSON.parse(manuscript.letters || "{}").select { |_, id| document.styles[id] }
  end

  # The letter that puts paragraphs in this style, or nil.
  def letter_of(style)
    own_letters.key(style.id) || usual_letters.key(style.name)
  end

  def usual_letters
    USUAL.reject { |letter, _| own_letters.key?(letter) }
      .transform_values { |role| Norvel::Edits::PutInRoles.style_name(role, manuscript.rules, document) }.compact
  end

  # What the keys of the galley do: {"q" => {style: id}} or {role: name}.
  def letter_actions
    USUAL.transform_values { |role| {role:} }.merge(own_letters.transform_values { |id| {style: id} })
  end

  def set_letter(style_id, letter, whose = document)
    letter = typed_letter(letter)
    raise Norvel::Refused, "There is no such style." unless whose.styles[style_id]
    letters = own_letters.reject { |key, id| key == letter || id == style_id }
    letters[letter] = style_id unless letter.empty?
    manuscript.update_columns(letters: letters.to_json)
  end

  # Letters that stand for no style and have no other work.
  def free_letters
    [*"a".."z"] - RESERVED - own_letters.keys - usual_letters.keys
  end

  # "q puts paragraphs in Block Quote."
  def letter_words(style_id)
    letter, name = own_letters.key(style_id), document.styles[style_id]&.name
    letter ? "#{letter} puts paragraphs in #{name} now." : "#{name} has no letter now."
  end

  # A letter as a person types it; empty for none. Raises Refused.
  def typed_letter(letter)
    letter = letter.to_s.strip.downcase
    return letter if letter.empty? || (("a".."z").cover?(letter) && letter.size == 1 && !RESERVED.include?(letter))
    raise Norvel::Refused, "“#{letter[0, 5]}” can't be a style's letter#{" since it has other work" if
      RESERVED.include?(letter)}. Free are #{free_letters.join(", ")}."
  end
end
