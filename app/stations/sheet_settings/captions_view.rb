# frozen_string_literal: true

# Captions on the Sheets station: their numbers, what counts them, and what names them.
module CaptionsView
  # A caption as the table shows it.
  CaptionRow = Struct.new(:caption, :paragraph, :page, :state)
  RENUMBER = {"by_chapter" => "Number them by chapter …", "through" => "Number them through …"}.freeze
  KINDS_OF_CAPTIONS = {figure: "Figures", table: "Tables"}.freeze

  def captions
    Norvel::Structure::Captions.of(document)
  end

  # {"Figures" => [CaptionRow, …], "Tables" => …}
  def caption_rows
    captions.list.group_by(&:kind).sort.to_h do |kind, list|
      [KINDS_OF_CAPTIONS.fetch(kind), list.map { |one| caption_row(one) }]
    end
  end

  # Numbers that say something else than they should: [ComputedNumbers::Stale, …]
  def stale_numbers
    @stale_numbers ||= Norvel::Structure::ComputedNumbers.new(document).stale
  end

  def lost_references
    @lost_references ||= Norvel::Structure::TypedReferences.new(document).lost
  end

  # Figures and tables that a guide misses captions of.
  def missing_captions
    manuscript.check.on_document.select { |finding| finding.rule == "captions.missing" }
  end

  # Those whose numbers don't follow from the one before.
  def jumping_captions
    @jumping_captions ||= Norvel::Edits::CountCaptions.jumps(document, captions.list)
  end

  # The ways of numbering that the captions have not: [[act, words], …]
  def other_numberings
    chapters = captions.list.map { |one| !one.chapter.nil? }.uniq
    RENUMBER.select { |act, _| chapters.include?(act == "through") }
  end

  # Names of sequences that count here, each with the words for its list.
  def counted_sequences
    captions.list.select(&:counted?).map(&:sequence).uniq
  end

  # The edit that a form asks for. Raises Refused.
  def captions_edit
    return Norvel::Edits::RefreshNumbers.new if params[:act] == "refresh"
    return Norvel::Edits::RenumberCaptions.new(by_chapter: params[:act] == "by_chapter") if RENUMBER[params[:act]]
    Norvel::Edits::CountCaptions.new(captions.typed.map(&:id))
  end

  # Paragraphs that the change is about, before and after: [[before, after], …]
  def captions_touched
    @edit.preview(document).touched.first(40).map { |pair| [pair.before, pair.after] }
  end

  # What numbers a caption: "typed", "Figure, counted", or what its field is for.
  def counted_words(paragraph)
    field = Norvel::Structure::Sequences.in(paragraph).first or return "typed"
    sequence = field.computes
    anew = "begins anew with #{sequence.restart}" if sequence.restart
    ["counted as #{sequence.name}", anew].compact.join(", ")
  end

  private

  def caption_row(caption)
    paragraph = document.paragraph(caption.id)
    CaptionRow.new(caption, paragraph, pages.label_of(caption.id), caption_state(caption))
  end

  def caption_state(caption)
    stale = stale_numbers.find { |one| one.paragraph.id == caption.id } and
      return "should be #{stale.should}"
    "does not follow" if jumping_captions.include?(caption.id)
  end
end
