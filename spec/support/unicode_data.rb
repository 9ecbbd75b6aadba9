# frozen_string_literal: true

# The Unicode Character Database as Debian's unicode-data has it.
module UnicodeData
  FOLDER = "/usr/share/unicode"
  # Names of the classes in the lines on what is not assigned.
  LONG = {"Left_To_Right" => "L", "Right_To_Left" => "R", "Arabic_Letter" => "AL", "European_Terminator" => "ET",
          "Boundary_Neutral" => "BN"}.freeze

  module_function

  def lines(name)
    File.readlines(File.join(FOLDER, name), chomp: true, encoding: "UTF-8")
  end

  # [[codes, value], …] of a file's lines, without comments.
  def entries(lines)
    lines.map { |line| line.sub(/\s*#.*/, "") }.reject { |line| line.strip.empty? }.map do |line|
      codes, *values = line.split(";").map(&:strip)
      first, last = codes.split("..").map { |code| code.to_i(16) }
      [first..(last || first), *values]
    end
  end

  # The Bidi_Class of every character but those of class L, as ranges of code points by class.
  def bidi_classes
    said = lines("extracted/DerivedBidiClass.txt")
    missing = entries(said.grep(/\A# @missing/).map { |line| line.delete_prefix("# @missing: ") })
    classes = {}
    missing.each { |codes, name| codes.each { |code| classes[code] = LONG.fetch(name) } unless codes.size > 1_000_000 }
    entries(said).each { |codes, name| codes.each { |code| classes[code] = name } }
    ranges = classes.reject { |_, name| name == "L" }.sort
      .chunk_while { |(one, name), (other, same)| other == one + 1 && name == same }
      .group_by { |run| run.first.last }
    head = "# Bidi_Class of Unicode 15.0 (UAX #9, DerivedBidiClass.txt), as ranges of code points; what is not " \
      "listed is L.\n# Written by rake bidi.\n"
    head + ranges.sort.map { |name, runs| "#{name} #{runs.map { |run| range(run) }.join(" ")}\n" }.join
  end

  def range(run)
    first, last = run.first.first, run.last.first
    (first == last) ? format("%04X", first) : format("%04X-%04X", first, last)
  end

  # Characters with a mirror image, and which of them are brackets.
  def bidi_mirrors
    kinds = entries(lines("BidiBrackets.txt")).to_h { |codes, _, kind| [codes.first, kind] }
    head = "# Characters and their mirror images of Unicode 15.0 (BidiMirroring.txt), o and c: brackets that open " \
      "and close\n# (BidiBrackets.txt). Written by rake bidi.\n"
    head + entries(lines("BidiMirroring.txt"))
      .map { |codes, other| [format("%04X", codes.first), other, kinds[codes.first]].compact.join(" ") << "\n" }.join
  end

  KINDS = %w[<isolated> <final> <initial> <medial>].freeze

  # The presentation forms of Arabic letters: each letter with its isolated, final, initial and medial form.
  def arabic_forms
    forms = Hash.new { |all, letter| all[letter] = Array.new(4) }
    lines("UnicodeData.txt").each do |line|
      code, _, _, _, _, decomposed = line.split(";")
      kind, *letters = decomposed.to_s.split
      next unless code.match?(/\AF[BE]/) && KINDS.include?(kind) && letters.size == 1
      forms[letters.first][KINDS.index(kind)] ||= code
    end
    head = "# Arabic letters with their isolated, final, initial and medial forms of Unicode 15.0\n" \
      "# (UnicodeData.txt). Written by rake bidi.\n"
    head + forms.sort.map { |letter, found| "#{[letter, *found.map { |one| one || "-" }].join(" ")}\n" }.join
  end
end
