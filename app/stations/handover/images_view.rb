# frozen_string_literal: true

# The images of a document with what is said of them: where each stands, and the words near it.
module ImagesView
  NEAR = 180 # letters of the words on either side
  SHOWN = {"all" => "all", "without" => "without a description", "decoration" => "decoration"}.freeze

  # In reading order, those that are asked for.
  def shown_pictures
    document.pictures.select { |picture| picture_shown?(picture, params[:show].to_s) }
  end

  def picture_shown?(picture, asked)
    case asked
    when "without" then picture.mute?
    when "decoration" then picture.decorative
    else true
    end
  end

  # [[key, words, count], …] of what can be shown.
  def picture_filters
    SHOWN.map { |key, words| [key, words, document.pictures.count { |picture| picture_shown?(picture, key) }] }
  end

  def filter_chosen?(key)
    key == (SHOWN.key?(params[:show]) ? params[:show] : "all")
  end

  # "page 12, under “4.2 Mortar”"
  def picture_place(picture)
    label = Norvel::Layout.pages(document)&.label_of(picture.paragraph)
    heading = heading_over(picture.paragraph)
    [("page #{label}" if label), ("under “#{heading}”" if heading)].compact.join(", ")
  end

  # [[where, its words], …] near an image: of its own paragraph, and of those before and after that say something.
  def words_near(picture)
    at = document.position(picture.paragraph)
    own = document.paragraphs[at]
    [["before it", worded(document.paragraphs.first(at).reverse_each, last: true)],
      ["beside it", shortened(own.text)], ["after it", worded(document.paragraphs.drop(at + 1).each)]]
      .reject { |_, words| words.to_s.empty? }
  end

  private

  def heading_over(id)
    @headings ||= document.paragraphs.each_with_index.select { |one, _|
      Norvel::Survey.role(document, one).start_with?("heading") && one.text.match?(/\S/)
    }
    after = @headings.bsearch_index { |_, place| place >= document.position(id) } || @headings.size
    @headings[after - 1].first.text.strip if after.positive?
  end

  def worded(paragraphs, last: false)
    found = paragraphs.find { |one| one.text.match?(/\S/) }
    found && shortened(found.text, last:)
  end

  def shortened(text, last: false)
    words = text.squeeze(" ").strip
    return words if words.size <= NEAR
    last ? "… #{words[-NEAR..]}" : "#{words[0, NEAR]} …"
  end
end
