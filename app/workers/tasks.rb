# frozen_string_literal: true

# What is worked out apart from the requests, by the core alone: plain values in, plain values out, so that another
# process can do it (Helper).
module Tasks
  NAMES = %i[weigh convert dress derive words judge join divide picture].freeze

  module_function

  # What a file that came is: the values of a Manuscript; of a text in markup {text: true, title:, words:}. guide: the
  # one it is held against, by its name or as its text, or nil. Raises Norvel::UnreadableFile.
  def weigh(bytes, filename, guide)
    markup = Norvel::Formats.markup(bytes, filename)
    return text(markup.read(bytes), filename) if markup
    document = with_pages(Norvel::Formats.read(bytes, name: filename))
    check = Norvel::Guide::Check.attempt(rules(guide), document)
    {title: title(document.info, filename), **Standing.counts(document), **Standing.of(check)}
  end

  def rules(guide)
    return Norvel::Guide.none if guide.nil?
    Norvel::Guide.shipped[guide] || Norvel::Guide.new(guide, checked: true)
  end
  private_class_method :rules

  LONG = 2_000 # paragraphs whose pages nobody waits for

  # The document with its pages, so that what is about them is counted too; without where they can't be worked out,
  # whatever the fault: it is read all the same, and its sheets say why.
  def with_pages(document)
    Norvel::Layout.of(document) if document.paragraphs.size <= LONG
    document
  rescue StandardError, SystemStackError, NoMemoryError
    document
  end
  private_class_method :with_pages

  # A document as a file of another format: Norvel::Formats::Written. head: its Snapshot, nil where it is as it came.
  # The block is told how many pages of a PDF are drawn, and of how many. Raises Norvel::Error.
  def convert(bytes, filename, head, format, &told)
    original = Norvel::Formats.read(bytes, name: filename)
    document = head ? Norvel::Snapshot.load(head, original) : original
    return Norvel::Formats.write(document, as: format) unless Norvel::Pdf::ALL.map(&:name).include?(format)
    Norvel::Pdf.write(document, archive: format == Norvel::Pdf::ARCHIVE.name, &told)
  end

  # A text in markup as a file in a template's styles: [its bytes, its name, what weigh says of it]. Raises
  # Norvel::Error.
  def dress(bytes, filename, template, guide)
    pattern = Norvel::Formats.read(template, name: "template")
    text = Norvel::Formats.markup(bytes, filename).read(bytes)
    file = Norvel::Formats.dress(text, pattern, name: filename).bytes
    name = "#{File.basename(filename, ".*")}#{Norvel::Formats[pattern.format].extension}"
    [file, name, weigh(file, name, guide)]
  end

  # Texts put into one document: [its bytes, what weigh says of it]. base: its bytes; texts: [[bytes, name], …]; from,
  # till: places of its paragraphs, or nil. The block is told how much is done, and of how much. Raises Norvel::Error.
  def join(base, filename, texts, from, till, apart, chosen, guide, &told)
    document = Norvel::Formats.read(base, name: filename)
    texts = texts.map { |bytes, name| Norvel::Formats.read(bytes, name:) }
    edges = [from, till].map { |place| place && document.paragraphs[place] }
    made = Norvel::Intake::Joined.new(document, texts, from: edges[0], till: edges[1], apart:, chosen:).document(&told)
    bytes = Norvel::Formats.write(made).bytes
    [bytes, weigh(bytes, filename, guide)]
  end

  # A document as files of its parts: {name => bytes}. The block is told how many there are, and of how many. Raises
  # Norvel::Error.
  def divide(bytes, filename, level, &told)
    Norvel::Intake::Divided.new(Norvel::Formats.read(bytes, name: filename), level:).files(&told)
  end

  # What an office answers that is handed a file: does it meet the guide, and what is to be put right, cause by cause.
  # Raises Norvel::Error.
  def judge(bytes, filename, guide)
    document = Norvel::Formats.read(bytes, name: filename)
    Norvel::Layout.of(document)
    check = Norvel::Guide::Check.new(rules(guide), document)
    report = Norvel::Report::SignedReport.new(check, file: filename).to_h
    causes = report[:left].map do |one|
      {**one.slice(:severity, :message, :cite, :count), places: one[:places].first(5)}
    end
    digest = "sha256:#{Digest::SHA256.hexdigest(bytes)}"
    {**report.slice(:meets, :guide, :edition, :words, :counts, :exceptions), pages: report[:pages], causes:, digest:}
  end

  # The text of a guide made from a template or a model document. Raises Norvel::Error.
  def derive(bytes, filename, name)
    Norvel::Guide::Derived.new(with_pages(Norvel::Formats.read(bytes, name: filename)), name:).text
  end

  # An image of a kind that browsers don't draw, as PNG; nil where it can't be.
  def picture(bytes)
    Norvel::Raster.png(bytes)
  end

  # The words of a file, a paragraph a line: of a document, or of a text in markup. Raises Norvel::Error.
  def words(bytes, filename)
    markup = Norvel::Formats.markup(bytes, filename)
    return markup.read(bytes).blocks.map(&:text).join("\n") if markup
    Norvel::Formats.read(bytes, name: filename).paragraphs.map(&:text).join("\n")
  end

  def text(text, filename)
    {text: true, title: title(text.info, filename), words: text.words(beside: false).size}
  end
  private_class_method :text

  def title(info, filename)
    (info[:title] || File.basename(filename, ".*").tr("_", " "))[0, 200]
  end
  private_class_method :title
end
