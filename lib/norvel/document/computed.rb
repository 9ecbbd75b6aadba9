# frozen_string_literal: true

module Norvel
  class Document
    # What a Field computes: one kind of value each, with its switches (ISO/IEC 29500-1 17.16.5; ISO/IEC 26300-1 7).
    # Each tells its +kind+ in a word. numerals are of Numerals, nil for those of the page or of the format.
    module Computed
      kind = ->(word) { proc { define_method(:kind) { word } } }

      PageNumber = Value.define(:numerals, &kind["page"])
      PageCount = Value.define(:numerals, &kind["pages"])
      SectionPageCount = Value.define(:numerals, &kind["pages_of_section"])
      SectionNumber = Value.define(:numerals, &kind["section"])

      # A contents list. levels: a Range of heading levels, nil where none are said or captions are listed; captions:
      # the name of their sequence; labels: do entries show label and number of a caption?
      Contents = Value.define(:levels, :captions, :labels, labels: true, &kind["contents"])

      # The words at a bookmark. as: :words, :note for the mark of a note, :other for a number or direction
      Reference = Value.define(:bookmark, :as, as: :words, &kind["reference"])
      # The label of the page that a bookmark stands on.
      PageReference = Value.define(:bookmark, &kind["page_reference"])

      # A number that counts on from the one before of its name. restart: what it begins anew with here; after_heading:
      # the level of headings after which it begins anew; repeats: does it say the number before again?
      Sequence = Value.define(:name, :numerals, :restart, :after_heading, :repeats, repeats: false, &kind["sequence"])

      # The text of the nearest paragraph in a style, or of the nearest heading of a level; the other is nil.
      StyleText = Value.define(:style, :level, &kind["style_text"])

      # A link as a field. address: nil within the document
      Link = Value.define(:address, :bookmark, &kind["link"])

      Title = Value.define(:numerals, &kind["title"])
      Author = Value.define(:numerals, &kind["author"])
      # of: :today, :now, :created, :saved, :printed
      Date = Value.define(:of, &kind["date"])

      # Anything else, as its format says it; "" for what has no name there.
      Other = Value.define(:instruction, instruction: "", &kind["other"])
    end
  end
end
