# frozen_string_literal: true

# The tree of the Styles station, row by row: styles of paragraphs and of words by what they are based on, lists, page
# set-ups.
class Lineage
  # thing: the title of a group, a Style, or a PageSet; depth counts from 0 under a group
  Leaf = Struct.new(:thing, :depth, :row, :parent_row) do
    def group?
      thing.is_a?(String)
    end

    def style?
      thing.is_a?(Norvel::Styles::Style)
    end
  end

  # A page set-up with the numbers of the sections that are in it; style has no name where nobody gave one.
  PageSet = Struct.new(:style, :sections)

  # Every distinct set-up of a document's sections and every page style, in order.
  def self.pages(document)
    named = document.page_styles.map { |style| PageSet.new(style, []) }
    document.sections.each.with_index(1).with_object(named) do |(section, number), sets|
      set = sets.find { |other| other.style.worn_by?(section) } ||
        PageSet.new(Norvel::Document::PageStyle.of(section, nil), []).tap { |fresh| sets << fresh }
      set.sections << number
    end
  end

  # shown: is a style to be shown? One that is the words of a paragraph style stands with that one.
  def initialize(document, &shown)
    @document = document
    @shown = shown
  end

  def rows
    return @rows if @rows
    @rows = []
    group("Paragraphs", tree("paragraph"))
    group("Words", tree("character"))
    group("Lists", @document.styles.ordered("numbering").reject(&:default).map { |style| [style, []] })
    group("Pages", Lineage.pages(@document).map { |set| [set, []] })
    @rows
  end

  # The styles beside this one: of its kind, on the same base, in the order in which they are shown.
  def siblings(style)
    styles(style.type).select { |other| base(other).equal?(base(style)) }
  end

  private

  def group(title, branches)
    return if branches.empty?
    row(title, 0, nil)
    top = @rows.size - 1
    branches.each { |branch| grow(branch, 0, top) }
  end

  def grow((thing, children), depth, parent_row)
    row(thing, depth, parent_row)
    mine = @rows.size - 1
    children.each { |child| grow(child, depth + 1, mine) }
  end

  def row(thing, depth, parent_row)
    @rows << Leaf.new(thing, depth, @rows.size, parent_row)
  end

  # [[style, [[child, […]], …]], …]
  def tree(type, parent = nil)
    styles(type).select { |style| base(style).equal?(parent) }.map { |style| [style, tree(type, style)] }
  end

  def styles(type)
    @styles ||= {}
    @styles[type] ||= @document.styles.ordered(type).select do |style|
      @shown.call(style) && !(style.character? && (style.default || @document.styles.twin(style)))
    end
  end

  # The nearest style it is based on that is shown.
  def base(style)
    @document.styles.chain(style)[0...-1].reverse.find { |other| styles(style.type).include?(other) }
  end
end
