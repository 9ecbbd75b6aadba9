# frozen_string_literal: true

# What a plan promises of a document under a guide, looked at paragraph by paragraph and letter by letter; the broken
# promises in words.
class Promised
  SPACES = %i[space_before space_after].freeze

  attr_reader :plan, :broken, :looked_at

  def initialize(document, guide)
    @before, @guide = document, guide
    @plan = Norvel::Guide::Plan.new(guide, document)
    @after = plan.after
    @broken = []
    @looked_at = 0
    words
    @after.paragraphs.each { |paragraph| place(@before.paragraph(paragraph.id), paragraph) }
    accounts
  end

  private

  # What is computed, but for numbers of captions, which a plan lets sequences count.
  def fields(document)
    Norvel::Document::Inventory.of(document).things.fetch(:field, []) - ["sequence"]
  end

  def words
    @broken << "words" unless plan.words_unchanged?
    @broken << "objects" unless Norvel::Seal.of(@before).same_objects?(Norvel::Seal.of(@after), but: [:field])
    @broken << "fields" unless fields(@before) == fields(@after)
    gone = @before.paragraphs.reject { |one| one.blank? || @after.include?(one.id) }
    @broken << "#{gone.size} paragraphs with words went" if gone.any?
  end

  def place(was, now)
    @looked_at += 1
    say(was, "printed #{@before.markers[was.id].inspect}, now #{@after.markers[now.id].inspect}") if @before
      .markers[was.id] != @after.markers[now.id]
    return if was.blank?
    role = Norvel::Survey.role(@before, was)
    asked = @guide.requirements(role).keys
    lines(was, now, asked)
    letters(was, now, asked)
    say(was, "white space of #{role}") if %w[code other].include?(role) && was.text != now.text
    style(was, now, role)
  end

  # What the guide is silent on looks as it did; spaces may stand for blank paragraphs, first lines for tabs.
  def lines(was, now, asked)
    free = asked + [:outline_level]
    free += SPACES if @guide.clean["blank_paragraphs"]
    free << :first_line if Norvel::Survey::ByHand.leading_tab?(was) || Norvel::Survey::ByHand.leading_space?(was)
    differing = @before.look(was).differences(@after.look(now), :paragraph).map(&:name) - free
    differing = differing.reject { |name| its_style?(was, now, name, @after.look(now)) }
    say(was, "#{differing.join(", ")} of the paragraph") if differing.any?
  end

  def letters(was, now, asked)
    mixed = Norvel::Edits::Fitting.new(@before, @before).mixed(was)
    pairs = each_letter(@before, was).zip(each_letter(@after, now))
    differing = pairs.uniq.flat_map { |one, other|
      (one.nil? || other.nil?) ? [:letters] : one.differences(other, :run)
        .map(&:name)
    }.uniq
    differing = differing.reject { |name| name != :letters && its_style?(was, now, name, @after.letter_look(now)) }
    say(was, "#{(differing - asked).join(", ")} of letters") if (differing - asked - [:language]).any?
    apart = mixed.select { |name| apart(pairs, name).any? { |one, other| other.nil? || one[name] != other[name] } }
    say(was, "#{apart.join(", ")} of words set apart") if apart.any?
  end

  # Does it look so because the style that it was put in looks so: one of the file's, or one that was made for others
  # before?
  def its_style?(was, now, name, look)
    return false if was.style_id == now.style_id
    style, property = @after.style_of(now), Norvel::Styles::Properties[name]
    given = ->(document) { document.cascade.of_style(document.styles[style.id], property.on)[name] }
    return true if said_by_style_left?(was, property) || made_of_most?(style, property, given[@after])
    there = @before.styles[style.id] ? property.same?(given[@before],
      given[@after]) : !made_for[style.name]&.include?(was.id)
    there && property.same?(given[@after], look[name])
  end

  # Was the style made for paragraphs of which nearly all had the value by hand, or that came from several styles, of
  # which it can be like one alone?
  def made_of_most?(style, property, value)
    ids = made_for[style.name] or return false
    values = ids.map { |id| @before.paragraph(id) }.map do |one|
      ((property.on == :run) ? @before.letter_look(one) : @before.look(one))[property.name]
    end
    had = values.count { |one| property.same?(one, value) }
    several = ids.map { |id| @before.paragraph(id).style_id }.uniq.size > 1
    had >= ids.size * Norvel::Edits::SharedLook::NEARLY_ALL || several
  end

  # Did the style that it left say so, and not a hand?
  def said_by_style_left?(was, property)
    left, base = @before.style_of(was), @before.styles.default
    return false if left.nil? || left.default
    one, other = [left, base].map { |style| @before.cascade.of_style(style, property.on)[property.name] }
    !property.same?(one, other)
  end

  # {style => ids of the paragraphs that it was made for}
  def made_for
    @made_for ||= plan.all_edits.grep(Norvel::Edits::PutInStyle).each_with_object({}) do |edit, made|
      made[edit.name(@after)] ||= edit.instance_variable_get(:@ids)
    end
  end

  # The letters that most of the paragraph is not like.
  def apart(pairs, name)
    usual = pairs.filter_map(&:first).map { |look| look[name] }.tally.max_by(&:last)&.first
    pairs.select { |one, _| one && one[name] != usual }
  end

  def each_letter(document, paragraph)
    paragraph.runs.flat_map { |run| [document.run_look(run, paragraph)] * run.words.gsub(/[\s\u00A0]+/, "").size }
  end

  # A paragraph that is in another style now is in the one of its settled role; or in one of its own, based on the style
  # that changed for others.
  def style(was, now, role)
    return if was.style_id == now.style_id
    name = @after.style_name(now)
    wanted = @guide.role(role)["style"] || Norvel::Survey::Roles[role].style
    own = [wanted, @before.style_name(was)].any? { |base| name.downcase.start_with?("#{base} with ".downcase) }
    say(was, "#{role} is in #{name}, not in #{wanted}") unless name.casecmp?(wanted.to_s) || own
  end

  def accounts
    found = ->(check) { check.findings.map(&:rule).tally }
    left = plan.left.group_by { |entry| entry[:rule] }.transform_values { |list| list.sum { |entry| entry[:count] } }
    anew = found[Norvel::Guide::Check.new(@guide, @after.with)]
    @broken << "left #{left} is not what a check finds: #{anew}" if left != anew
    mended = plan.mended.to_h { |entry| [entry[:rule], entry[:count]] }
    short = found[plan.first_check].select { |rule, count| mended.fetch(rule, 0) + left.fetch(rule, 0) < count }
    @broken << "not accounted for: #{short}" if short.any?
  end

  def say(paragraph, what)
    @broken << "#{what}: “#{paragraph.text[0, 40]}”"
  end
end
