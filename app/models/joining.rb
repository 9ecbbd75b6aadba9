# frozen_string_literal: true

# What a person puts together on the shelf: the document or template that takes texts in, the texts in their order, and
# the place for them. A document by its id ("document:4"), a template that was kept whole by its key ("own:3").
class Joining
  MOST = 60 # texts

  # What can take texts in: {key => name}, templates first.
  def self.bases
    SavedTemplate.kept_whole.pluck(:id, :name).to_h { |id, name| ["own:#{id}", "#{name} (template)"] }
      .merge(Manuscript.order(updated_at: :desc).pluck(:id, :title).to_h { |id, title| ["document:#{id}", title] })
  end

  # place: {from:, till:} as ids of paragraphs of the base, "" for none; nil where nobody said and the usual is meant
  # order: {id of a Manuscript => its place in the order}; partners: {"id:style id" => name of the style it becomes}
  def initialize(base:, order:, place: nil, apart: false, partners: {})
    @key = base.to_s
    @order, @place, @apart, @partners = order, place, apart, partners
  end

  attr_reader :key, :apart

  # Is it said what takes in what?
  def said?
    return @said if defined?(@said)
    @said = Joining.bases.key?(key) && texts.any?
  end

  # Manuscripts in their order.
  def texts
    @texts ||= begin
      wanted = @order.reject { |_, place| place.to_s.strip.empty? }
      raise Norvel::Refused, "More than #{MOST} texts can't be put together at once." if wanted.size > MOST
      Manuscript.where(id: wanted.keys).sort_by { |one| [wanted[one.id.to_s].to_f, one.id] }
    end
  end

  # Does a template take them in, and so begin with its front matter?
  def template?
    key.start_with?("own:")
  end

  def base
    @base ||= template? ? Norvel::Formats.read(file.first, name: file.last) : manuscript.document
  end

  # The Paragraphs between which the texts go: Norvel::Intake::Joined says how.
  def place
    return usual if @place.nil?
    %i[from till].map { |edge| @place[edge].to_s.empty? ? nil : base.paragraph(@place[edge].to_i) }
  end

  # Norvel::Intake::Joined. Raises Norvel::Refused.
  def joined
    from, till = place
    Norvel::Intake::Joined.new(base, texts.map(&:document), from:, till:)
  end

  # Puts the new document on the shelf. The block is told how much is done, and of how much. Raises Norvel::Error.
  def make(name, &told)
    bytes, filename = file
    edges = place.map { |one| one && base.position(one.id) }
    sent = texts.map { |one| [one.handed_over.bytes, one.filename] }
    guide = texts.first.guide
    made, found = Manuscript::WRITERS.ask(:join, bytes, filename, sent, *edges, apart, chosen, SavedGuide.told(guide),
      &told)
    name = name.to_s.strip.empty? ? usual_name : name.to_s.strip
    whole = Manuscript.transaction do
      Manuscript.take_in(Original.keep(made), "#{Door.file_name(name)}#{Norvel::Formats.of(made).extension}",
        found.merge(title: name[0, 200]), guide:)
    end
    whole.tap { bring_along(whole, edges.first) }
  end

  # A text in a template keeps its name; of several, the first lends its own.
  def usual_name
    template? ? [texts.first.title, ("and others" if texts.many?)].compact.join(" ") : manuscript.title
  end

  # The styles of a text that the base has no namesake of: Norvel::Edits::ApplyTemplate::Match.
  def match(text)
    pattern = Norvel::Formats::Template.in_terms_of(text.document, base)
    Norvel::Edits::ApplyTemplate.new(pattern, numbering: true).match(text.document)
  end

  private

  # What people decided in the texts holds in the whole: what paragraphs are, and exceptions. from: the place in the
  # base that the texts take, nil for its end.
  def bring_along(whole, from)
    parts = template? ? texts : [manuscript, *texts]
    return if parts.none? { |text| text.grants.any? || text.document.decisions.any? }
    from = 0 unless template? && from
    pairs = Norvel::Intake::Counterparts.of(parts.map(&:document), whole.document, from:)
    parts.zip(pairs).each { |text, ids| text.grants.each { |grant| grant.go_along(whole, ids) } }
    said = parts.zip(pairs).flat_map { |text, ids| text.document.decisions.map { |id, role| [ids[id], role] } }
    said.select(&:first).group_by(&:last).each do |role, list|
      whole.perform(Norvel::Edits::Decide.new(list.map(&:first), role), version: whole.lock_version)
    end
  end

  def manuscript
    @manuscript ||= Manuscript.find(key.delete_prefix("document:").to_i)
  end

  # [bytes, name] of the base.
  def file
    @file ||= if template?
      SavedTemplate.find(key.delete_prefix("own:").to_i).then { |kept| [kept.whole, kept.name] }
    else
      [manuscript.handed_over.bytes, manuscript.filename]
    end
  end

  # In a template, the place of its own chapters; else the end.
  def usual
    template? ? Norvel::Intake::Joined.place_in(base) : [nil, nil]
  end

  def chosen
    texts.map do |text|
      own = @partners.select { |key, _| key.start_with?("#{text.id}:") }
      own.to_h { |key, name| [key.split(":", 2).last, (name unless name.empty?)] }
    end
  end
end
