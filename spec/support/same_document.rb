# frozen_string_literal: true

# What a reader sees of two documents, compared paragraph by paragraph and letter by letter; the differences in words.
class SameDocument
  def initialize(one, other, ignore: [])
    @one, @other, @ignore = one, other, ignore
  end

  def differences
    return ["#{@one.paragraphs.size} paragraphs, then #{@other.paragraphs.size}"] if @one.paragraphs.size != @other
      .paragraphs.size
    @one.everything.zip(@other.everything).flat_map do |was, now|
      now ? paragraph(was, now) : ["a paragraph beside the text is gone"]
    end
  end

  private

  def paragraph(was, now)
    place = "paragraph #{@one.everything.index(was) + 1} (#{was.text[0, 20]})"
    found = []
    found << "text #{was.text.inspect} / #{now.text.inspect}" if was.text != now.text
    found << "style #{@one.style_name(was)} / #{@other.style_name(now)}" if @one.style_name(was) != @other
      .style_name(now)
    if @one.markers[was.id] != @other.markers[now.id]
      found << "marker #{@one.markers[was.id].inspect} / #{@other.markers[now.id]
        .inspect}"
    end
    found << "section #{was.section} / #{now.section}" if was.section != now.section
    look(found, @one.look(was), @other.look(now), :paragraph)
    letters(found, was, now) if was.text == now.text
    (found - @ignore).map { |text| "#{place}: #{text}" }
  end

  def letters(found, was, now)
    [each_letter(@one, was), each_letter(@other, now)].then { |one, other| one.zip(other) }.uniq.each do |one, other|
      other ? look(found, one, other, :run) : found << "letters"
    end
  end

  def look(found, one, other, place)
    one.differences(other, place).reject { |property| @ignore.include?(property.name) }.each do |property|
      found << "#{property.name} #{one[property.name].inspect} / #{other[property.name].inspect}"
    end
  end

  def each_letter(document, paragraph)
    paragraph.runs.flat_map do |run|
      look = document.run_look(run, paragraph)
      run.words.scan(/[^\s\u00A0]/).map { look }
    end
  end
end
